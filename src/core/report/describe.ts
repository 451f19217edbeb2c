import { specOf } from '../catalogue/defects/kinds';
import { type Finding, isLogged } from '../judge/finding';

/** What was seen, in one sentence, with no number that is not in the log or computed from it. */
export function describeFinding(finding: Finding): string {
  if (finding.ruling?.wording) return finding.ruling.wording;
  if (!isLogged(finding)) return finding.says ?? '';
  const sentence = specOf(finding.kind).says({
    facts: finding.facts,
    water: finding.water?.state ?? null,
  });
  if (finding.ourDoing) return `${sentence} This inspection caused it.`;
  return sentence;
}

/** What it means for the house, in a sentence; none where the finding says so itself. */
export function explainFinding(finding: Finding): string[] {
  if (!isLogged(finding)) return [];
  const { kind, verified, causes } = finding;
  const isOpen = kind === 'standing-water' && (!verified || causes.length > 0);
  return [
    isOpen
      ? 'It may be a low stretch, or something farther down may hold the water.'
      : specOf(kind).means,
  ];
}
