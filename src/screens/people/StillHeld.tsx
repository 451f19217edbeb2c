import { useEffect, useState } from 'react';
import { ulid } from 'ulid';
import { forgetJobs } from '#client/forget-jobs';
import { type HandedOver, handOverAll, writeUnsent } from '#client/hand-over';
import { download } from '../shared/download';
import form from '../shared/form.module.css';
import styles from './people.module.css';

type Props = {
  /** Whether this device was signed out from elsewhere: it forgets what it keeps once it has handed over the rest. */
  readonly isEnded?: boolean;
};

const countOf = (count: number) =>
  count === 1 ? 'One thing that was logged here' : `${count} things that were logged here`;

function sayHandedOver({ sent, left }: HandedOver, isEnded: boolean): string {
  const said: string[] = [];
  if (isEnded) said.push('This device was signed out from elsewhere.');
  if (sent > 0)
    said.push(`${countOf(sent)} and waited ${sent === 1 ? 'was' : 'were'} handed over just now.`);
  if (left > 0)
    said.push(
      `${countOf(left)} still ${left === 1 ? 'waits' : 'wait'} on this device: ${left === 1 ? 'it is' : 'they are'} kept, and sent as soon as Chert takes ${left === 1 ? 'it' : 'them'}.`,
    );
  else if (isEnded) said.push('The jobs it kept are taken off it.');
  return said.join(' ');
}

/** Hands over what this device holds of any job, says so, and lets what is left be saved as a file. */
export function StillHeld({ isEnded = false }: Props) {
  const [result, setResult] = useState<HandedOver | null>(null);
  useEffect(() => {
    handOverAll(ulid)
      .then(async (done) => {
        if (isEnded) await forgetJobs(done.left === 0);
        setResult(done);
      })
      .catch(() => undefined);
  }, [isEnded]);
  if (!result || (!isEnded && result.sent + result.left === 0)) return null;
  const save = async () => {
    const text = await writeUnsent(ulid, new Date());
    if (text !== null) download('chert-unsent-work.json', text, 'application/json');
  };
  return (
    <div className={styles['said']} role="status">
      <p>{sayHandedOver(result, isEnded)}</p>
      {result.left > 0 && (
        <>
          {result.why && <p>{result.why}</p>}
          <button className={form['plain']} type="button" onClick={() => void save()}>
            Save it as a file
          </button>
        </>
      )}
    </div>
  );
}
