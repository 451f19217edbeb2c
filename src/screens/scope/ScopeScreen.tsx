import { lazy, memo, useCallback, useDeferredValue, useRef, useState } from 'react';
import { deciding } from '#client/actions/decide';
import { revised, stillDraft, takingBack } from '#client/actions/entries';
import { leavingOf } from '#client/actions/leaving';
import { settleStill } from '#client/actions/stills';
import { toldDoing } from '#client/actions/told';
import { listToClear, type ToClear } from '#core/judge/to-clear';
import { countWaiting } from '#core/judge/waiting';
import type { StoredJob } from '#core/model/job/history';
import { labelIn } from '#core/model/job/labels';
import type { Entry, EntryDraft } from '#core/model/log/entry';
import { foldLog } from '#core/model/log/fold';
import type { Preferences } from '#core/site/equipment';
import type { Light } from '#ui/TopBar';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { useRecorder } from '../device/useRecorder';
import { Later } from '../shared/Later';
import { useLight } from '../shared/useLight';
import { useSteady } from '../shared/useSteady';
import { type CalloutHandle, CalloutLine } from './CalloutLine';
import { PictureSide } from './PictureSide';
import { RunState } from './RunState';
import styles from './ScopeScreen.module.css';
import { SectionPanel } from './SectionPanel';
import { Tape } from './tape/Tape';
import { forgetAccess, useAsked } from './useAsked';
import { useCable } from './useCable';
import { useField } from './useField';
import { useOwnWords } from './useOwnWords';
import { usePosition } from './usePosition';
import { useRigOnScope } from './useRigOnScope';
import { scopeOf, useScope } from './useScope';
import { useVoice } from './useVoice';
import { BeforeLeave, FindingsSoFar, LogList } from './views';
import { type View, VIEWS, ViewSwitch } from './ViewSwitch';

const RunSetup = lazy(async () => ({ default: (await import('./RunSetup')).RunSetup }));

type Props = {
  readonly stored: StoredJob;
  readonly preferences: Preferences;
  readonly light: Light;
};

