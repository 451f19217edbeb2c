import type { JobOnDevice } from '#client/job-on-device';
import { isUnkept } from '#client/store';
import type { Inspection } from '#core/model/job/inspection';
import styles from './SaveMark.module.css';
import { ElsewhereNote, OverwrittenNotes, RefusedNote } from './SaveNotes';
import { useClockTrouble } from './useClockTrouble';

/** How many of a list are told one by one. */
const MOST_TOLD = 3;

/** What is saved where, in a few words. */
function sayState({
  save,
  waiting,
  isAtWork,
  readOnly,
}: JobOnDevice): readonly [state: string, text: string] {
  if (readOnly !== null && waiting.length === 0) return ['saved', 'Read only'];
  const toSend = waiting.filter(({ state }) => state === 'kept');
  const isHeld = toSend.some(isUnkept);
  const refused = waiting.length - toSend.length;
  if (toSend.length === 0 && refused > 0)
    return ['refused', `${refused} not stored · the rest is saved`];
  if (toSend.length === 0 && isAtWork) return ['sending', 'Not kept yet · a moment'];
  if (toSend.length === 0) return ['saved', 'Saved on the server'];
  const where = isHeld ? 'Not kept on this device' : 'Kept on this device';
  const isWaiting = save.kind === 'unreachable' || save.kind === 'elsewhere';
  const what = isWaiting ? `${toSend.length} to send` : `sending ${toSend.length}`;
  return [isHeld ? 'unkept' : save.kind, `${where} · ${what}`];
}

/** Where what was done is: on the server, or on this device and on its way. */
export function SaveMark({ job }: { readonly job: JobOnDevice }) {
  const [state, text] = sayState(job);
  return (
    <p className={styles['save']} role="status" data-state={state}>
      {text}
    </p>
  );
}

type Props = { readonly job: JobOnDevice; readonly inspection: Inspection };

/** What stands in the way of saving, and what else has to be told of it: under the top bar, only while there is something. */
export function SaveStrip({ job, inspection }: Props) {
  const { save, waiting, trouble, told, late, foreign, readOnly } = job;
  const clock = useClockTrouble();
  const refused = waiting.filter(({ state }) => state === 'refused');
  const isWaiting = waiting.length > refused.length;
  return (
    <div className={styles['strip']}>
      {save.kind === 'unreachable' && isWaiting && save.why && <p role="alert">{save.why}</p>}
      {readOnly !== null && <p>{readOnly}</p>}
      {trouble && <p role="alert">{trouble}</p>}
      {clock && <p role="alert">{clock}</p>}
      <ElsewhereNote
        inspection={inspection}
        foreign={foreign}
        isElsewhere={save.kind === 'elsewhere'}
        onTakeOver={job.takeOver}
      />
      {refused.slice(0, MOST_TOLD).map((one) => (
        <RefusedNote key={one.seq} kept={one} inspection={inspection} onSettle={job.settle} />
      ))}
      {refused.length > MOST_TOLD && (
        <p role="alert">{refused.length - MOST_TOLD} more were refused.</p>
      )}
      {late.map((says) => (
        <p key={says} role="status">
          {says} <a href="/due">See it on Due</a>
        </p>
      ))}
      <OverwrittenNotes told={told} inspection={inspection} />
    </div>
  );
}
