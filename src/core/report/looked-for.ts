import { overlaps } from '../base/interval';
import { sayList } from '../base/numbers';
import type { DefectKind } from '../catalogue/defects/index';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import { type ClearStretch, readClears } from '../lateral/clears';
import type { Lateral } from '../lateral/lateral';
import { sayOnLine } from '../lateral/say-place';

/** Kinds that a stretch was looked over for and that nothing else that is known speaks against; `null`: every kind. */
function heldKinds(
  { kinds, span, hidden, beyondFt, isDrained }: ClearStretch,
  { findings }: Assessment,
  { lineId }: Lateral,
): readonly DefectKind[] | 'all' | null {
  if (hidden.length > 0 || beyondFt > 0) return null;
  const against = findings.filter(
    (finding) => finding.placed && finding.lineId === lineId && overlaps(finding.span, span),
  );
  if (kinds === null) return against.length === 0 && isDrained ? 'all' : null;
  const held = kinds.filter(
    (kind) =>
      !against.some((finding) => finding.kind === kind) && (kind !== 'standing-water' || isDrained),
  );
  return held.length > 0 ? held : null;
}

/** What the inspector says was looked for and not there, by stretch; nothing that a finding speaks against. */
export function composeLookedFor(assessment: Assessment): string[] {
  const { lateral, branches, names } = assessment;
  const places = new Map<string, { kinds: readonly DefectKind[] | 'all'; where: string[] }>();
  for (const line of [lateral, ...branches])
    for (const stretch of readClears(line)) {
      const kinds = heldKinds(stretch, assessment, line);
      if (kinds === null) continue;
      const key = kinds === 'all' ? 'all' : [...kinds].sort().join();
      const feet = sayOnLine({ lineId: line.lineId, ...stretch.span }, names);
      const where = feet.includes(' to ') ? `from ${feet}` : `at ${feet}`;
      const known = places.get(key);
      if (known && !known.where.includes(where)) known.where.push(where);
      else if (!known) places.set(key, { kinds, where: [where] });
    }
  return [...places.values()].map(({ kinds, where }) =>
    kinds === 'all'
      ? `The inspector looked over the pipe ${sayList(where)} and saw nothing wrong there.`
      : `The inspector looked for ${sayList(kinds.map((kind) => buyerWordsOf(kind).plural))} ${sayList(where)} and saw none.`,
  );
}
