import type { Pass } from '../catalogue/vocabulary';
import type { Assessment } from '../judge/assessment';
import type { Lateral } from '../lateral/lateral';
import type { PlacedTie, TieStanding } from '../measure/join/join';
import type { RunAxis } from '../measure/placement';
import type { Entry } from '../model/log/entry';
import { sayEntry } from '../model/log/say-entry';
import type { Frame } from './frame';

/** One thing of a run on its lane. */
export type LaneDot = {
  readonly runId: string;
  readonly entryId: string;
  readonly x: number;
  readonly y: number;
  readonly stationFt: number;
  readonly readingFt: number;
  readonly pass: Pass;
  readonly kind: 'feature' | 'pipe' | 'defect' | 'end';
  readonly title: string;
  readonly tieId: string | null;
};

/** One run laid under the Section: where it went and what it saw, by its own counter. */
export type Lane = {
  readonly runId: string;
  readonly accessId: string;
  /** The run and its access point as people call them. */
  readonly name: string;
  readonly from: string;
  readonly facing: 'downstream' | 'upstream';
  readonly placed: boolean;
  readonly y: number;
  readonly fromX: number;
  readonly toX: number;
  /** Where the access is. */
  readonly accessX: number;
  readonly dots: readonly LaneDot[];
};

/** A tie as a thread from lane to lane: upright where the runs agree, slanting where they do not. */
export type Thread = {
  readonly tieId: string;
  readonly label: string;
  readonly standing: TieStanding;
  readonly points: readonly { readonly x: number; readonly y: number }[];
};

export type Lanes = {
  readonly height: number;
  readonly lanes: readonly Lane[];
  readonly threads: readonly Thread[];
};

/** Room for a gloved finger on one lane without touching the next. */
const LANE_HEIGHT = 40;
const TOP = 24;

/**
 * Lays every run of a line under the Section on the same scale of stations. A run that nothing joins
 * yet is laid as if its access were station 0.
 */
export function layLanes({ lateral }: Assessment, frame: Frame): Lanes {
  const axes = [...lateral.axes, ...lateral.unplaced];
  const lanes = axes.map((axis, index) => layLane(axis, TOP + index * LANE_HEIGHT, frame));
  return {
    height: TOP + Math.max(1, axes.length) * LANE_HEIGHT - 14,
    lanes,
    threads: threadsOf(lateral, lanes),
  };
}

function layLane(axis: RunAxis, y: number, frame: Frame): Lane {
  const [accessX, endX] = [frame.xOf(axis.originFt), frame.xOf(axis.placeAlong(axis.reachFt))];
  const dots = axis.log.standing.flatMap((entry): LaneDot[] => {
    const kind = dotKind(entry);
    if (kind === null || entry.readingFt === null) return [];
    const { alongFt, stationFt } = axis.placeOf(entry.pass, entry.readingFt);
    if (alongFt < 0) return [];
    return [
      {
        runId: axis.run.id,
        entryId: entry.id,
        x: frame.xOf(stationFt),
        y,
        stationFt,
        readingFt: entry.readingFt,
        pass: entry.pass,
        kind,
        title: sayEntry(entry).title,
        tieId: axis.words.tieOf(entry.id)?.id ?? null,
      },
    ];
  });
  return {
    runId: axis.run.id,
    accessId: axis.run.accessPointId,
    name: axis.name,
    from: axis.from,
    facing: axis.run.facing,
    placed: axis.placed,
    y,
    fromX: Math.min(accessX, endX),
    toX: Math.max(accessX, endX),
    accessX,
    dots: dots.sort((a, b) => a.x - b.x),
  };
}

/** What an entry is on a lane; `null` for what is no thing that two runs could share. */
function dotKind(entry: Entry): LaneDot['kind'] | null {
  switch (entry.kind) {
    case 'feature':
    case 'defect':
    case 'end':
      return entry.kind;
    case 'material':
      return 'pipe';
    default:
      return null;
  }
}

function threadsOf(lateral: Lateral, lanes: readonly Lane[]): Thread[] {
  const dots = new Map(
    lanes.flatMap((lane) => lane.dots.map((dot) => [`${dot.runId}\u0000${dot.entryId}`, dot])),
  );
  return lateral.join.ties.map((tie: PlacedTie) => ({
    tieId: tie.id,
    label: tie.label,
    standing: tie.standing,
    points: tie.sightings
      .flatMap(({ runId, entryId }) => dots.get(`${runId}\u0000${entryId}`) ?? [])
      .map(({ x, y }) => ({ x, y }))
      .sort((a, b) => a.y - b.y),
  }));
}
