import Joi from 'joi';
import { type Fault, faultsFromJoi, type Outcome, sayGot } from '../base/fault';
import { id, length, line, oneOf, prose, VALIDATION, words } from '../base/joi';
import { MATERIALS } from '../catalogue/materials/index';
import { CLEANED_BEFORE, FACINGS, JOINT_STYLES } from '../catalogue/vocabulary';
import { ZONES } from '../catalogue/zones';
import { accessPointSchema } from '../model/job/access-point.schema';
import { FOUNDATIONS, OCCUPANCIES } from '../model/job/property';
import { defectKeys } from '../model/log/kinds/defect.schema';
import { featureKeys } from '../model/log/kinds/feature.schema';
import { LATERAL_FORMAT, type LateralTruth, type TruthLine } from './truth';

const list = (item: Joi.Schema) => Joi.array().items(item).max(2000).required();
const level = () => Joi.number().min(-12_000).max(12_000).required();
const levels = () =>
  Joi.array().items(Joi.array().ordered(length().required(), level())).min(2).max(2000).required();
const {
  toReadingFt: _to,
  open: _open,
  lengthFt: _length,
  sizeBasis: _basis,
  ourDoing: _ours,
  ...truthDefectKeys
} = defectKeys;

const pipe = Joi.object({
  toFt: length().greater(0).required(),
  material: oneOf(MATERIALS).required(),
  diameterIn: length().greater(0.5).max(48).required(),
  jointEveryFt: length().min(0.5),
  lipIn: length().max(12),
  joint: oneOf(JOINT_STYLES),
});
const stretch = { fromFt: length().required(), toFt: length().required() };

const lineSchema = Joi.object({
  id: id().required(),
  label: line().required(),
  joins: Joi.object({ lineId: id().required(), atFt: length().required() }),
  lengthFt: length().greater(1).max(1000).required(),
  outlet: Joi.object({
    kind: oneOf(['main', 'tank', 'join']).required(),
    diameterIn: length().greater(0.5).max(120).required(),
    levelIn: length().max(48).required(),
  }).required(),
  head: oneOf(['vent', 'trap', 'other']).required(),
  headingDeg: Joi.number().min(-180).max(180).required(),
  invert: levels(),
  ground: levels(),
  pipes: list(pipe).min(1),
  zones: list(Joi.object({ toFt: length().required(), zone: oneOf(ZONES).required() })),
  features: list(
    Joi.object({ atFt: length().required(), ...featureKeys, radiusIn: length().greater(0.5) }),
  ),
  defects: list(Joi.object({ atFt: length().required(), toFt: length(), ...truthDefectKeys })),
  murky: list(Joi.object(stretch)),
  surface: list(
    Joi.object({
      atFt: length().required(),
      what: words(80).required(),
      offsetFt: length().required(),
    }),
  ),
  blocked: list(Joi.object({ ...stretch, by: words(200).required() })),
});

const accessSchema = accessPointSchema.keys({
  lineId: id().required(),
  atFt: length().required(),
  ways: Joi.array().items(oneOf(FACINGS)).min(1).unique().required(),
  dropFt: length().max(60).required(),
  bendsDeg: Joi.array().items(Joi.number().greater(0).max(180)).max(20).required(),
  bendRadiusIn: length().greater(0.5).max(48).required(),
  alongLine: Joi.forbidden(),
});

const schema = Joi.object({
  format: oneOf([LATERAL_FORMAT]).required(),
  version: Joi.number().valid(1).required(),
  id: id().required(),
  title: words().required(),
  about: prose().required(),
  property: Joi.object({
    yearBuilt: Joi.number().integer().min(1600).max(2200),
    households: Joi.number().integer().min(0).max(10_000).required(),
    bathrooms: Joi.number().min(0).max(1000),
    occupancy: oneOf(OCCUPANCIES).required(),
    foundation: oneOf(FOUNDATIONS).required(),
  }).required(),
  cleanedBefore: oneOf(CLEANED_BEFORE).required(),
  lines: list(lineSchema).min(1),
  accesses: list(accessSchema).min(1),
  fixtures: list(
    Joi.object({
      name: words(80).required(),
      lineId: id().required(),
      atFt: length().required(),
      flowGpm: length().greater(0).max(200).required(),
    }),
  ),
  landmarks: list(Joi.object({ name: words(80).required(), xFt: level(), yFt: level() })),
});

