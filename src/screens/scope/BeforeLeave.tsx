import { Check } from 'lucide-react';
import { useState } from 'react';
import { type OnePress, pressesFor } from '#client/actions/one-press';
import { sayTimeOf } from '#core/base/clock';
import type { Assessment } from '#core/judge/assessment';
import type { Stand } from '#core/judge/check';
import { hrefOfIssue, placeOfIssue } from '#core/judge/place-of-issue';
import { listToClear, type ToClear } from '#core/judge/to-clear';
import { lastLeaving } from '#core/model/job/rulings';
import styles from './BeforeLeave.module.css';
import panel from './panel.module.css';
import { useTicked } from './useTicked';

type Props = {
  readonly assessment: Assessment;
  /** Goes to a run and an entry of it on this screen. */
  readonly onGo: (runId: string, entryId: string | null) => void;
  /** Does at once what clears a thing. */
  readonly onPress: (press: OnePress) => void;
  /** Leaves the site, with a reason where something that holds the report back is open. */
  readonly onLeave: (reason: string, open: readonly ToClear[]) => void;
};

const STAND_NAMES: Readonly<Record<Stand, string>> = {
  reel: 'At the reel',
  fixture: 'At a fixture',
  surface: 'At the surface',
  desk: 'At the desk',
};

/** What is still open, contradictory or not known, by where one must stand to clear it. */
export function BeforeLeave({ assessment, onGo, onPress, onLeave }: Props) {
  const items = listToClear(assessment);
  const ticked = useTicked(items);
  const blockers = items.filter(({ level }) => level === 'blocker');
  const stands = Object.keys(STAND_NAMES) as Stand[];
  return (
    <section className={`${panel['panel']} ${styles['leave']}`} aria-labelledby="leave-title">
      <h2 id="leave-title" className={panel['title']}>
        Before you leave
      </h2>
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- the list scrolls, so it takes focus for the keyboard */}
      <div className={styles['lists']} tabIndex={0} role="group" aria-label="What is left to do">
        {items.length === 0 && (
          <p className={styles['clear']}>
            Nothing is open. A return trip costs more than this look did.
          </p>
        )}
        <List
          title="These hold the report back"
          items={blockers}
          assessment={assessment}
          onGo={onGo}
          onPress={onPress}
          isStandNamed
        />
        {stands.map((stand) => (
          <List
            key={stand}
            title={STAND_NAMES[stand]}
            items={items.filter((item) => item.stand === stand && item.level !== 'blocker')}
            assessment={assessment}
            onGo={onGo}
            onPress={onPress}
          />
        ))}
        {ticked.length > 0 && (
          <>
            <h3>
              Cleared <b>{ticked.length}</b>
            </h3>
            <ul className={styles['ticked']} aria-live="polite">
              {ticked.map((item) => (
                <li key={item.key}>
                  <Check size={18} aria-hidden="true" /> {item.message}
                </li>
              ))}
            </ul>
          </>
        )}
        <Leaving assessment={assessment} blockers={blockers} onLeave={onLeave} />
      </div>
    </section>
  );
}

function List({
  title,
  items,
  assessment,
  onGo,
  onPress,
  isStandNamed = false,
}: {
  readonly title: string;
  readonly items: readonly ToClear[];
  readonly assessment: Assessment;
  readonly onGo: Props['onGo'];
  readonly onPress: Props['onPress'];
  readonly isStandNamed?: boolean;
}) {
  if (items.length === 0) return null;
  return (
    <>
      <h3>
        {title} <b>{items.length}</b>
      </h3>
      <ul>
        {items.map((item) => {
          const { stage, runId, entryId } = placeOfIssue(item);
          return (
            <li key={item.key} data-level={item.level}>
              <p>
                <strong>{item.action}</strong>
                <span>
                  {isStandNamed ? `${STAND_NAMES[item.stand]}. ` : ''}
                  {item.message}
                </span>
              </p>
              {pressesFor(assessment.inspection, item).map((press) => (
                <button key={press.says} type="button" onClick={() => onPress(press)}>
                  {press.says}
                </button>
              ))}
              {(runId !== null || stage !== 'scope') && (
                <a
                  href={hrefOfIssue(assessment.inspection.job.id, item)}
                  onClick={(event) => {
                    if (stage !== 'scope' || runId === null) return;
                    event.preventDefault();
                    onGo(runId, entryId);
                  }}
                >
                  Take me there
                  <span className="hidden-visually">: {item.action}</span>
                </a>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}

/** Leaving the site: at once when nothing holds the report back, else only with a reason. */
function Leaving({
  assessment,
  blockers,
  onLeave,
}: {
  readonly assessment: Assessment;
  readonly blockers: readonly ToClear[];
  readonly onLeave: Props['onLeave'];
}) {
  const [reason, setReason] = useState('');
  const [isAsked, setAsked] = useState(false);
  const left = lastLeaving(assessment.inspection.decisions);
  const isHeld = blockers.length > 0;
  if (left) {
    return (
      <p className={styles['left']} role="status">
        You left the site at {sayTimeOf(left.at)}
        {left.reason === '' ? '.' : ` with open points: “${left.reason}”. The report says so.`}
      </p>
    );
  }
  return (
    <form
      className={styles['leaving']}
      onSubmit={(event) => {
        event.preventDefault();
        if (isHeld && reason.trim() === '') {
          setAsked(true);
          return;
        }
        onLeave(isHeld ? reason.trim() : '', blockers);
      }}
    >
      {isHeld && (
        <label>
          Why leave with {blockers.length === 1 ? 'one point' : `${blockers.length} points`} open?
          <input value={reason} onChange={(event) => setReason(event.target.value)} />
        </label>
      )}
      {isAsked && reason.trim() === '' && (
        <p role="alert">
          Say why: the report states it as a limit. Or clear what holds the report back.
        </p>
      )}
      <button type="submit">Leave the site</button>
    </form>
  );
}
