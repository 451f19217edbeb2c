import { followPass, type PassState } from '#core/measure/follow-pass';
import type { RigPath } from '#core/simulator/path';
import {
  createRig,
  lensHeightIn,
  type Motion,
  type Rig,
  type RigSetup,
  type RigState,
} from '#core/simulator/rig';
import type { LateralTruth, TruthFixture } from '#core/simulator/truth';
import { createPlainPicture } from '../../picture/plain';
import type { PictureDrawer, PictureView } from '../../picture/view';
import type { CounterReading, Gear } from './gear';

/** Speeds of the hand, feet a second. */
export const SPEEDS = { slow: 0.2, steady: 0.7, fast: 2 } as const;
export type Speed = keyof typeof SPEEDS;

/** Where a run left its camera. */
export type RigPlace = {
  readonly headFt: number;
  readonly readingFt: number;
  readonly farthestFt: number;
  readonly pass: CounterReading['pass'];
};

/** The simulated rig as gear, with what only it can do. */
export type RigGear = Gear & {
  readonly state: () => RigState;
  readonly place: () => RigPlace;
  readonly fixtures: readonly TruthFixture[];
  /** Moves until told otherwise. */
  readonly drive: (motion: Motion, speed: Speed) => void;
  readonly runWater: (fixture: TruthFixture | null) => void;
  readonly wash: () => void;
  /** Lets minutes go by at once, the head at rest. */
  readonly wait: (seconds: number) => void;
};

/** Longest time that one frame may stand for, seconds: a page that slept does not leap. */
const MOST_FRAME_S = 0.3;
/** Step of the rig, seconds. */
const STEP_S = 0.05;
/** The counter is told at most this often, milliseconds. */
const TELL_MS = 110;
/** So many pictures a second are recorded, at the most: the rig draws none where nothing changes. */
const RECORDED_PER_S = 30;
/** The picture is drawn no wider than this, pixels: more only costs time. */
const MOST_PIXELS = 720;

