import { useState } from 'react';
import type { Inspection } from '#core/job/inspection';
import type { EntryDraft } from '#core/log/entry';
import { type Light, TopBar } from '#ui/TopBar';
import { CalloutLine } from './CalloutLine';
import { FindingsSoFar } from './FindingsSoFar';
import { LogList } from './LogList';
import { RunSetup } from './RunSetup';
import { RunState } from './RunState';
import { SaveMark } from './SaveMark';
import styles from './ScopeScreen.module.css';
import { SectionPanel } from './SectionPanel';
import { useLog } from './useLog';
import { passAfter, readingAfter, resumeAt, useScope } from './useScope';

type Props = { readonly inspection: Inspection; readonly light: Light };

/** The field screen: the Section, the log, the state of the run and the call-out line. */
export function ScopeScreen({ inspection: stored, light: storedLight }: Props) {
  const log = useLog(stored);
  const { inspection } = log;
  const [light, setLight] = useState(storedLight);
  const [runId, setRunId] = useState(stored.runs.at(-1)?.id ?? null);
  const run = inspection.runs.find(({ id }) => id === runId) ?? null;
  const [place, setPlace] = useState(run ? resumeAt(run) : { counterFt: 0, pass: 'out' as const });
  const [isSettingUp, setSettingUp] = useState(stored.runs.length === 0);
  const [selected, setSelected] = useState<number | null>(null);
  const [line, setLine] = useState('');
  const scope = useScope(inspection, run, place.counterFt, place.pass);

  const append = (drafts: readonly EntryDraft[]) => {
    if (!run) return;
    const entries = log.append(run.id, drafts);
    setPlace((now) =>
      entries.reduce(
        ({ counterFt, pass }, entry) => ({
          counterFt: readingAfter(entry) ?? counterFt,
          pass: passAfter(entry, pass),
        }),
        now,
      ),
    );
  };
  const switchLight = (next: Light) => {
    setLight(next);
    document.documentElement.dataset['light'] = next;
    document.cookie = `light=${next}; path=/; max-age=31536000; samesite=lax`;
  };
  const switchRun = (id: string) => {
    const next = inspection.runs.find((one) => one.id === id);
    if (!next) return;
    setRunId(id);
    setPlace(resumeAt(next));
  };
  const blockers = scope.derived.checks.filter(({ level }) => level === 'blocker').length;

  return (
    <div className={styles['screen']}>
      <TopBar
        light={light}
        path={`/jobs/${inspection.job.id}/scope`}
        job={{
          id: inspection.job.id,
          title: inspection.job.title,
          ...(run ? { detail: `from ${run.accessPointId}, facing ${run.facing}` } : {}),
        }}
        stage="scope"
        waiting={{ scope: blockers }}
        onLight={switchLight}
      >
        <SaveMark save={log.save} waiting={log.waiting} onTakeOut={log.takeOut} />
      </TopBar>
      <main className={styles['work']}>
        <h1 className="hidden-visually">Scope of {inspection.job.title}</h1>
        <SectionPanel
          derived={scope.derived}
          headFt={run && scope.headFt !== null ? scope.headFt : undefined}
          selected={selected}
          onSelect={setSelected}
        />
        {isSettingUp || !run ? (
          <RunSetup
            inspection={inspection}
            onAccess={log.addAccess}
            onRun={(added) => {
              log.addRun(added);
              setRunId(added.id);
              setPlace(resumeAt(added));
              setSettingUp(false);
            }}
            onCancel={run ? () => setSettingUp(false) : undefined}
          />
        ) : (
          <>
            <div className={styles['panels']}>
              <LogList
                scope={scope}
                run={run}
                waiting={log.waiting}
                selected={selected}
                onSelect={setSelected}
                onCorrect={(text) => setLine(text)}
                onAppend={append}
              />
              <FindingsSoFar derived={scope.derived} selected={selected} onSelect={setSelected} />
              <RunState
                scope={scope}
                inspection={inspection}
                run={run}
                pass={place.pass}
                counterFt={place.counterFt}
                onPass={(pass) => setPlace((now) => ({ ...now, pass }))}
                onAppend={append}
                onRun={switchRun}
                onNewRun={() => setSettingUp(true)}
              />
            </div>
            <CalloutLine
              key={run.id}
              line={line}
              onLine={setLine}
              scope={scope}
              inspection={inspection}
              run={run}
              counterFt={place.counterFt}
              onCounter={(counterFt) => setPlace((now) => ({ ...now, counterFt }))}
              onAppend={append}
            />
          </>
        )}
      </main>
    </div>
  );
}
