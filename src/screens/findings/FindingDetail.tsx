import { entriesOf, pipeEntriesOf, pipeOf, type RulingActions } from '#client/actions/findings';
import { nameFinding } from '#core/catalogue/defects/kinds';
import type { Severity } from '#core/catalogue/severity/grade';
import type { Assessment } from '#core/judge/assessment';
import type { Finding } from '#core/judge/finding';
import { hrefOfIssue } from '#core/judge/place-of-issue';
import { courseOf } from '#core/planning/course';
import { repairOf } from '#core/planning/repair';
import { describeFinding } from '#core/report/describe';
import { ACTION_WORDS } from '#core/report/words';
import { Flake } from '#ui/Flake';
import styles from './Detail.module.css';
import { History } from './History';
import { PipeHere } from './PipeHere';
import { Reasons } from './Reasons';
import { Review } from './Review';
import { Same } from './Same';
import { nameCause, sayFacts, sayPlace } from './say';
import { Stale } from './Stale';
import { Stills } from './Stills';
import { YourWord } from './YourWord';

const apartFt = (a: Finding, b: Finding) => Math.abs(a.span.fromFt - b.span.fromFt);

type Props = {
  readonly assessment: Assessment;
  readonly finding: Finding;
  readonly asked: Severity | null;
  readonly actions: RulingActions;
  /** Does something and remembers what it was, so that what it changed can be told. */
  readonly onDo: (what: string, act: () => void) => void;
  readonly onNext: () => void;
};

/** One finding whole: what was seen, its grade and why, what may change it, and the last word. */
export function FindingDetail({ assessment, finding, asked, actions, onDo, onNext }: Props) {
  const { inspection, logs, findings } = assessment;
  const { number, kind, severity, action, provisos, causes, suspicions } = finding;
  const name = `${nameFinding(kind)} ${sayPlace(finding, assessment.names)}`;
  const segment = pipeOf(assessment, finding);
  const lead = entriesOf(finding, logs)[0];
  const sightings = entriesOf(finding, logs).filter(({ entry }) => entry.kind === 'defect').length;
  const alike = findings
    .filter((one) => one !== finding && one.kind === kind && one.lineId === finding.lineId)
    .filter(() => sightings > 0)
    .sort((a, b) => apartFt(a, finding) - apartFt(b, finding));
  const isSuspected = finding.certainty !== 'confirmed';

  return (
    <article className={styles['detail']} aria-label={`Finding ${number}`}>
      <header>
        <Flake severity={severity} number={number} />
        <div>
          <h2>{name}</h2>
          <p className={styles['grade']} data-severity={severity}>
            {severity} · {ACTION_WORDS[action]}
            {finding.range ? ` (${finding.range[0]} to ${finding.range[1]} by eye)` : ''}
          </p>
        </div>
        <Review
          key={finding.id}
          finding={finding}
          onReview={(verdict, why) => {
            const act = () => actions.review(finding, verdict, why);
            // To confirm changes nothing that is to be told.
            if (verdict === 'confirmed') act();
            else onDo(`finding ${number} was dismissed`, act);
          }}
          onTakeBack={() => actions.takeBack(finding, 'review-finding')}
          onNext={onNext}
        />
      </header>
      <p className={styles['seen']}>{describeFinding(finding)}</p>
      <Stale
        stale={finding.stale}
        onAgain={(id) => onDo('your override was saved again', () => actions.sayAgain(finding, id))}
        onDrop={(id) => onDo('your override was dropped', () => actions.drop(id))}
      />
      {provisos.length > 0 && (
        <div className={styles['provisos']}>
          <h3>Provisional</h3>
          <ul className={styles['plainList']}>
            {provisos.map(({ rule, text, settledBy }) => (
              <li key={rule}>
                {text}. <b>To settle it:</b> {settledBy}.
              </li>
            ))}
          </ul>
          <div className={styles['buttons']}>
            {isSuspected && (
              <button
                type="button"
                onClick={() =>
                  onDo(`finding ${number} was made certain`, () => actions.makeCertain(finding))
                }
              >
                Looked again: it is certain
              </button>
            )}
            {lead && (
              <a
                href={hrefOfIssue(inspection.job.id, {
                  code: '',
                  runIds: [lead.runId],
                  entryIds: [lead.entry.id],
                })}
              >
                Go there on Scope
              </a>
            )}
          </div>
        </div>
      )}
      <div className={styles['halves']}>
        <div>
          <h3>Why this grade</h3>
          <Reasons reasons={finding.because} />
          {causes.length > 0 && (
            <>
              <h3>{causes.length > 1 ? 'Causes that compete' : 'Likely cause'}</h3>
              <dl className={styles['causes']}>
                {causes.map(({ cause, settledBy }) => (
                  <div key={cause}>
                    <dt>{nameCause(cause)}</dt>
                    <dd>to tell: {settledBy}</dd>
                  </div>
                ))}
              </dl>
            </>
          )}
          {suspicions.length > 0 && (
            <>
              <h3>Suspected with it</h3>
              <dl className={styles['causes']}>
                {suspicions.map(({ defect, text, settledBy }) => (
                  <div key={defect}>
                    <dt>{nameCause(defect)}</dt>
                    <dd>
                      {text}; to tell: {settledBy}
                    </dd>
                  </div>
                ))}
              </dl>
            </>
          )}
          <h3>What to do</h3>
          <Reasons reasons={courseOf(repairOf(assessment), finding).says} />
        </div>
        <div>
          <Stills
            jobId={inspection.job.id}
            ids={finding.photoIds}
            of={name}
            measures={entriesOf(finding, logs).flatMap(({ entry }) =>
              entry.kind === 'defect' ? (entry.measures ?? []) : [],
            )}
          />
          <h3>Facts</h3>
          {segment && (
            <PipeHere
              key={finding.id}
              segment={segment}
              canCorrect={pipeEntriesOf(segment, logs).length > 0}
              onCorrect={(pipe) =>
                onDo('the pipe was corrected', () => actions.correctPipe(segment, pipe))
              }
            />
          )}
          <dl className={styles['facts']}>
            {sayFacts(finding, assessment.names).map(([what, value]) => (
              <div key={what}>
                <dt>{what}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
        </div>
      </div>
      <div className={styles['halves']}>
        <div>
          <h3>Override</h3>
          <YourWord
            key={[
              finding.id,
              finding.ruling?.decisionId,
              finding.computed.severity,
              finding.computed.action,
            ].join(' ')}
            finding={finding}
            asked={asked}
            onKeep={(word) =>
              onDo('your override was saved', () => actions.override(finding, word))
            }
            onTakeBack={() =>
              onDo('your override was taken back', () =>
                actions.takeBack(finding, 'override-finding'),
              )
            }
          />
        </div>
        <div>
          <h3>History</h3>
          <History finding={finding} inspection={inspection} logs={logs} />
          <Same
            key={finding.id}
            finding={finding}
            alike={alike}
            names={assessment.names}
            sightings={sightings}
            onJoin={(other) =>
              onDo(`findings ${number} and ${other.number} were joined`, () =>
                actions.join(finding, other, 'one thing, says the inspector'),
              )
            }
            onSplit={() =>
              onDo(`finding ${number} was parted`, () =>
                actions.split(finding, 'not one thing, says the inspector'),
              )
            }
          />
        </div>
      </div>
    </article>
  );
}
