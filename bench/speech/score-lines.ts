import { readFileSync } from 'node:fs';
import type { Entry } from '#core/model/log/entry';
import { type CalloutContext, openIdsOf } from '#core/speech/draft';
import { readLine } from '#core/speech/read-line';

/** Short names that the corpus writes for fields. */
const FIELDS: Readonly<Record<string, string>> = {
  to: 'toReadingFt',
  word: 'sizeWord',
  cert: 'certainty',
  ext: 'extentRatio',
  dep: 'depthIn',
  depTo: 'depthToIn',
  off: 'offsetIn',
  gap: 'gapIn',
  lip: 'lipIn',
  fill: 'fillRatio',
  dia: 'diameterIn',
  cands: 'candidates',
  conf: 'confirmedBy',
  left: 'remainderFt',
  soil: 'soilVisible',
  holds: 'holdsDebris',
};
/** Fields that hold a name after the kind. */
const NAMED: Readonly<Record<string, string>> = {
  defect: 'defect',
  feature: 'feature',
  material: 'material',
};
/** Prose: right when it holds the words wanted. */
const PROSE = ['fixture', 'serves', 'mark', 'source', 'reference'];
/** Always right with or without. */
const FREE = ['pass', 'note', 'side', 'text', 'fixture', 'turns'];

export type Verdict = 'right' | 'asked' | 'kept' | 'partly' | 'wrong' | 'false fact';
export type Scored = {
  readonly tag: string;
  readonly say: string;
  readonly verdict: Verdict;
  readonly why: string;
};
export type Wanted = { readonly fields: Record<string, unknown>; readonly may: readonly string[] };

function valueOf(text: string): unknown {
  if (text === 'true' || text === 'false') return text === 'true';
  return /^-?\.?\d+(\.\d+)?$/.test(text) ? Number(text) : text;
}

/** `defect roots @57 word=heavy cert=suspected|-`: one entry. `|-`: with or without. */
export function wantedOf(text: string): Wanted {
  const [kind = '', ...words] = text.trim().split(/\s+/);
  const fields: Record<string, unknown> = { kind };
  const may: string[] = [];
  for (const word of words) {
    if (word === '@-') may.push('readingFt');
    else if (word.startsWith('@')) fields['readingFt'] = Number(word.slice(1));
    else if (!word.includes('=')) fields[NAMED[kind] ?? 'what'] = word;
    else {
      const [name = '', said = ''] = word.split('=');
      const field = FIELDS[name] ?? name;
      const isList = field === 'kinds' || field === 'candidates';
      if (said.endsWith('|-') || said === '-') may.push(field);
      else fields[field] = isList ? said.split(',').sort().join() : valueOf(said);
    }
  }
  return { fields, may };
}

/** What stands in the log already: `log=material@12`. */
const STANDING: Readonly<Record<string, object>> = {
  material: { kind: 'material', material: 'vitrified-clay', side: 'far' },
  iron: { kind: 'material', material: 'cast-iron', side: 'far' },
  defect: { kind: 'defect', defect: 'offset', offsetIn: 0.5 },
  feature: { kind: 'feature', feature: 'tee' },
  roots30: { kind: 'defect', defect: 'roots', extentRatio: 0.3 },
  water: { kind: 'defect', defect: 'standing-water', open: true },
};

function contextOf(words: readonly string[]): CalloutContext {
  const [counter = '0', ...more] = words;
  const set = new Map(more.map((one) => one.split('=') as [string, string]));
  const standing = (set.get('log') ?? '')
    .split(',')
    .filter((one) => one !== '')
    .map((one, index) => {
      const [name = '', at = '0'] = one.split('@');
      const place = { id: `e${index + 1}`, at: '2026-11-03T09:00:00Z', readingFt: Number(at) };
      return { ...STANDING[name], ...place, pass: set.get('pass') ?? 'out' } as unknown as Entry;
    });
  return {
    counterFt: Number(counter),
    pass: set.get('pass') === 'back' ? 'back' : 'out',
    boreHereIn: Number(set.get('bore') ?? 4),
    standing,
    openIds: openIdsOf(standing),
  };
}

const isSame = (field: string, got: unknown, want: unknown): boolean => {
  const list: unknown = Array.isArray(got) ? [...(got as string[])].sort().join() : got;
  if (PROSE.includes(field))
    return typeof got === 'string' && got.toLowerCase().includes(String(want).toLowerCase());
  return typeof want === 'number' && typeof list === 'number'
    ? Math.abs(list - want) < 0.006
    : list === want;
};

