import { useState } from 'react';
import { sendJson } from '#client/api';
import { useReady } from '../shared/useReady';
import styles from './DeskPage.module.css';

/** Asks who signs the reports, once, until somebody has said or waved it off. */
export function FirstRun() {
  const ready = useReady();
  const [isOff, setOff] = useState(false);
  const [trouble, setTrouble] = useState('');
  if (isOff) return null;
  const waveOff = async () => {
    const sent = await sendJson('PATCH', '/api/preferences', { firm: {} });
    if (sent.state === 'ok') setOff(true);
    else setTrouble('Chert’s server did not take it: try again.');
  };
  return (
    <aside className={styles['first']} aria-labelledby="first-run">
      <h2 id="first-run">Who signs your reports?</h2>
      <p>
        Name, license and phone are printed at the head of every report. It takes a minute, and can
        be done later in Settings.
      </p>
      <p>
        <a href="/firm">Set up your firm</a>
        <button type="button" disabled={!ready} onClick={() => void waveOff()}>
          Not now
        </button>
        {trouble && <span role="alert">{trouble}</span>}
      </p>
    </aside>
  );
}