/** Starts the simulated rig. */
export function startRig(
  truth: LateralTruth,
  setup: RigSetup,
  seed: number,
  from: RigPlace,
): RigGear {
  const rig = createRig(truth, setup, seed);
  rig.resume(from.headFt, from.readingFt);
  let pass: PassState = { pass: from.pass, farthestFt: from.farthestFt };
  let hand: { motion: Motion; speed: Speed } = { motion: 'hold', speed: 'steady' };
  const hearers = new Set<(reading: CounterReading) => void>();
  let picture: { drawer: PictureDrawer; canvas: HTMLCanvasElement } | null = null;
  let drawn: RigState | null = null;
  let isSized = false;

  const read = (): CounterReading => ({
    readingFt: Math.max(0, rig.state().readingFt),
    pass: pass.pass,
  });
  const tell = () => hearers.forEach((hear) => hear(read()));
  const view = (): PictureView => viewOf(rig);

  let frame = 0;
  let lastMs = performance.now();
  let toldMs = 0;
  let isUntold = false;
  const loop = (nowMs: number) => {
    const passedS = Math.min(MOST_FRAME_S, Math.max(0, (nowMs - lastMs) / 1000));
    lastMs = nowMs;
    const before = rig.state();
    for (let leftS = passedS; leftS > 1e-6; leftS -= STEP_S) {
      rig.advance(Math.min(STEP_S, leftS), {
        motion: hand.motion,
        speedFtPerS: SPEEDS[hand.speed],
      });
    }
    const now = rig.state();
    pass = followPass(pass, now.headFt);
    const hasChanged =
      now.readingFt !== before.readingFt ||
      now.warning !== before.warning ||
      now.depthIn !== before.depthIn;
    isUntold ||= hasChanged;
    if (isUntold && nowMs - toldMs > TELL_MS) {
      toldMs = nowMs;
      isUntold = false;
      tell();
    }
    if (
      picture &&
      isSized &&
      (hasChanged ||
        drawn === null ||
        now.running ||
        !rig.water.isStill() ||
        now.lens.dropsRatio > 0.03)
    ) {
      drawn = now;
      picture.drawer.draw(view());
    }
    frame = requestAnimationFrame(loop);
  };
  frame = requestAnimationFrame(loop);

  const act = (change: () => void) => {
    change();
    drawn = null;
    tell();
  };

  return {
    name: `Simulated rig: ${truth.title}`,
    fixtures: truth.fixtures,
    state: rig.state,
    place: () => ({ headFt: rig.state().headFt, readingFt: rig.state().readingFt, ...pass }),
    counter: {
      read,
      listen: (hear) => {
        hearers.add(hear);
        return () => hearers.delete(hear);
      },
      zero: () => act(() => rig.zero()),
    },
    locator: { locate: rig.locate },
    picture: {
      showIn: (host) => {
        let isWanted = true;
        let takeDown = (): void => undefined;
        const put = (made: Awaited<ReturnType<typeof makeDrawer>>) => {
          if (!isWanted) {
            made.drawer.dispose();
            return;
          }
          picture = made;
          drawn = null;
          host.append(made.canvas);
          const observer = new ResizeObserver(([entry]) => {
            const { width, height } = entry!.contentRect;
            if (width < 2 || height < 2) return;
            const scale = Math.min(1, MOST_PIXELS / width);
            made.drawer.resize(Math.round(width * scale), Math.round(height * scale));
            isSized = true;
            drawn = null;
          });
          observer.observe(host);
          takeDown = () => {
            observer.disconnect();
            made.canvas.remove();
            made.drawer.dispose();
            picture = null;
            isSized = false;
          };
          return undefined;
        };
        makeDrawer(rig.path).then(put, (error: unknown) => {
          // The counter and the locator go on without a picture.
          if (isWanted) host.append(error instanceof Error ? error.message : String(error));
        });
        return () => {
          isWanted = false;
          takeDown();
        };
      },
      still: () => {
        const shown = picture;
        if (!shown || !isSized) return Promise.resolve(null);
        // Drawn and read in one go: a canvas forgets its picture once it was shown.
        shown.drawer.draw(view());
        return new Promise((resolve) => shown.canvas.toBlob(resolve, 'image/jpeg', 0.86));
      },
      stream: () => picture?.canvas.captureStream(RECORDED_PER_S) ?? null,
    },
    drive: (motion, speed) => {
      const wasMoving = hand.motion !== 'hold';
      hand = { motion, speed };
      if (wasMoving && motion === 'hold') tell();
    },
    runWater: (fixture) => act(() => rig.runWater(fixture)),
    wash: () => act(() => rig.wash()),
    wait: (seconds) => act(() => rig.advance(seconds, { motion: 'hold', speedFtPerS: 0 })),
    dispose: () => {
      cancelAnimationFrame(frame);
      picture?.drawer.dispose();
      picture?.canvas.remove();
      hearers.clear();
    },
  };
}

/** Loads what draws: three dimensions where the page has WebGL, else the plain picture. */
async function makeDrawer(
  path: RigPath,
): Promise<{ drawer: PictureDrawer; canvas: HTMLCanvasElement }> {
  const wantsPlain = new URLSearchParams(window.location.search).get('picture') === 'plain';
  const canvas = document.createElement('canvas');
  if (!wantsPlain) {
    // Without signal the part that draws in three dimensions may be out of reach: the plain one is here.
    const drawer = await import('../../picture/picture').then(
      ({ createPicture }) => createPicture(canvas, path),
      () => null,
    );
    if (drawer) return { drawer, canvas };
  }
  const plain = document.createElement('canvas');
  const drawer = createPlainPicture(plain, path);
  if (!drawer) throw new Error('This browser cannot draw on a page.');
  return { drawer, canvas: plain };
}

function viewOf(rig: Rig): PictureView {
  const state = rig.state();
  return {
    headFt: state.headFt,
    lensFt: lensHeightIn(rig.setup) / 12,
    rollDeg: state.rollDeg,
    isUnder: state.isUnder,
    isMurky: state.isMurky,
    lens: state.lens,
    timeS: state.elapsedS,
    depthIn: rig.depthIn,
  };
}