/** The field screen: the Section, the picture, the tape, the state of the run and the call-out line. */
export const ScopeScreen = memo(function ScopeScreen({
  stored,
  preferences,
  light: storedLight,
}: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const [light, switchLight] = useLight(storedLight);
  const field = useField(inspection, job);
  const { run, showRun } = field;
  const rig = useRigOnScope(inspection.job.id, field);
  const { place } = rig;
  const voice = useVoice();
  const recorder = useRecorder(job, run);
  const wentFt = run?.entries.map(({ readingFt }) => readingFt ?? 0) ?? [];
  const cable = useCable(
    { pass: place.pass, farthestFt: Math.max(place.counterFt, ...wentFt) },
    (reading) => {
      rig.hear(reading);
      recorder.hearCounter(reading);
    },
    rig.close,
  );
  const position = usePosition();
  const [isSettingUp, setSettingUp] = useState(false);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [view, setView] = useState<View>('tape');
  useAsked(stored, { showRun, setSettingUp, setChosenId, setView });
  const endSetUp = () => {
    setSettingUp(false);
    forgetAccess();
  };
  const [selected, setSelected] = useState<number | null>(null);
  const callout = useRef<CalloutHandle>(null);
  const { ownWords, teach, trouble: notTaught } = useOwnWords(preferences.ownWords);
  const standpoint = { ...place, ownWords, isLive: rig.memory !== null || cable.isOpen };
  // What was logged stands on the tape at once; what Chert makes of it follows a moment later.
  const scope = useScope(useDeferredValue(inspection), run, standpoint);
  const scopeNow = () => scopeOf(inspection, run, standpoint);
  // And the drawing after that.
  const drawn = useDeferredValue(scope);
  const select = useCallback(
    (number: number) => {
      setSelected(number);
      const finding = drawn.assessment.findings.find((one) => one.number === number);
      const id = finding?.entryIds.at(-1);
      if (id !== undefined) setChosenId(id);
    },
    [drawn.assessment],
  );
  const goTo = (runId: string, entryId: string | null) => {
    const wanted = inspection.runs.find(({ id }) => id === runId);
    if (wanted) showRun(wanted);
    setChosenId(entryId);
    setView('tape');
  };
  const leave = (reason: string, open: readonly ToClear[]) => {
    deciding(job.change).put(leavingOf(reason, open, new Date()));
  };
  const log = run && foldLog(run.entries);
  const standing = log?.standing ?? [];
  // A correction takes the place of what was chosen.
  const chosen = chosenId === null ? null : (log?.heirsOf(chosenId)[0] ?? null);

  /** Logs, then adds what takes its time: a few spoken words, the position of a locate. */
  const append = (drafts: readonly EntryDraft[]) => {
    const entries = field.append(settleStill(standing, drafts), rig.laterMs);
    const runId = run?.id;
    if (runId === undefined) return;
    for (const entry of entries) {
      if (entry.kind === 'flag' && entry.replaces === undefined && voice.isOn && !voice.isRecording)
        void voice.record().then(async (sound) => {
          const audioId = sound ? await job.addMedia(sound) : null;
          if (audioId !== null) job.append(runId, [revised(entry, { audioId })]);
        });
      if (entry.kind === 'locate' && position.isOn && entry.position === undefined)
        void position.find().then((at) => {
          if (at) job.append(runId, [revised(entry, { position: at })]);
        });
    }
    setChosenId(null);
  };
  const addStill = async (still: Blob, entry: Entry | null, readingFt: number) => {
    const id = await job.addMedia(still);
    if (!run) return;
    job.append(run.id, [stillDraft(id, entry, { pass: place.pass, readingFt })], rig.laterMs);
  };
  const acts = useSteady({
    choose: (entry: Entry | null) => {
      setChosenId(entry?.id ?? null);
      const finding =
        entry &&
        scope.assessment.findings.find(
          ({ entryIds, runIds }) => entryIds.includes(entry.id) && runIds.includes(run?.id ?? ''),
        );
      setSelected(finding?.number ?? null);
    },
    correct: (entry: Entry) => callout.current?.begin(`correct #${entry.id} `),
    takeBack: (entry: Entry) => append([takingBack(entry)]),
    addStill: (entry: Entry) => {
      setChosenId(entry.id);
      document.getElementById('still')?.click();
    },
  });
  const unsent = new Set(
    job.waiting.flatMap(({ change }) => (change.what === 'entry' ? [change.entry.id] : [])),
  );

  return (
    <div className={styles['screen']}>
      <JobBar
        job={job}
        stage="scope"
        light={light}
        onLight={switchLight}
        detail={
          run
            ? `from ${labelIn(job.inspection.accessPoints, run.accessPointId)}, facing ${run.facing}`
            : undefined
        }
        waiting={countWaiting(scope.assessment)}
      />
      <main className={styles['work']}>
        <h1 className="hidden-visually">Scope of {inspection.job.title}</h1>
        <SectionPanel
          assessment={drawn.assessment}
          headFt={run && drawn.headFt !== null ? drawn.headFt : undefined}
          selected={selected}
          onSelect={select}
        />
        {isSettingUp || !run ? (
          <Later>
            <RunSetup
              inspection={inspection}
              equipment={preferences.equipment}
              onChange={job.change}
              onRun={(added) => {
                field.showRun(added);
                endSetUp();
              }}
              onCancel={run ? endSetUp : undefined}
            />
          </Later>
        ) : (
          <>
            <div
              className={styles['panels']}
              data-picture={view === 'picture'}
              data-rig={rig.memory !== null}
            >
              <PictureSide
                inspection={inspection}
                run={run}
                scope={scope}
                equipment={preferences.equipment}
                rig={rig}
                chosen={chosen}
                standing={standing}
                voice={voice}
                recorder={recorder}
                cable={cable}
                onAppend={append}
                onStill={(...taken) => void addStill(...taken)}
              />
              <div className={styles['middle']}>
                <ViewSwitch
                  view={view}
                  onView={setView}
                  left={listToClear(scope.assessment).length}
                />
                {(view === 'tape' || view === 'picture') && (
                  <Tape
                    scope={scope}
                    run={run}
                    counterFt={place.counterFt}
                    unsent={unsent}
                    chosenId={chosen?.id ?? null}
                    acts={acts}
                  />
                )}
                <Later>
                  {view === 'list' && (
                    <LogList
                      scope={scope}
                      run={run}
                      unsent={unsent}
                      selected={selected}
                      onSelect={select}
                      onCorrect={acts.correct}
                      onAppend={append}
                    />
                  )}
                  {view === 'findings' && (
                    <FindingsSoFar
                      assessment={scope.assessment}
                      selected={selected}
                      onSelect={select}
                    />
                  )}
                  {view === 'leave' && (
                    <BeforeLeave
                      assessment={scope.assessment}
                      onGo={goTo}
                      onPress={(press) => {
                        if ('setup' in press) job.change({ what: 'run', setup: press.setup });
                        else job.append(press.runId, [press.draft], rig.laterMs);
                      }}
                      onLeave={leave}
                    />
                  )}
                </Later>
              </div>
              <RunState
                scope={scope}
                inspection={inspection}
                run={run}
                place={place}
                laterMs={rig.laterMs}
                position={position}
                onPass={(pass) => field.setPlace({ pass })}
                onAppend={append}
                onRun={(id) => {
                  const next = inspection.runs.find((one) => one.id === id);
                  if (next) field.showRun(next);
                }}
                onNewRun={() => setSettingUp(true)}
                onLeave={() => setView('leave')}
                onSetup={(setup) => job.change({ what: 'run', setup })}
              />
            </div>
            {job.readOnly === null && (
              <CalloutLine
                key={run.id}
                ref={callout}
                scope={scope}
                scopeNow={scopeNow}
                inspection={inspection}
                run={run}
                place={place}
                counterBy={rig.memory !== null ? 'rig' : cable.isOpen ? 'reel' : 'hand'}
                onPlace={field.setPlace}
                onAppend={append}
                onTeach={(says, means) => void teach(says, means)}
                notTaught={notTaught}
                onTold={(facts) => job.change(...toldDoing(inspection, run, facts))}
                onView={() => setView((now) => VIEWS[(VIEWS.indexOf(now) + 1) % VIEWS.length]!)}
              />
            )}
          </>
        )}
      </main>
    </div>
  );
});
