import type { Run } from '../../model/job/run';
import type { EntryDraft } from '../../model/log/entry';
import { DEFAULT_PREFERENCES } from '../../site/equipment';
import type { Slip } from '../counter';
import { pathPipeAt, stationAt } from '../path';
import { createRig, type Rig, type RigState } from '../rig';
import type { LateralTruth } from '../truth';
import { readCounter, type Said, watchPass } from './watch';

/** One run as a script scopes it. */
export type RunPlan = {
  readonly runId: string;
  readonly accessId: string;
  readonly facing: Run['facing'];
  readonly head: string;
  readonly aid: Run['aid'];
  /** Reading to which the counter is set at the rim; some are set above 0 so that slip can read back below it. */
  readonly zeroFt: number;
  readonly slip?: Slip;
  /** Fixture that runs on the way out, for less friction. */
  readonly fixture?: string;
};

const STEP_S = 0.2;
const SPEED_FT_PER_S = 0.5;
/** How long standing water is given to drain, seconds: at least, and at most. */
const DRAIN_S = [330, 900] as const;
/** The lens is washed when this much of it is dirty. */
const WASH_AT = 0.35;
/** A locate every so many feet. */
const LOCATE_EVERY_FT = 15;

/** Scopes one run out and back with the rig and logs what it shows. */
export function scopeRun(truth: LateralTruth, plan: RunPlan, seed: number, startsAt: string): Run {
  const { equipment } = DEFAULT_PREFERENCES;
  const head = equipment.heads.find(({ name }) => name === plan.head);
  if (!head) throw new Error(`There is no head "${plan.head}"`);
  const rig = createRig(
    truth,
    {
      accessId: plan.accessId,
      facing: plan.facing,
      aid: plan.aid,
      headDiameterIn: head.diameterIn,
      headLevels: head.levels,
      equipment,
    },
    seed,
    plan.slip,
  );
  const { dropFt, lineId } = rig.path.access;
  rig.zero(plan.zeroFt);
  const log: Said[] = [];
  const add = (draft: EntryDraft) => log.push({ draft, atS: rig.state().elapsedS });
  const here = (pass: 'out' | 'back') => ({ pass, readingFt: readCounter(rig.state().readingFt) });

  const fixture = truth.fixtures.find(({ name }) => name === plan.fixture);
  if (fixture) {
    rig.runWater(fixture);
    add({ kind: 'water', ...here('out'), state: 'running', source: fixture.name });
  }
  const out = watchPass(rig, 'out');
  // A run is one line's: where it joins another the camera stops.
  const lineEndFt = rig.path.pieces[1]!.toFt;
  let state = rig.state();
  while (state.stoppedBy === null && state.headFt < lineEndFt - 1e-6) {
    const before = state;
    state = rig.advance(STEP_S, { motion: 'push', speedFtPerS: SPEED_FT_PER_S });
    if (state.lens.fouledRatio > WASH_AT) state = rig.wash();
    out.look(before, state);
    if (state.elapsedS > 3600)
      throw new Error(`Run ${plan.runId} of ${truth.id} never came to an end`);
  }
  out.finish(state);
  log.push(...out.said);
  add(endOf(rig, state, lineEndFt));
  if (fixture) {
    rig.runWater(null);
    add({ kind: 'water', ...here('back'), state: 'draining' });
    const [leastS, mostS] = [state.elapsedS + DRAIN_S[0], state.elapsedS + DRAIN_S[1]];
    while (state.elapsedS < leastS || (!rig.water.isStill() && state.elapsedS < mostS)) {
      state = rig.advance(5, { motion: 'hold', speedFtPerS: 0 });
    }
    add({ kind: 'water', ...here('back'), state: 'drained' });
  }
  const back = watchPass(rig, 'back');
  const ground = watchGround(rig);
  while (state.cableFt > 0) {
    const before = state;
    state = rig.advance(STEP_S, { motion: 'pull', speedFtPerS: SPEED_FT_PER_S });
    if (state.lens.fouledRatio > WASH_AT) state = rig.wash();
    back.look(before, state);
    ground.look(before, state);
  }
  back.finish(state);
  log.push(...back.said, ...ground.said);
  add({ kind: 'home', pass: 'back', readingFt: readCounter(state.readingFt) });
  log.sort((a, b) => a.atS - b.atS);
  const startMs = Date.parse(startsAt);
  return {
    id: plan.runId,
    accessPointId: plan.accessId,
    ...(truth.lines.length > 1 ? { lineId } : {}),
    facing: plan.facing,
    zero: { at: 'rim', readingFt: plan.zeroFt, dropFt },
    cleanedBefore: truth.cleanedBefore,
    head: plan.head,
    aid: plan.aid,
    headLevels: head.levels,
    outcome: 'done',
    entries: log.map(({ draft, atS }, index) => ({
      id: `${plan.runId}-${index + 1}`,
      at: new Date(startMs + Math.round(atS * 1000) + index).toISOString(),
      ...draft,
    })),
  };
}

