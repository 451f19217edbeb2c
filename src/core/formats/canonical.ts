/** Documented order of the keys in an inspection file; keys not listed follow in alphabetical order. */
const KEY_ORDER = [
  'format', 'version', 'job', 'property', 'accessPoints', 'lines', 'runs', 'ties', 'spans',
  'decisions', 'settings',
  'id', 'title', 'label', 'at', 'pass', 'readingFt', 'kind', 'scope', 'purpose', 'complaint',
  'scheduledFor', 'inspectionPeriodEndsOn', 'inspectionPeriodEndsAt', 'dayBasis', 'inspector',
  'client', 'responsibility', 'referenceRunId', 'minFallInPerFt', 'localRules', 'profile',
  'address', 'yearBuilt', 'households', 'bathrooms', 'occupancy', 'foundation', 'frontFaces',
  'history', 'joins', 'accessPointId', 'lineId', 'facing', 'zero', 'dropFt', 'cleanedBefore',
  'waterAtStart', 'head', 'aid', 'headLevels', 'outcome',
  'side', 'material', 'diameterIn', 'lined', 'joint', 'place', 'zone', 'alongLine', 'usable', 'obstacle', 'trouble',
  'feature', 'clock', 'angleDeg', 'turns', 'serves',
  'defect', 'toReadingFt', 'open', 'lengthFt', 'locus', 'clockFrom', 'clockTo', 'depthIn',
  'depthToIn', 'fillRatio', 'extentRatio', 'offsetIn', 'gapIn', 'lipIn', 'sizeWord', 'sizeBasis', 'form',
  'candidates', 'direction', 'holdsDebris', 'soilVisible', 'movesWithWater', 'ourDoing', 'closes', 'state', 'source', 'cause',
  'kinds', 'does', 'text', 'confirms', 'accepted', 'mark', 'reference', 'swings', 'groundIn', 'position', 'blockedBy', 'fixture', 'result',
  'reason', 'confirmedBy', 'remainderFt', 'what', 'offsetFt', 'retracts',
  'certainty', 'note', 'photoIds', 'audioId', 'replaces',
  'sightings', 'runId', 'entryId', 'fromAccessPointId', 'toAccessPointId', 'alongFt', 'basis',
  'entries',
]; // prettier-ignore

const RANK = new Map(KEY_ORDER.map((key, index) => [key, index]));

function compareKeys(a: string, b: string): number {
  const rankA = RANK.get(a) ?? KEY_ORDER.length;
  const rankB = RANK.get(b) ?? KEY_ORDER.length;
  return rankA - rankB || (a < b ? -1 : 1);
}

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (value === null || typeof value !== 'object') return value;
  // `fromEntries` defines own keys, so a key named "__proto__" stays a plain key.
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => compareKeys(a, b))
      .map(([key, inner]) => [key, inOrder(inner)]),
  );
}

/**
 * Writes JSON in the canonical form: documented key order, two-space indent, a newline at the end.
 * Two files with the same content are the same bytes.
 */
export function writeCanonical(value: unknown): string {
  return `${JSON.stringify(inOrder(value), null, 2)}\n`;
}
