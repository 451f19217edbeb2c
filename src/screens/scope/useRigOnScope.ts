import { useCallback, useEffect, useState } from 'react';
import type { Place } from '#client/actions/counter';
import type { CounterReading } from '#client/gear/gear';
import { recallRig, rememberRig, type RigMemory } from '#client/gear/rig-memory';
import type { Field } from './useField';

export type RigOnScope = {
  /** What the rig is in; `null` when it is closed. */
  readonly memory: RigMemory | null;
  readonly isChoosing: boolean;
  /** Where the camera is: by the rig's counter while it is open, else as the log or the hand left it. */
  readonly place: Place;
  /** How much later than the clock it is in the rig, milliseconds. */
  readonly laterMs: number;
  readonly choose: (isChoosing: boolean) => void;
  readonly open: (memory: RigMemory) => void;
  readonly close: () => void;
  readonly hear: (reading: CounterReading) => void;
  readonly wait: (milliseconds: number) => void;
};

/** The simulated rig of the run in hand: whether it is open, and what its counter says. */
export function useRigOnScope(jobId: string, field: Field): RigOnScope {
  const runId = field.run?.id ?? null;
  const [memory, setMemory] = useState<RigMemory | null>(null);
  const [isChoosing, setChoosing] = useState(false);
  const [reading, setReading] = useState<CounterReading | null>(null);
  useEffect(() => {
    // A page that was left with the rig open comes back with it.
    setMemory(runId === null ? null : recallRig(jobId, runId));
    setReading(null);
    setChoosing(false);
  }, [jobId, runId]);
  const { setPlace } = field;
  const gearPass = reading?.pass;
  useEffect(() => {
    if (gearPass !== undefined) setPlace({ pass: gearPass });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the pass follows the camera when it turns; between turns the inspector has the last word
  }, [gearPass]);
  const counterFt = reading === null ? null : Math.round(reading.readingFt * 10) / 10;
  return {
    memory,
    isChoosing,
    place: counterFt === null ? field.place : { counterFt, pass: field.place.pass },
    laterMs: memory?.laterMs ?? 0,
    choose: setChoosing,
    open: (next) => {
      if (runId !== null) rememberRig(jobId, runId, next);
      setMemory(next);
      setChoosing(false);
    },
    close: () => {
      if (counterFt !== null) setPlace({ counterFt });
      setMemory(null);
      setReading(null);
    },
    hear: useCallback((next) => setReading(next), []),
    wait: (milliseconds) =>
      setMemory((now) => {
        if (!now || runId === null) return now;
        const next = { ...now, laterMs: now.laterMs + milliseconds };
        rememberRig(jobId, runId, next);
        return next;
      }),
  };
}
