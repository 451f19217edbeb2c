import type { ValidationError } from 'joi';
import { ulid } from 'ulid';
import type { Doing } from '#client/job-on-device';
import { VALIDATION } from '#core/base/joi';
import { MAIN_LINE } from '#core/lateral/lateral';
import type { AccessPoint } from '#core/model/job/access-point';
import { accessPointSchema } from '#core/model/job/access-point.schema';
import type { Inspection } from '#core/model/job/inspection';
import { spanSchema } from '#core/model/job/inspection.schema';
import { accessNameAt, freeLabel, runNameAt } from '#core/model/job/labels';
import type { Run } from '#core/model/job/run';
import { runSetupSchema } from '#core/model/job/run.schema';
import type { TypedFields } from './typed';

/** What is chosen in a select where there is none yet. */
export const ANOTHER = '+';
/** The line that a run without one belongs to. */
export const HOUSE_LINE = { id: MAIN_LINE, label: 'house to main' } as const;

export type Chosen = {
  /** An access point's id, or `ANOTHER`. */
  readonly accessId: string;
  /** A line's id, `ANOTHER`, or '' for the house line. */
  readonly lineId: string;
};

export type StartedRun =
  | { readonly ok: true; readonly doing: readonly Doing[]; readonly run: Run }
  | {
      readonly ok: false;
      readonly errors: readonly ValidationError[];
      readonly isLineNameless: boolean;
    };

/** Reads a run's set-up: the access and the line where they are new, the tape between two accesses, the run. */
export function startRun(
  { accessPoints, runs, lines = [], spans = [] }: Inspection,
  { accessId, lineId }: Chosen,
  { text, number }: TypedFields,
): StartedRun {
  const isNew = accessId === ANOTHER;
  const id = isNew ? ulid() : accessId;
  const access = {
    id,
    label: freeLabel(accessPoints, accessNameAt),
    kind: text('kind'),
    diameterIn: number('diameterIn'),
    material: text('material'),
    place: text('place'),
    zone: text('zone'),
    usable: true,
    obstacle: null,
  };
  const isNewLine = lineId === ANOTHER;
  const newLine = { id: ulid(), label: text('lineLabel'), joins: MAIN_LINE };
  const setup = {
    id: ulid(),
    label: freeLabel(runs, runNameAt),
    accessPointId: id,
    ...(lineId === '' ? {} : { lineId: isNewLine ? newLine.id : lineId }),
    facing: text('facing'),
    zero: {
      at: text('zeroAt'),
      readingFt: number('zeroFt'),
      dropFt: text('zeroAt') === 'rim' ? number('dropFt') : 0,
    },
    cleanedBefore: text('cleanedBefore'),
    waterAtStart: text('waterAtStart'),
    ...(text('head') ? { head: text('head') } : {}),
    aid: text('aid'),
  };
  const span = {
    fromAccessPointId: text('tapedFrom'),
    toAccessPointId: id,
    alongFt: number('tapedFt'),
    basis: 'taped' as const,
  };
  const isTaped = text('tapedFt') !== '';
  const errors = [
    isNew ? accessPointSchema.validate(access, VALIDATION).error : undefined,
    runSetupSchema.validate(setup, VALIDATION).error,
    isTaped ? spanSchema.validate(span, VALIDATION).error : undefined,
  ].filter((error) => error !== undefined);
  const isLineNameless = isNewLine && newLine.label === '';
  if (errors.length > 0 || isLineNameless) return { ok: false, errors, isLineNameless };

  const withMain = lines.some((one) => one.id === MAIN_LINE) ? lines : [HOUSE_LINE, ...lines];
  const facts = {
    ...(isNewLine ? { lines: [...withMain, newLine] } : {}),
    ...(isTaped ? { spans: [...spans, span] } : {}),
  };
  const run = setup as Omit<Run, 'entries'>;
  const doing: Doing[] = [
    ...(isNew ? [{ what: 'access' as const, access: access as AccessPoint }] : []),
    ...(isNewLine || isTaped ? [{ what: 'facts' as const, facts }] : []),
    { what: 'run', setup: run },
  ];
  return { ok: true, doing, run: { ...run, entries: [] } };
}
