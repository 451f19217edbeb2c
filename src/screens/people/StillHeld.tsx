import { useEffect, useState } from 'react';
import { countHeld } from '#client/store';
import styles from './people.module.css';

/** Says what this device holds that no server has yet: signed out, it is kept all the same. */
export function StillHeld() {
  const [count, setCount] = useState(0);
  useEffect(() => {
    countHeld().then(setCount, () => undefined);
  }, []);
  if (count === 0) return null;
  return (
    <p className={styles['said']} role="status">
      {count === 1
        ? 'One thing that was logged on this device is still to be sent.'
        : `${count} things that were logged on this device are still to be sent.`}{' '}
      It is kept here, and sent once whoever logged it signs in here and opens the job.
    </p>
  );
}
