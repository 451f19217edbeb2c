import { useState } from 'react';
import { taught } from '#client/actions/teach';
import { sayNotDone, sendJson } from '#client/api';
import type { OwnWord } from '#core/speech/draft';

/** The inspector's own words: a new one counts at once on this page, and is sent to stand in Settings. */
export function useOwnWords(stored: readonly OwnWord[]) {
  const [ownWords, setOwnWords] = useState(stored);
  const [trouble, setTrouble] = useState<string | null>(null);
  const teach = async (says: string, means: string) => {
    const next = taught(ownWords, says, means);
    setOwnWords(next);
    const sent = await sendJson('PATCH', '/api/preferences', { ownWords: next });
    setTrouble(
      sent.state === 'ok'
        ? null
        : `“${says}” is known on this page only: ${sayNotDone(sent)} Add it in Settings later.`,
    );
  };
  return { ownWords, teach, trouble };
}
