import { useState } from 'react';
import { taught } from '#client/actions/teach';
import { sendJson } from '#client/api';
import type { OwnWord } from '#core/speech/draft';

/** The inspector's own words: a new one counts at once on this page, and is sent to stand in Settings. */
export function useOwnWords(stored: readonly OwnWord[]) {
  const [ownWords, setOwnWords] = useState(stored);
  const teach = (says: string, means: string) => {
    const next = taught(ownWords, says, means);
    setOwnWords(next);
    void sendJson('PATCH', '/api/preferences', { ownWords: next });
  };
  return { ownWords, teach };
}
