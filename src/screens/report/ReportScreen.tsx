import { memo, useDeferredValue, useMemo, useState } from 'react';
import { reportActions } from '#client/actions/report';
import { assessed } from '#core/assess';
import { countWaiting } from '#core/judge/waiting';
import type { Firm } from '#core/model/firm/firm';
import { missesState } from '#core/model/firm/firm';
import { withFirm } from '#core/model/firm/with-firm';
import type { StoredJob } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { chosenStills, lastLimits } from '#core/model/job/report-words';
import { lastLeaving } from '#core/model/job/rulings';
import { reportOptions, settingsInForce } from '#core/model/job/settings';
import { composeBeforeAfter } from '#core/report/before-after';
import { dayOf, sayLongDay } from '#core/report/calendar';
import { composeReport, mayPass } from '#core/report/compose';
import {
  composeDocuments,
  type Reader,
  READER_NAMES,
  READERS,
  withMore,
} from '#core/report/documents';
import { drawForReport } from '#core/report/frozen';
import { chooseStills, listStills } from '#core/report/stills';
import { tabulateSection } from '#core/section/table';
import type { Light } from '#ui/TopBar';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { Panel } from '../shared/Panel';
import { useLight } from '../shared/useLight';
import { useReady } from '../shared/useReady';
import { Files } from './Files';
import { Issue, Versions } from './Issue';
import { Options } from './Options';
import styles from './Report.module.css';
import { ReportPage } from './ReportPage';
import type { IssuedVersion } from './say';
import { Send } from './Send';
import { type Link, Share } from './Share';
import { StillsPanel } from './StillsPanel';
import { Wording } from './Wording';
import { WorkingDays } from './WorkingDays';

type Props = {
  readonly stored: StoredJob;
  /** Who signs where the job names nobody itself. */
  readonly firm: Firm | undefined;
  /** Earlier jobs on the same property. */
  readonly earlier: readonly Inspection[];
  readonly versions: readonly IssuedVersion[];
  readonly links: readonly Link[];
  readonly now: string;
  readonly light: Light;
  /** Whether whoever is signed in may send it and make links. */
  readonly maySend: boolean;
};

