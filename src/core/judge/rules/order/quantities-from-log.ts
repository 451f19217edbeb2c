import { question } from '../conclusion';
import type { Rule } from '../rule';

export const quantitiesFromLog: Rule = {
  number: 49,
  id: 'quantities-from-log',
  when: 'a repair would be priced over a length or a diameter that nobody logged',
  then: 'ask for it: quantities come from the log, never from memory',
  because: 'a price over a guessed length is a guess',
  conclude: (scene) =>
    scene.findings
      .filter(({ action, ourDoing }) => !ourDoing && (action === 'repair' || action === 'urgent'))
      .flatMap((finding) => {
        const lacks = finding.stillOpen
          ? ['where it ends', 'Log its other end.']
          : finding.facts.boreIn === null
            ? ['the diameter of the pipe there', 'Log the pipe there with its size.']
            : null;
        return lacks
          ? [
              question(
                finding,
                'reel',
                `Its repair cannot be priced: ${lacks[0]!} was not logged.`,
                lacks[1]!,
              ),
            ]
          : [];
      }),
};
