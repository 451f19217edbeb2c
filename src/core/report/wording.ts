import type { Decision } from '../model/job/inspection';
import { wordingsOf } from '../model/job/report-words';

/** A text that the inspector may put in other words: Chert's, and the one that stands. */
export type EditableText = {
  readonly key: string;
  readonly computed: string;
  readonly text: string;
  /** The inspector's words, where the text under them has changed since: shown, and not in force. */
  readonly stale: string | null;
  readonly decisionId: string | null;
};

/** Lays the inspector's wording over texts as they are composed, and keeps both. */
export function layWording(decisions: readonly Decision[]) {
  const wordings = wordingsOf(decisions);
  const texts: EditableText[] = [];
  return {
    texts,
    /** The text in force for a key. */
    say(key: string, computed: string): string {
      const wording = wordings.get(key);
      const stands = wording !== undefined && wording.over === computed;
      const text = stands ? wording.text : computed;
      texts.push({
        key,
        computed,
        text,
        stale: wording && !stands ? wording.text : null,
        decisionId: wording?.id ?? null,
      });
      return text;
    },
  };
}

export type Wordings = ReturnType<typeof layWording>;
