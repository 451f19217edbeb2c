import { useEffect, useRef } from 'react';
import { findDraft, keepDraft } from '#client/store';

const lineKey = (jobId: string) => `chert:line:${jobId}`;

/**
 * Brings back a line that was typed before the page was left or lost. Each key is written through to the
 * device's store: the browser may be killed at any moment after it. What the page itself keeps beside it
 * serves where there is no store.
 */
export function useLineDraft(jobId: string, line: string, onLine: (line: string) => void): void {
  const isRead = useRef(false);
  const typed = useRef(line);
  useEffect(() => {
    typed.current = line;
    if (!isRead.current) return;
    window.localStorage.setItem(lineKey(jobId), line);
    keepDraft(lineKey(jobId), line).catch(() => undefined);
  }, [jobId, line]);
  useEffect(() => {
    let isOver = false;
    const beside = window.localStorage.getItem(lineKey(jobId)) ?? '';
    void findDraft(lineKey(jobId))
      .catch(() => '')
      .then((kept) => {
        if (isOver) return;
        isRead.current = true;
        const before = kept || beside;
        if (typed.current === '' && before !== '') onLine(before);
        else if (typed.current !== '')
          keepDraft(lineKey(jobId), typed.current).catch(() => undefined);
      });
    return () => {
      isOver = true;
    };
  }, [jobId, onLine]);
}
