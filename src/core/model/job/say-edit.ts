import { plainText } from '../../base/plain-text';
import type { Inspection } from './inspection';
import { labelOf } from './labels';

/** Sections as people name them. */
const SECTIONS: Readonly<Record<string, string>> = {
  job: 'job',
  property: 'house',
  settings: 'settings',
  accessPoints: 'access point',
  runs: 'run',
  lines: 'line',
  ties: 'tie',
  spans: 'tape',
  decisions: 'decision',
};

/** "inspectionPeriodEndsOn" as "inspection period ends on". */
const inWords = (key: string) =>
  key.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

/** The longest value that is told whole, characters. */
const MOST_TOLD = 60;

/** A value as a line of a history tells it. */
export function sayValue(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string')
    return plainText(value.length > MOST_TOLD ? `${value.slice(0, MOST_TOLD)}…` : value);
  if (Array.isArray(value)) return value.length === 1 ? 'one thing' : `${value.length} things`;
  const { label, kind } = value as { readonly label?: unknown; readonly kind?: unknown };
  if (typeof label === 'string') return plainText(label);
  return typeof kind === 'string' ? plainText(kind.replace(/-/g, ' ')) : 'set';
}

/** A field of a job by its path: "house: year built", "run R2: zero, drop ft". */
export function sayField(inspection: Inspection, [section, ...keys]: readonly string[]): string {
  const name = SECTIONS[section!] ?? section!;
  const isPart = section === 'runs' || section === 'accessPoints';
  const part = isPart ? inspection[section].find(({ id }) => id === keys[0]) : undefined;
  const rest = part || !['job', 'property', 'settings'].includes(section!) ? keys.slice(1) : keys;
  const subject = part ? `${name} ${labelOf(part)}` : name;
  const field = rest
    .filter((key) => !key.startsWith('@'))
    .map(inWords)
    .join(', ');
  return field === '' ? subject : `${subject}: ${field}`;
}
