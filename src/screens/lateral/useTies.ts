import { useEffect, useMemo, useState } from 'react';
import { tieActions } from '#client/actions/ties';
import type { JobOnDevice } from '#client/job-on-device';
import type { Remedy } from '#core/measure/join/causes/cause';
import { parseTape, withTape } from '#core/measure/join/parse-tape';
import { parseTie } from '#core/measure/join/parse-tie';
import type { TieSuggestion } from '#core/measure/join/suggest';
import type { Spot } from '#core/measure/join/tie-spots';
import type { Span, Tie } from '#core/model/job/inspection';
import { labelIn } from '#core/model/job/labels';
import { foldLog } from '#core/model/log/fold';
import { sayEntry } from '#core/model/log/say-entry';
import type { LateralModel } from '#core/section/lateral-view';
import type { Before } from './TieList';

const NOWHERE: Before = new Map();

export type TieWork = ReturnType<typeof useTies>;

/** The work at ties: what is picked up, chosen, just done, and how to take that back. */
export function useTies(job: JobOnDevice, model: LateralModel) {
  const { inspection } = job;
  const [held, setHeld] = useState<Spot | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const [dropped, setDropped] = useState<Tie | null>(null);
  const [before, setBefore] = useState<Before>(NOWHERE);
  const logs = useMemo(
    () => new Map(inspection.runs.map((run) => [run.id, foldLog(run.entries)])),
    [inspection],
  );
  const actions = tieActions(job, model.ties);
  const entryOf = ({ runId, entryId }: Spot) => logs.get(runId)?.byId.get(entryId);
  const nameOf = (spot: Spot) => {
    const entry = entryOf(spot);
    return entry ? sayEntry(entry).title : '';
  };

  const { ties } = inspection;
  const [isLed, setLed] = useState(false);
  useEffect(() => {
    if (isLed) return;
    setLed(true);
    // A check sends here with the entry it is about: the tie that holds it is chosen.
    const entry = new URLSearchParams(window.location.search).get('entry');
    const tie = ties.find(({ sightings }) => sightings.some(({ entryId }) => entryId === entry));
    if (tie) setChosen(tie.id);
  }, [isLed, ties]);

  /** Says what was done and remembers where everything was, so that what it moved can be told. */
  const settle = (words: string) => {
    setSaid(words);
    setDropped(null);
    setHeld(null);
    const now = model.ties.flatMap(({ id, stationFt, sigmaFt }) =>
      stationFt === null ? [] : [[id, { stationFt, sigmaFt: sigmaFt! }] as const],
    );
    setBefore(new Map(now));
  };
  /** Ties things to one another; returns why not, or `null` when they are tied. */
  const tie = (spots: readonly Spot[], label = nameOf(spots[0]!)): string | null => {
    const tying = actions.tie(spots, label);
    if (!tying.ok) {
      setSaid(tying.why);
      setHeld(null);
      return tying.why;
    }
    settle(tying.said);
    setChosen(tying.tie.id);
    return null;
  };
  const changeSpans = (spans: readonly Span[]) => job.change({ what: 'facts', facts: { spans } });

  return {
    held,
    chosen,
    said,
    dropped,
    before,
    nameOf,
    tie,
    hold: setHeld,
    choose: (id: string) => setChosen(id === chosen ? null : id),
    readingOf: (runId: string, entryId: string) => entryOf({ runId, entryId })?.readingFt ?? null,
    drop: (id: string) => {
      const gone = ties.find((one) => one.id === id) ?? null;
      actions.drop(id);
      settle(`${id} dropped.`);
      setDropped(gone);
    },
    undo: () => {
      if (!dropped) return;
      actions.put(dropped);
      settle(`${dropped.id} is back.`);
    },
    /** Ties or tapes what a line says; returns what is wrong with it. */
    type: (line: string): string | null => {
      const tape = parseTape(line, inspection.accessPoints);
      if (tape) {
        changeSpans(withTape(inspection.spans ?? [], tape));
        const nameOf = (id: string) => labelIn(inspection.accessPoints, id);
        settle(`${nameOf(tape.fromAccessPointId)} to ${nameOf(tape.toAccessPointId)} taped.`);
        return null;
      }
      const typed = parseTie(line, new Map(model.runs.map(({ id }) => [id, logs.get(id)!])), (id) =>
        labelIn(inspection.runs, id),
      );
      if (!typed.ok) return typed.why;
      return tie(typed.sightings, typed.label === '' ? undefined : typed.label);
    },
    dropTape: (gone: Span) => {
      changeSpans((inspection.spans ?? []).filter((span) => span !== gone));
      settle('Tape dropped.');
    },
    accept: (offers: readonly TieSuggestion[]) => {
      settle(offers.length === 1 ? 'Tied.' : `${offers.length} tied.`);
      actions.accept(offers);
    },
    refuse: actions.refuse,
    remedy: (remedy: Remedy) => {
      settle('Done; see what moved.');
      actions.remedy(remedy);
    },
  };
}