/** The report as the buyer will read it, with all that it takes to word, issue and hand it on. */
export const ReportScreen = memo(function ReportScreen(props: Props) {
  const { earlier, versions, links, now, maySend } = props;
  const job = useJob(props.stored);
  const isOurs = job.readOnly === null;
  const [light, switchLight] = useLight(props.light);
  const [reader, setReader] = useState<Reader>('buyer');
  const ready = useReady();
  const inspection = useDeferredValue(job.inspection);
  const { firm } = props;
  const assessment = assessed(withFirm(inspection, firm));
  const report = composeReport(assessment);
  const documents = composeDocuments(assessment);
  const drawn = drawForReport(assessment);
  const rows = tabulateSection(assessment);
  // What is ticked shows at once; the page that follows from it is drawn as there is time.
  const settings = settingsInForce(job.inspection.settings);
  const options = reportOptions(settings);
  const ticked = { ...assessment, inspection: job.inspection };
  const before = earlier.find(({ job: { id } }) => id === options.comparedWith);
  const more = useMemo(
    () => (before ? composeBeforeAfter(assessed(before), assessment) : []),
    [before, assessment],
  );
  const actions = reportActions(job);
  const { id, title, inspector, scheduledFor, inspectionPeriodEndsOn } = inspection.job;
  const { decisions } = job.inspection;
  const stillUrl = (photoId: string) =>
    `/api/jobs/${encodeURIComponent(id)}/media/${encodeURIComponent(photoId)}`;
  const textOf = (key: string) => report.texts.find((one) => one.key === key)!;
  const blocks = reader === 'buyer' ? withMore(documents.buyer, more) : documents[reader];
  const edit = (key: string, text: React.ReactNode) =>
    ready && reader === 'buyer' ? (
      <Wording
        text={textOf(key)}
        label="Edit these words"
        onWord={(said, reason) => actions.word(textOf(key), said, reason)}
        onDrop={actions.unword}
      >
        {text}
      </Wording>
    ) : (
      text
    );

  return (
    <div className={styles['screen']}>
      <JobBar
        job={job}
        stage="report"
        light={light}
        onLight={switchLight}
        waiting={countWaiting(assessment)}
      />
      <main className={styles['sheets']}>
        <div className={styles['reading']}>
          <fieldset className={styles['readers']} disabled={!ready}>
            <legend className="hidden-visually">For whom</legend>
            {READERS.map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={one === reader}
                onClick={() => setReader(one)}
              >
                {READER_NAMES[one]}
              </button>
            ))}
            <span>Reads at grade {report.readsAtGrade}</span>
            <a href={`/api/jobs/${encodeURIComponent(id)}/report.pdf?reader=${reader}`}>
              PDF, draft
            </a>
          </fieldset>
          <ReportPage blocks={blocks} drawn={drawn} rows={rows} stillUrl={stillUrl} edit={edit} />
        </div>
        <fieldset className={styles['tools']} disabled={!ready}>
          <legend className="hidden-visually">Issue, word and hand on</legend>
          <Panel id="issue" title="Issue" count={versions.length}>
            {missesState(assessment.settings.firm, inspection.property.address) && (
              <p>
                The address names no state, so your state wording is not printed. Add the state to
                the address on <a href={`/jobs/${encodeURIComponent(id)}/site`}>Site</a>.
              </p>
            )}
            {isOurs ? (
              <Issue
                jobId={id}
                versions={versions}
                blockers={assessment.checks.filter(({ level }) => level === 'blocker')}
                isStated={Boolean(lastLimits(decisions)?.reason || lastLeaving(decisions)?.reason)}
                isSaved={job.waiting.length === 0}
              />
            ) : versions.length > 0 ? (
              <Versions jobId={id} versions={versions} />
            ) : (
              <p>Nothing was issued yet.</p>
            )}
          </Panel>
          {isOurs && (
            <>
              <Panel id="shows" title="What it shows">
                <Options
                  options={options}
                  mayPass={mayPass(assessment)}
                  earlier={earlier.map((one) => ({
                    id: one.job.id,
                    title: one.job.title,
                    when: sayLongDay(dayOf(one.job.scheduledFor)),
                  }))}
                  set={actions.set}
                />
                <Wording
                  text={textOf('remark')}
                  label="Add a remark of your own"
                  onWord={(said, reason) => actions.word(textOf('remark'), said, reason)}
                  onDrop={actions.unword}
                >
                  {textOf('remark').text && <p>{textOf('remark').text}</p>}
                </Wording>
              </Panel>
              <Panel id="stills" title="Stills">
                <StillsPanel
                  all={listStills(assessment)}
                  chosen={chooseStills(ticked)}
                  isOwn={chosenStills(decisions) !== null}
                  stillUrl={stillUrl}
                  onChoose={(ids) => actions.chooseStills(ids, chosenStills(decisions)?.id ?? null)}
                />
              </Panel>
              <Panel id="days" title="Working days">
                <WorkingDays
                  holidays={settings.holidays}
                  fromDay={dayOf(scheduledFor)}
                  toDay={inspectionPeriodEndsOn ?? null}
                  onChange={actions.setHolidays}
                />
              </Panel>
            </>
          )}
          {maySend && versions.length > 0 && (
            <>
              <Panel id="share" title="Share by link">
                <Share jobId={id} links={links} now={now} />
              </Panel>
              <Panel id="send" title="Send">
                <Send
                  jobId={id}
                  title={title}
                  headline={versions[0]!.headline}
                  inspector={inspector}
                />
              </Panel>
            </>
          )}
          <Panel id="files" title="Files">
            <Files jobId={id} runs={inspection.runs} />
          </Panel>
        </fieldset>
      </main>
    </div>
  );
});
