import { readFileSync } from 'node:fs';
import type { Entry } from '#core/model/log/entry';
import { parseCallout } from '#core/speech/parse';

type HeldOut = {
  readonly by: string;
  readonly say: string;
  readonly counterFt: number;
  readonly pass: 'out' | 'back';
  readonly log?: readonly Record<string, unknown>[];
  readonly want: readonly Record<string, unknown>[];
  readonly may?: readonly string[];
};

export type Verdict = 'right' | 'asked' | 'kept' | 'partly' | 'wrong';
export type Scored = { readonly say: string; readonly verdict: Verdict; readonly why: string };

/** Prose: right when it holds the words wanted. */
const PROSE = ['mark', 'reference', 'serves', 'source', 'fixture'];
/** Always right with or without: the pass is the run's, and words left over are kept as a note. */
const ALWAYS = ['pass', 'note'];

const isSame = (field: string, got: unknown, want: unknown): boolean =>
  PROSE.includes(field)
    ? (typeof got === 'string' ? got : '').toLowerCase().includes(String(want).toLowerCase())
    : typeof want === 'number' && typeof got === 'number'
      ? Math.abs(got - want) < 0.006
      : got === want;

function judge(
  draft: Record<string, unknown>,
  want: Record<string, unknown>,
  may: readonly string[],
): string[] {
  const wrong = Object.entries(want).flatMap(([field, value]) =>
    isSame(field, draft[field], value)
      ? []
      : [`${field}: wanted ${String(value)}, got ${String(draft[field])}`],
  );
  const extra = Object.keys(draft).filter(
    (field) => !(field in want) && !may.includes(field) && !ALWAYS.includes(field),
  );
  const isOpenWater = want['defect'] === 'standing-water';
  return [
    ...wrong,
    ...extra
      .filter((field) => !(isOpenWater && field === 'open'))
      .map((field) => `${field}: not wanted, got ${String(draft[field])}`),
  ];
}

/** Reads every held-out call-out and says how it went. */
export function scoreHeldOut(): Scored[] {
  const path = 'bench/callouts/held-out.json';
  const { callouts } = JSON.parse(readFileSync(path, 'utf8')) as { callouts: HeldOut[] };
  return callouts.map(({ say, counterFt, pass, log = [], want, may = [] }): Scored => {
    const standing = log.map(
      (entry, index) =>
        ({ at: `2026-11-03T09:0${index}:00Z`, pass: 'out', ...entry }) as unknown as Entry,
    );
    const openIds = new Set(
      standing.filter((entry) => 'open' in entry && entry.open).map(({ id }) => id),
    );
    const read = parseCallout(say, { counterFt, pass, boreHereIn: 4, standing, openIds })!;
    const faults = want.flatMap((one, index) => {
      const draft = read.drafts[index];
      return draft ? judge(draft, one, may) : ['nothing read'];
    });
    const tooMany = read.drafts.length > want.length ? ['more entries than wanted'] : [];
    const why = [...faults, ...tooMany].join('; ');
    if (read.kept !== null) return { say, verdict: why === '' ? 'right' : 'kept', why };
    if (read.choices.length > 0)
      return { say, verdict: 'asked', why: read.choices.map(({ label }) => label).join(' or ') };
    if (why === '') return { say, verdict: 'right', why };
    const isThing = want.every((one, index) => {
      const draft = read.drafts[index] as Record<string, unknown> | undefined;
      return (['kind', 'defect', 'readingFt'] as const).every(
        (field) => draft?.[field] === one[field],
      );
    });
    return { say, verdict: isThing ? 'partly' : 'wrong', why };
  });
}
