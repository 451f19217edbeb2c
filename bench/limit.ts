import { segmentHeightRatio } from '#core/lateral/opening';
import type { Inspection } from '#core/model/job/inspection';
import type { Entry } from '#core/model/log/entry';

type Seen = {
  readonly id: string;
  readonly kind: string;
  readonly atFt: number;
  readonly toFt: number;
  readonly size: number;
};
type Grade = 'slight' | 'moderate' | 'major';

/**
 * The least that a log needs to become findings: corrections folded, footages corrected by the misclosure and laid on
 * the line, the two passes matched within two feet, and each thing graded by its size. No reasons, no zones, no checks,
 * no rules, nothing said. It is what deriving is measured against, and no part of Chert.
 */
export function leastOf({ runs }: Inspection) {
  const findings: { ids: string[]; kind: string; fromFt: number; toFt: number; grade: Grade }[] =
    [];
  for (const { entries } of runs) {
    const gone = new Set<string>();
    for (const entry of entries) if (entry.replaces !== undefined) gone.add(entry.replaces);
    const home = entries.findLast(({ kind }) => kind === 'home')?.readingFt ?? 0;
    const farFt = entries.reduce((far, { readingFt }) => Math.max(far, readingFt ?? 0), 1);
    const place = (entry: Entry, readingFt: number) =>
      readingFt - (home * (entry.pass === 'out' ? readingFt : 2 * farFt - readingFt)) / (2 * farFt);
    const passes: Record<Entry['pass'], Seen[]> = { out: [], back: [] };
    for (const entry of entries) {
      if (gone.has(entry.id) || entry.kind !== 'defect' || entry.readingFt === null) continue;
      const atFt = place(entry, entry.readingFt);
      const toFt = place(entry, entry.toReadingFt ?? entry.readingFt);
      const size = entry.extentRatio ?? entry.fillRatio ?? (entry.offsetIn ?? 0) / 6;
      passes[entry.pass].push({
        id: entry.id,
        kind: entry.defect,
        atFt: Math.min(atFt, toFt),
        toFt: Math.max(atFt, toFt),
        size,
      });
    }
    const out = passes.out.sort((a, b) => a.atFt - b.atFt);
    const back = passes.back.sort((a, b) => a.atFt - b.atFt);
    const used = new Set<Seen>();
    let low = 0;
    for (const seen of out) {
      while (low < back.length && back[low]!.atFt < seen.atFt - 2) low += 1;
      let best: Seen | undefined;
      for (let at = low; at < back.length && back[at]!.atFt <= seen.atFt + 2; at += 1) {
        const other = back[at]!;
        if (other.kind !== seen.kind || used.has(other)) continue;
        if (!best || Math.abs(other.atFt - seen.atFt) < Math.abs(best.atFt - seen.atFt))
          best = other;
      }
      if (best) used.add(best);
      findings.push(found(best ? [seen, best] : [seen]));
    }
    for (const seen of back) if (!used.has(seen)) findings.push(found([seen]));
  }
  return findings.sort((a, b) => a.fromFt - b.fromFt);
}

function found(seen: readonly Seen[]) {
  const last = seen.at(-1)!;
  const lost = last.kind === 'standing-water' ? segmentHeightRatio(last.size) : last.size;
  const grade: Grade = lost > 0.5 ? 'major' : lost > 0.2 ? 'moderate' : 'slight';
  return {
    ids: seen.map(({ id }) => id),
    kind: last.kind,
    fromFt: last.atFt,
    toFt: last.toFt,
    grade,
  };
}