export function matchWanted(draft: Record<string, unknown>, { fields, may }: Wanted): string[] {
  const wrong = Object.entries(fields).flatMap(([field, value]) =>
    isSame(field, draft[field], value)
      ? []
      : [`${field}: wanted ${String(value)}, got ${JSON.stringify(draft[field])}`],
  );
  const extra = Object.keys(draft).filter(
    (field) =>
      !(field in fields) &&
      !may.includes(field) &&
      !FREE.includes(field) &&
      // Of two candidates neither is certain.
      !(field === 'certainty' && 'candidates' in draft) &&
      field !== 'readingFt' &&
      !(field === 'open' && draft['defect'] === 'standing-water') &&
      !(field === 'confirmedBy' || field === 'remainderFt' || field === 'replaces'),
  );
  return [
    ...wrong,
    ...extra.map((field) => `${field}: not said, got ${JSON.stringify(draft[field])}`),
  ];
}

/** The thing that an entry states, for telling a fact from another. */
export const thingOf = (draft: Record<string, unknown>): string =>
  [draft['kind'], draft['defect'], draft['feature'], draft['material']].filter(Boolean).join(' ');

function judge(want: string, say: string, context: CalloutContext): Omit<Scored, 'tag' | 'say'> {
  const read = readLine(say, context);
  if (!read) return { verdict: 'wrong', why: 'nothing read' };
  const drafts = (read.kept === null ? read.drafts : []) as unknown as Record<string, unknown>[];
  const kept = read.kept ?? 'nothing';
  const saw = drafts.map(thingOf).join(' + ') || kept;
  if (want === 'any') return { verdict: 'right', why: '' };
  if (want === 'ask') {
    return read.choices.length > 0 || (drafts.length === 0 && read.missing.length > 0)
      ? { verdict: 'right', why: '' }
      : { verdict: drafts.length > 0 ? 'false fact' : 'wrong', why: saw };
  }
  if (read.choices.length > 0) return { verdict: 'asked', why: saw };
  if (want === 'note' || want === 'flag')
    return drafts.length > 0
      ? { verdict: 'false fact', why: saw }
      : { verdict: read.kept === want ? 'right' : 'wrong', why: `kept as ${kept}` };
  if (want.startsWith('facts')) {
    if (drafts.length > 0) return { verdict: 'false fact', why: saw };
    const [, path = '', value = ''] = /^facts(?: (\S+)=(\S+))?/.exec(want) ?? [];
    const [of = '', field = ''] = path.split('.');
    const facts = read.facts as Record<string, Record<string, unknown> | undefined>;
    const isRight = path ? facts[of]?.[field] === valueOf(value) : Object.keys(facts).length > 0;
    return { verdict: isRight ? 'right' : 'wrong', why: JSON.stringify(facts) };
  }
  const wanted = want
    .split(' ; ')
    .map((one) => one.split('|').filter((part) => !part.startsWith('-')));
  const lists = want.split(' ; ').map(wantedOf);
  const things = new Set(lists.map(({ fields }) => thingOf(fields)));
  const falseOnes = drafts.filter((draft) => !things.has(thingOf(draft)));
  if (falseOnes.length > 0 && wanted.every((one) => one.length === 1))
    return { verdict: 'false fact', why: falseOnes.map(thingOf).join(', ') };
  if (drafts.length === 0) return { verdict: 'kept', why: `kept as ${kept}` };
  const why = lists.flatMap((one) => {
    const same = drafts.filter((draft) => thingOf(draft) === thingOf(one.fields));
    const tried = same.map((draft) => matchWanted(draft, one)).sort((a, b) => a.length - b.length);
    return tried[0] ?? [`${thingOf(one.fields)}: not read`];
  });
  if (drafts.length > lists.length) why.push('more entries than wanted');
  return { verdict: why.length === 0 ? 'right' : 'partly', why: why.join('; ') };
}

/** Reads every line of a corpus and says how it went. */
export function scoreLines(path: string): Scored[] {
  return readFileSync(path, 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '' && !line.startsWith('#'))
    .map((line): Scored => {
      const [tag = '', say = '', where = '', want = ''] = line
        .split(' | ')
        .map((one) => one.trim());
      return { tag, say, ...judge(want, say, contextOf(where.split(/\s+/))) };
    });
}