/**
 * Checks a lateral of unknown shape.
 *
 * @returns the lateral, or every fault: shapes first, then lines that join nothing, pipes that leave the
 *   line uncovered, things beyond an end.
 */
export function checkLateral(value: unknown): Outcome<LateralTruth> {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    return {
      ok: false,
      faults: [{ path: '', expected: 'a lateral (an object)', got: sayGot(value) }],
    };
  }
  const { error } = schema.validate(value, VALIDATION);
  if (error) return { ok: false, faults: faultsFromJoi(error) };
  const truth = value as LateralTruth;
  const faults = [
    ...truth.lines.flatMap((each, index) => lineFaults(each, `lines[${index}]`, truth)),
    ...[...truth.accesses.entries()].flatMap(([index, at]) =>
      placeFaults(truth, at.lineId, at.atFt, `accesses[${index}]`),
    ),
    ...[...truth.fixtures.entries()].flatMap(([index, at]) =>
      placeFaults(truth, at.lineId, at.atFt, `fixtures[${index}]`),
    ),
  ];
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: truth };
}

function placeFaults(truth: LateralTruth, lineId: string, atFt: number, path: string): Fault[] {
  const found = truth.lines.find((each) => each.id === lineId);
  if (!found) {
    const known = truth.lines.map((each) => each.id).join(', ');
    return [{ path: `${path}.lineId`, expected: `a line of this file (${known})`, got: lineId }];
  }
  if (atFt <= found.lengthFt) return [];
  return [{ path: `${path}.atFt`, expected: `${found.lengthFt} or less`, got: String(atFt) }];
}

function lineFaults(each: TruthLine, path: string, truth: LateralTruth): Fault[] {
  const faults: Fault[] = [];
  const lastPipe = each.pipes.at(-1)!;
  if (lastPipe.toFt !== each.lengthFt) {
    faults.push({
      path: `${path}.pipes[${each.pipes.length - 1}].toFt`,
      expected: `the line's length, ${each.lengthFt}`,
      got: String(lastPipe.toFt),
    });
  }
  for (const [key, stations] of [
    ['pipes', each.pipes.map(({ toFt }) => toFt)],
    ['zones', each.zones.map(({ toFt }) => toFt)],
    ['invert', each.invert.map(([atFt]) => atFt)],
    ['ground', each.ground.map(([atFt]) => atFt)],
  ] as const) {
    const back = stations.findIndex((atFt, index) => index > 0 && atFt <= stations[index - 1]!);
    if (back > 0) {
      const expected = `a station beyond ${stations[back - 1]}`;
      faults.push({ path: `${path}.${key}[${back}]`, expected, got: String(stations[back]) });
    }
  }
  for (const [key, things] of [
    ['features', each.features],
    ['defects', each.defects],
  ] as const) {
    things.forEach((thing, index) => {
      const toFt = 'toFt' in thing ? thing.toFt : thing.atFt;
      if (thing.atFt > each.lengthFt || toFt > each.lengthFt || toFt < thing.atFt) {
        faults.push({
          path: `${path}.${key}[${index}]`,
          expected: `ends in order, within 0 and ${each.lengthFt}`,
          got: `${thing.atFt} to ${toFt}`,
        });
      }
    });
  }
  if (each.joins) {
    faults.push(...placeFaults(truth, each.joins.lineId, each.joins.atFt, `${path}.joins`));
  }
  if ((each.outlet.kind === 'join') !== (each.joins !== undefined)) {
    faults.push({
      path: `${path}.outlet.kind`,
      expected: each.joins ? '"join", since it joins a line' : '"main" or "tank"',
      got: each.outlet.kind,
    });
  }
  return faults;
}