function endOf(rig: Rig, state: RigState, lineEndFt: number): EntryDraft {
  const place = { pass: 'out' as const, readingFt: readCounter(state.readingFt) };
  const end = (reason: string, confirmedBy: string) =>
    ({ kind: 'end', ...place, reason, confirmedBy }) as EntryDraft;
  const line = rig.path.pieces[1]!.line!;
  if (state.headFt >= lineEndFt - 1e-6) {
    if (rig.path.facing === 'upstream') return end(line.head, 'sight');
    // What is under water is found from above.
    return end(line.outlet.kind, state.isUnder ? 'locate' : 'sight');
  }
  switch (state.stoppedBy) {
    case 'friction':
    case 'rod':
      return end('lost-push', 'none');
    case 'bend':
    case 'bore':
      return end('bend', 'none');
    default:
      return end('obstruction', 'none');
  }
}

/** Pipes, zones and locates of the back pass: what is told of the ground and the pipe, foot by foot. */
function watchGround(rig: Rig): {
  said: Said[];
  look: (before: RigState, state: RigState) => void;
} {
  const said: Said[] = [];
  const { path } = rig;
  // At the very end the head looks into the next pipe; what it came through is told.
  const inside = (headFt: number) => Math.min(headFt, path.pieces[1]!.toFt - 1e-6);
  let nextLocateFt = Infinity;
  return {
    said,
    look: (before, state) => {
      const [wasFt, isFt] = [inside(before.headFt), inside(state.headFt)];
      const was = stationAt(path, wasFt);
      if (!was) return;
      const at = stationAt(path, isFt);
      const say = (draft: object) =>
        said.push({
          draft: { pass: 'back', readingFt: readCounter(state.readingFt), ...draft } as EntryDraft,
          atS: state.elapsedS,
        });
      const pipe = pathPipeAt(path, wasFt);
      // Coming home, the pipe just left lies beyond, away from the access.
      if (pipe !== pathPipeAt(path, isFt)) {
        const { material, diameterIn } = pipe;
        say({ kind: 'material', side: 'far', material, diameterIn });
      }
      const zone = zoneOf(was);
      if (zone !== null && (!at || zone !== zoneOf(at))) say({ kind: 'zone', zone, side: 'far' });
      for (const { kind, what, fromFt } of path.things) {
        if (kind !== 'feature' || what.feature !== 'property-line') continue;
        if (fromFt > wasFt || fromFt <= isFt) continue;
        say({ kind: 'feature', feature: 'property-line', note: 'found from the surface' });
      }
      if (at && isFt <= nextLocateFt) {
        nextLocateFt = isFt - LOCATE_EVERY_FT;
        const found = rig.locate();
        say({ kind: 'locate', ...(found.blockedBy ? {} : { mark: 'white paint' }), ...found });
      }
    },
  };
}

const zoneOf = ({ line, stationFt }: NonNullable<ReturnType<typeof stationAt>>) =>
  line.zones.find(({ toFt }) => stationFt <= toFt)?.zone ?? null;
