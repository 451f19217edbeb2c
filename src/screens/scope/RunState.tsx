import { useEffect, useState } from 'react';
import type { Place } from '#client/actions/counter';
import { sayFt } from '#core/base/numbers';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import { type Pass, type WaterState } from '#core/catalogue/vocabulary';
import { nameZone } from '#core/catalogue/zones';
import { segmentAt } from '#core/lateral/segments';
import type { Inspection } from '#core/model/job/inspection';
import { labelIn, labelOf } from '#core/model/job/labels';
import type { Run } from '#core/model/job/run';
import type { EntryDraft } from '#core/model/log/entry';
import { foldLog } from '#core/model/log/fold';
import { Choice } from './Choice';
import styles from './RunState.module.css';
import { StillOpen } from './StillOpen';
import type { Scope } from './useScope';

type Props = {
  readonly scope: Scope;
  readonly inspection: Inspection;
  readonly run: Run;
  readonly place: Place;
  /** How much later than the clock it is in a simulated rig, milliseconds. */
  readonly laterMs: number;
  readonly position: {
    readonly isAble: boolean;
    readonly isOn: boolean;
    readonly toggle: () => void;
  };
  readonly onPass: (pass: Pass) => void;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
  readonly onRun: (runId: string) => void;
  readonly onNewRun: () => void;
  readonly onLeave: () => void;
  /** Puts a changed set-up in the place of this run's. */
  readonly onSetup: (setup: Omit<Run, 'entries'>) => void;
};

/** The state of the run: pass, water, what the head is in, and what is still open. */
export function RunState(props: Props) {
  const { scope, inspection, run, place, position, onPass, onAppend, onRun, onNewRun } = props;
  const { pass, counterFt } = place;
  const water = useWater(run, props.laterMs);
  const giveUp = () => {
    const { entries: _entries, outcome, ...setup } = run;
    props.onSetup(outcome === 'abandoned' ? setup : { ...setup, outcome: 'abandoned' });
  };
  return (
    <section className={styles['panel']} aria-label="State of the run">
      <Choice
        label="Pass"
        name="pass"
        value={pass}
        options={[
          ['out', 'Out'],
          ['back', 'Back'],
        ]}
        onChoose={onPass}
      />
      <Choice<WaterState>
        label={water.label}
        name="water"
        value={water.state}
        options={[
          ['none', 'None'],
          ['running', 'On'],
          ['draining', 'Draining'],
          ['drained', 'Drained'],
        ]}
        onChoose={(state) => onAppend([{ kind: 'water', pass, readingFt: counterFt, state }])}
      />
      <StillOpen scope={scope} onLeave={props.onLeave} />
      <div className={styles['part']}>
        <h2>Here</h2>
        <Here scope={scope} />
      </div>
      <WalkThings inspection={inspection} place={place} onAppend={onAppend} />
      <div className={styles['part']}>
        <h2>Run</h2>
        <p>{sayRun(run, labelIn(inspection.accessPoints, run.accessPointId))}</p>
        <div className={styles['runs']}>
          {inspection.runs.length > 1 && (
            <select
              aria-label="Run shown"
              value={run.id}
              onChange={(event) => onRun(event.target.value)}
            >
              {inspection.runs.map(({ id, label = id, accessPointId, facing }) => (
                <option key={id} value={id}>
                  {label}: {labelIn(inspection.accessPoints, accessPointId)}, {facing}
                </option>
              ))}
            </select>
          )}
          <button type="button" onClick={onNewRun}>
            New run
          </button>
          <button type="button" aria-pressed={run.outcome === 'abandoned'} onClick={giveUp}>
            {run.outcome === 'abandoned' ? 'Given up: take it up again' : 'Give this run up'}
          </button>
          {position.isAble && (
            <button type="button" aria-pressed={position.isOn} onClick={position.toggle}>
              Position with locates {position.isOn ? 'on' : 'off'}
            </button>
          )}
        </div>
      </div>
    </section>
  );
}

/** The set-up in force, in a line. */
function sayRun(run: Run, from: string): string {
  const setup = run.entries.findLast((entry) => entry.kind === 'setup');
  const head = setup?.head ?? run.head;
  const aid = setup?.aid ?? run.aid;
  return [
    `${labelOf(run)} from ${from}, facing ${run.facing}`,
    `zero at the ${run.zero.at.replace('-', ' ')}`,
    ...(head ? [head] : []),
    ...(aid === 'none' ? [] : [`${aid} on`]),
    ...(run.cleanedBefore === 'cut' || run.cleanedBefore === 'jetted'
      ? [`${run.cleanedBefore} before this look`]
      : []),
  ].join(' · ');
}

