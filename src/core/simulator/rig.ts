import { clamp, roundTo } from '../base/numbers';
import { seededRandom, seedOf } from '../base/random';
import type { Run } from '../model/job/run';
import type { Equipment } from '../site/equipment';
import { countedFt, drawSlip, type Slip } from './counter';
import { findStops, type Stop } from './fit';
import { CLEAN_LENS, type Lens, moveLens, washLens } from './lens';
import { locateHead, type LocateReading } from './locator';
import { layPath, type RigPath, stationAt } from './path';
import { loadRod, type RodSetup } from './rod';
import type { LateralTruth, TruthFixture } from './truth';
import { createWater, type Water } from './water/water';

/** What is put down the hole, and how. */
export type RigSetup = RodSetup & {
  readonly accessId: string;
  readonly facing: Run['facing'];
  /** Whether the head keeps the picture upright. */
  readonly headLevels: boolean;
  readonly equipment: Pick<Equipment, 'rodFt' | 'rodLbPerFt' | 'pushLb'>;
};

export type Motion = 'push' | 'pull' | 'hold';

/** What the hand does. */
export type Drive = { readonly motion: Motion; readonly speedFtPerS: number };

/** What can be known at the reel, and what the camera needs to draw its picture. Feet from the rim. */
export type RigState = {
  readonly elapsedS: number;
  /** Cable past the rim, and where the head is; the difference snakes in the bore. */
  readonly cableFt: number;
  readonly headFt: number;
  readonly slackFt: number;
  readonly readingFt: number;
  /** Push at the hand, pounds; negative is pull. */
  readonly pushLb: number;
  /** Why the head does not go on, in words for the one who pushes. */
  readonly warning: string | null;
  readonly stoppedBy: Stop['because'] | 'friction' | 'rod' | null;
  /** Depth of water at the head, inches. */
  readonly depthIn: number;
  readonly isUnder: boolean;
  readonly isMurky: boolean;
  readonly lens: Lens;
  /** Turn of the picture, degrees clockwise; 0 for a head that levels itself. */
  readonly rollDeg: number;
  readonly running: string | null;
};

/** A simulated camera, reel and locator in one lateral. The same seed and the same acts give the same states. */
export type Rig = {
  readonly path: RigPath;
  readonly setup: RigSetup;
  readonly water: Water;
  readonly slip: Slip;
  readonly state: () => RigState;
  /** Depth of water at a distance from the rim, inches; 0 in the riser. */
  readonly depthIn: (atFt: number) => number;
  /** Lets time pass while the hand does this. */
  readonly advance: (seconds: number, drive: Drive) => RigState;
  /** Sets the counter, feet; 0 unless said. */
  readonly zero: (readingFt?: number) => RigState;
  /** Turns a fixture on, or all water off. */
  readonly runWater: (fixture: TruthFixture | null) => RigState;
  readonly wash: () => RigState;
  readonly locate: () => LocateReading;
  /** Puts the head back where a run left it, its counter as it was. */
  readonly resume: (headFt: number, readingFt: number) => RigState;
};

/** Cable that may be pushed against a stop before the hand feels it, feet. */
const FEEL_FT = 0.25;
const SKID_RAISES_IN = 0.5;

/** Height of the lens, and of the transmitter beside it, over the invert, inches. */
export function lensHeightIn({ headDiameterIn, aid }: RodSetup): number {
  return headDiameterIn / 2 + (aid === 'none' ? 0 : SKID_RAISES_IN);
}

