import { memo, useMemo, useState } from 'react';
import { rulingActions } from '#client/actions/findings';
import { assessed } from '#core/assess';
import type { Interval } from '#core/base/interval';
import type { Severity } from '#core/catalogue/severity/grade';
import { compareJudgements } from '#core/judge/compare';
import { listToClear } from '#core/judge/to-clear';
import { countWaiting } from '#core/judge/waiting';
import type { StoredJob } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { OVERALL_WORDS } from '#core/report/words';
import { buildSection, wholeView } from '#core/section/build';
import { tabulateSection } from '#core/section/table';
import type { Preferences } from '#core/site/equipment';
import type { Light } from '#ui/TopBar';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { ZoomBox } from '../../ui/section/ZoomBox';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { Panel } from '../shared/Panel';
import { useLight } from '../shared/useLight';
import { FindingDetail } from './FindingDetail';
import styles from './Findings.module.css';
import { FindingsList } from './FindingsList';
import { JobThresholds } from './JobThresholds';
import { Profiles } from './Profiles';
import { Stale } from './Stale';
import { FINDING_KEYS, useFindingKeys } from './useFindingKeys';
import { useFindings } from './useFindings';
import { useSelected } from './useSelected';
import { WhatChanged } from './WhatChanged';
import { WholeJob } from './WholeJob';

type Props = {
  readonly stored: StoredJob;
  readonly preferences: Preferences;
  readonly light: Light;
};

const HEIGHT = 186;

/** Every finding beside the Section: its grade and why, what may change it, and the last word. */
export const FindingsScreen = memo(function FindingsScreen({
  stored,
  preferences,
  light: storedLight,
}: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const [light, switchLight] = useLight(storedLight);
  const { assessment, profiles } = useFindings(inspection);
  const { findings, logs, orphans } = assessment;
  const actions = rulingActions(job, logs);
  const { selected, select, move, next } = useSelected(findings);
  const [asked, setAsked] = useState<Severity | null>(null);
  const [before, setBefore] = useState<{ what: string; inspection: Inspection } | null>(null);
  const [isHelped, setHelped] = useState(false);
  const [width, setWidth] = useState(1248);
  const [view, setView] = useState<Interval | null>(null);
  const section = useMemo(
    () => buildSection(assessment, { width, height: HEIGHT, ...(view ? { view } : {}) }),
    [assessment, width, view],
  );
  const rows = tabulateSection(assessment);
  const changes = useMemo(
    () => (before ? compareJudgements(assessed(before.inspection), assessment) : []),
    [before, assessment],
  );
  const choose = (id: string) => {
    setAsked(null);
    select(id);
  };
  const onDo = (what: string, act: () => void) => {
    setBefore({ what, inspection });
    setAsked(null);
    act();
  };
  useFindingKeys({
    onMove: (by) => {
      setAsked(null);
      move(by);
    },
    onGrade: setAsked,
    onConfirm: () => {
      if (!selected || selected.review) return;
      actions.review(selected, 'confirmed', '');
    },
    onNext: next,
    onHelp: () => setHelped((now) => !now),
  });
  const selectNumber = (number: number) => {
    const finding = findings.find((one) => one.number === number);
    if (finding) choose(finding.id);
  };
  const waiting = countWaiting(assessment);
  const open = waiting.findings;
  const toClear = listToClear(assessment).length;

  return (
    <div className={styles['screen']}>
      <JobBar job={job} stage="findings" light={light} onLight={switchLight} waiting={waiting} />
      <main className={styles['work']}>
        <h1 className="hidden-visually">Findings of {inspection.job.title}</h1>
        <section aria-label="The Section">
          <ZoomBox
            shown={section.frame.view}
            whole={wholeView(assessment.lateral)}
            width={width}
            height={HEIGHT}
            centerFt={selected?.placed ? selected.span.fromFt : undefined}
            onWidth={setWidth}
            onView={setView}
          >
            <SectionFigure
              section={section}
              rows={rows}
              id="findings"
              label="The line cut open from the side"
              selected={selected?.number ?? null}
              onSelect={selectNumber}
            />
          </ZoomBox>
        </section>
        {before && (
          <WhatChanged
            after={before.what}
            changes={changes}
            onSelect={selectNumber}
            onClose={() => setBefore(null)}
          />
        )}
        <Stale
          stale={orphans}
          onDrop={(id) => onDo('your override was dropped', () => actions.drop(id))}
        />
        <div className={styles['columns']}>
          <div>
            <Panel id="list" title={`So far: ${OVERALL_WORDS[assessment.overall].toLowerCase()}`}>
              <p className={styles['hint']}>
                {open === 0
                  ? findings.length > 0
                    ? 'You have looked at every finding.'
                    : ''
                  : `${open} of ${findings.length} wait for you to look.`}{' '}
                <button type="button" onClick={() => setHelped((now) => !now)}>
                  Keys
                </button>
              </p>
              {isHelped && (
                <dl className={styles['keys']}>
                  {FINDING_KEYS.map(([key, does]) => (
                    <div key={key}>
                      <dt>{key}</dt>
                      <dd>{does}</dd>
                    </div>
                  ))}
                </dl>
              )}
              <FindingsList
                findings={findings}
                names={assessment.names}
                selectedId={selected?.id ?? null}
                onSelect={choose}
              />
              {toClear > 0 && (
                <p className={styles['hint']}>
                  <a href={`/jobs/${encodeURIComponent(inspection.job.id)}/scope?view=leave`}>
                    {toClear} to clear before you leave
                  </a>
                </p>
              )}
            </Panel>
            <Panel id="profiles" title="Judged by">
              <Profiles
                profile={inspection.job.profile}
                comparison={profiles}
                onProfile={(profile) =>
                  onDo('the profile was changed', () => actions.setProfile(profile))
                }
              />
              <JobThresholds
                inspection={inspection}
                preferences={preferences}
                onSettings={(settings) =>
                  onDo('the settings were changed', () =>
                    job.change({ what: 'facts', facts: { settings } }),
                  )
                }
              />
            </Panel>
          </div>
          <div>
            {selected ? (
              <FindingDetail
                assessment={assessment}
                finding={selected}
                asked={asked}
                actions={actions}
                onDo={onDo}
                onNext={next}
              />
            ) : (
              <Panel id="none" title="Nothing to judge yet">
                <p>
                  Log what you see on Scope. Each finding comes here with its grade and the reasons.
                </p>
              </Panel>
            )}
            <Panel id="whole" title="The line as a whole">
              <WholeJob assessment={assessment} />
            </Panel>
          </div>
        </div>
      </main>
    </div>
  );
});