/** Things of the walk over the line that have no footage yet. */
function WalkThings({
  inspection,
  place,
  onAppend,
}: Pick<Props, 'inspection' | 'place' | 'onAppend'>) {
  const placed = new Set(
    inspection.runs.flatMap(({ entries }) =>
      entries.flatMap((entry) =>
        entry.kind === 'surface' && entry.seenOnWalk ? [entry.seenOnWalk] : [],
      ),
    ),
  );
  const left = (inspection.property.surroundings ?? []).filter(({ id }) => !placed.has(id));
  if (left.length === 0) return null;
  return (
    <div className={styles['part']}>
      <h2>From the walk, to place</h2>
      <div className={styles['runs']}>
        {left.map(({ id, what, where, offsetFt }) => (
          <button
            key={id}
            type="button"
            onClick={() =>
              onAppend([
                {
                  kind: 'surface',
                  pass: place.pass,
                  readingFt: place.counterFt,
                  what,
                  seenOnWalk: id,
                  ...(offsetFt === undefined ? {} : { offsetFt }),
                  ...(where ? { note: where } : {}),
                },
              ])
            }
          >
            {what.replace(/-/g, ' ')} here{where ? `: ${where}` : ''}
          </button>
        ))}
      </div>
    </div>
  );
}

function Here({ scope }: { readonly scope: Scope }) {
  const { lateral, headFt } = scope;
  if (headFt === null || lateral === null) return <p>This run has no place on the line yet.</p>;
  const segment = segmentAt(lateral.segments, headFt);
  if (!segment || segment.material === 'unknown') return <p>The pipe here has not been logged.</p>;
  const lineFt = lateral.features.find(
    ({ feature, isPlaceUnsaid }) => feature === 'property-line' && !isPlaceUnsaid,
  )?.stationFt;
  const away = lineFt === undefined ? null : lineFt - headFt;
  return (
    <p>
      <strong>
        {segment.diameterIn !== null && `${segment.diameterIn} in `}
        {nameMaterial(segment.material)}
        {segment.isBoreAssumed && segment.diameterIn !== null && ' (size assumed)'}
      </strong>
      {segment.zone && `, ${nameZone(segment.zone).toLowerCase()}`}
      <br />
      {segment.responsibleSide === 'owner' ? 'owner’s side' : 'public side'}
      {away !== null &&
        `, ${sayFt(Math.abs(away))} ft ${away >= 0 ? 'to' : 'past'} the property line`}
    </p>
  );
}

/** The water's state, and for how long it has been off. */
function useWater(run: Run, laterMs: number): { state: WaterState | null; label: string } {
  const [nowMs, setNowMs] = useState<number | null>(null);
  useEffect(() => {
    const tell = () => setNowMs(Date.now() + laterMs);
    tell();
    const timer = window.setInterval(tell, 15_000);
    return () => window.clearInterval(timer);
  }, [run, laterMs]);
  // Of the log as it is: a button that was pressed shows it at once.
  const entries = foldLog(run.entries).standing.filter(
    ({ kind }) => kind === 'water' || kind === 'flow-test',
  );
  const last = entries.at(-1);
  const state = last === undefined ? null : last.kind === 'water' ? last.state : 'running';
  // Before anything was logged the water is as it was when the run began.
  if (last === undefined) {
    const { waterAtStart } = run;
    if (waterAtStart === 'none' || waterAtStart === 'running')
      return { state: waterAtStart, label: 'Water' };
    return { state, label: 'Water · not said' };
  }
  if (state === 'none') return { state, label: 'Water' };
  const lastRunning = entries.findLastIndex(
    (entry) => entry.kind !== 'water' || entry.state === 'running',
  );
  const off = entries[lastRunning + 1];
  if (state === 'running' || off === undefined || nowMs === null) return { state, label: 'Water' };
  const minutes = Math.floor((nowMs - Date.parse(off.at)) / 60_000);
  return {
    state,
    label: minutes >= 0 && minutes < 240 ? `Water · off ${minutes} min` : 'Water · off',
  };
}