/** Puts a camera down an access of a lateral. */
export function createRig(truth: LateralTruth, setup: RigSetup, seed: number, slip?: Slip): Rig {
  const path = layPath(truth, setup.accessId, setup.facing);
  const random = seededRandom(seedOf(seed, truth.id, setup.accessId, setup.facing));
  const wheel = slip ?? drawSlip(random);
  const rollSeed = random.between(0, 2 * Math.PI);
  const stops = findStops(path, setup);
  const water = createWater(truth);
  const lensIn = lensHeightIn(setup);
  const depthAt = (atFt: number) => {
    const at = stationAt(path, atFt);
    return at ? water.depthIn(at.line.id, at.stationFt) : 0;
  };
  let running: TruthFixture | null = null;
  let state: RigState = settle({
    elapsedS: 0,
    cableFt: 0,
    headFt: 0,
    readingFt: 0,
    lens: CLEAN_LENS,
    pushLb: 0,
    warning: null,
    stoppedBy: null,
  });

  /** Fills in what follows from where the head is. */
  function settle(
    core: Omit<RigState, 'slackFt' | 'depthIn' | 'isUnder' | 'isMurky' | 'rollDeg' | 'running'>,
  ): RigState {
    const at = stationAt(path, core.headFt);
    const depthIn = depthAt(core.headFt);
    return Object.freeze({
      ...core,
      slackFt: core.cableFt - core.headFt,
      depthIn,
      isUnder: depthIn > lensIn,
      isMurky:
        at?.line.murky.some(({ fromFt, toFt }) => at.stationFt >= fromFt && at.stationFt <= toFt) ??
        false,
      rollDeg: setup.headLevels ? 0 : rollAt(core.headFt, rollSeed),
      running: running?.name ?? null,
    });
  }

  function push(
    byFt: number,
  ): Pick<RigState, 'cableFt' | 'headFt' | 'pushLb' | 'warning' | 'stoppedBy'> {
    const { equipment } = setup;
    const stop = stops.find(({ atFt }) => atFt >= state.headFt - 1e-9) ?? stops.at(-1)!;
    const load = loadRod(path, state.headFt, setup, equipment, depthAt);
    const room = (mostFt: number) => Math.max(0, Math.min(byFt, mostFt - state.cableFt));
    const held = (
      stoppedBy: NonNullable<RigState['stoppedBy']>,
      mostFt: number,
      warning: string,
    ) => ({
      cableFt: state.cableFt + room(mostFt),
      headFt: state.headFt,
      pushLb: equipment.pushLb,
      stoppedBy,
      warning: room(mostFt) > 0 ? null : warning,
    });
    if (load.needLb > equipment.pushLb) {
      const mostFt = state.headFt + load.slackFt + FEEL_FT;
      return held(
        'friction',
        mostFt,
        'The push is lost: friction takes all of it. Pull back; more force only coils the rod.',
      );
    }
    if (state.headFt >= stop.atFt - 1e-9) {
      const mostFt = stop.atFt + load.slackFt + FEEL_FT;
      return held(stop.because, mostFt, sayStop(stop));
    }
    if (state.cableFt >= equipment.rodFt) {
      return held('rod', equipment.rodFt, 'That is all the rod there is.');
    }
    const cableFt = state.cableFt + Math.max(0, Math.min(byFt, equipment.rodFt - state.cableFt));
    const headFt = clamp(cableFt - load.slackFt, state.headFt, stop.atFt);
    return { cableFt, headFt, pushLb: load.needLb, warning: null, stoppedBy: null };
  }

  function pull(byFt: number): ReturnType<typeof push> {
    const cableFt = Math.max(0, state.cableFt - byFt);
    // A rod pulled taut takes the shortest way: the head follows once the slack is in.
    return {
      cableFt,
      headFt: Math.min(state.headFt, cableFt),
      pushLb: -1,
      warning: null,
      stoppedBy: null,
    };
  }

  const set = (next: RigState) => (state = next);
  return {
    path,
    setup,
    water,
    slip: wheel,
    state: () => state,
    depthIn: depthAt,
    advance: (seconds, { motion, speedFtPerS }) => {
      if (running || !water.isStill()) water.step(seconds, running ? [running] : []);
      const byFt = seconds * speedFtPerS;
      const moved =
        motion === 'push'
          ? push(byFt)
          : motion === 'pull'
            ? pull(byFt)
            : { ...state, pushLb: 0, warning: state.warning };
      const lens = moveLens(state.lens, path, state.headFt, moved.headFt, seconds, state);
      return set(
        settle({
          ...state,
          ...moved,
          elapsedS: state.elapsedS + seconds,
          readingFt: state.readingFt + countedFt(wheel, moved.cableFt - state.cableFt),
          lens,
        }),
      );
    },
    zero: (readingFt = 0) => set(settle({ ...state, readingFt })),
    runWater: (fixture) => {
      running = fixture;
      return set(settle(state));
    },
    wash: () => set(settle({ ...state, lens: washLens(state.lens) })),
    locate: () => locateHead(path, state.headFt, lensIn, random),
    resume: (headFt, readingFt) => {
      const atFt = clamp(headFt, 0, Math.min(stops[0]!.atFt, setup.equipment.rodFt));
      return set(
        settle({
          ...state,
          headFt: atFt,
          cableFt: atFt,
          readingFt,
          warning: null,
          stoppedBy: null,
        }),
      );
    },
  };
}

function sayStop(stop: Stop): string {
  const reason =
    stop.because === 'end'
      ? 'This is as far as the pipe goes'
      : `The head stands against ${stop.text}`;
  return stop.because === 'utility'
    ? `${reason}. Stop, pull back, do not cut or jet; call the utility and the locating service.`
    : `${reason}. Do not force it: pull back.`;
}

/** A head that does not level rolls slowly as the rod twists, degrees. */
function rollAt(headFt: number, seed: number): number {
  return roundTo(45 * Math.sin(headFt / 11 + seed) + 20 * Math.sin(headFt / 3.7 + 2 * seed), 1);
}
