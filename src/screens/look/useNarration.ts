import { useEffect, useState } from 'react';
import type { Narration, Settled } from '#client/actions/narration';
import { findDraft, keepDraft } from '#client/store';
import type { Heard } from '#core/speech/hear/heard';

export type NarrationOnDevice = {
  readonly narration: Narration | null;
  readonly heard: Heard | null;
  readonly take: (name: string, text: string) => void;
  readonly choosePart: (part: number) => void;
  readonly settle: (id: string, settled: Settled) => void;
  /** Leaves only what was not logged. */
  readonly done: (ids: readonly string[]) => void;
  readonly remove: () => void;
  /** Brings back what was removed last; `null` where nothing was. */
  readonly bringBack: (() => void) | null;
};

/** What was said to a recording, and what was made of it so far: kept on this device until it is removed. */
export function useNarration(key: string): NarrationOnDevice {
  const [narration, setNarration] = useState<Narration | null>(null);
  const [removed, setRemoved] = useState<Narration | null>(null);
  useEffect(() => {
    let isOver = false;
    setNarration(null);
    setRemoved(null);
    findDraft(key)
      .then((text) => {
        if (!isOver && text !== '') setNarration(JSON.parse(text) as Narration);
      })
      .catch(() => undefined);
    return () => {
      isOver = true;
    };
  }, [key]);
  const change = (next: Narration | null) => {
    setNarration(next);
    // A device without room forgets: the subtitles are a file of the inspector's own.
    void keepDraft(key, next ? JSON.stringify(next) : '').catch(() => undefined);
  };
  const text = narration?.text ?? null;
  const [heard, setHeard] = useState<Heard | null>(null);
  useEffect(() => {
    let isOver = false;
    setHeard(null);
    // The reader of narrations is fetched once somebody brings one.
    if (text !== null)
      void import('#core/speech/hear/hear').then(({ hear }) => {
        if (!isOver) setHeard(hear(text));
      });
    return () => {
      isOver = true;
    };
  }, [text]);
  const settled = narration?.settled ?? {};
  return {
    narration,
    heard,
    take: (name, said) => change({ name, text: said, part: 0, settled: {} }),
    choosePart: (part) => narration && change({ ...narration, part }),
    settle: (id, one) =>
      narration &&
      change({ ...narration, settled: { ...settled, [id]: { ...settled[id], ...one } } }),
    done: (ids) =>
      narration &&
      change({
        ...narration,
        settled: {
          ...settled,
          ...Object.fromEntries(ids.map((id) => [id, { ...settled[id], verdict: 'logged' }])),
        },
      }),
    remove: () => {
      setRemoved(narration);
      change(null);
    },
    bringBack: removed && !narration ? () => change(removed) : null,
  };
}
