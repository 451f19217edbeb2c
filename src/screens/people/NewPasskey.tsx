import { browserSupportsWebAuthn, startRegistration } from '@simplewebauthn/browser';
import { useEffect, useState } from 'react';
import { postJson, sayNotDone } from '#client/api';
import form from '../shared/form.module.css';

/** Makes a passkey on this device, or on a key that is plugged in. */
export function NewPasskey() {
  const [isThere, setThere] = useState<boolean | null>(null);
  const [trouble, setTrouble] = useState('');
  useEffect(() => setThere(browserSupportsWebAuthn()), []);
  if (isThere === null) return null;
  if (!isThere)
    return <p className={form['hint']}>This browser has no passkeys, or the page is not secure.</p>;
  const make = async () => {
    setTrouble('');
    const asked = await postJson<{ readonly options: never }>('/api/passkeys/new', {});
    if (asked.state !== 'ok') {
      setTrouble(sayNotDone(asked));
      return;
    }
    const response = await startRegistration({ optionsJSON: asked.value.options }).catch(
      (error: unknown) =>
        error instanceof Error && error.name === 'InvalidStateError' ? 'known' : null,
    );
    if (response === 'known') {
      setTrouble('This device has a passkey for you already.');
      return;
    }
    if (!response) {
      setTrouble('No passkey was made.');
      return;
    }
    const sent = await postJson('/api/passkeys', response);
    if (sent.state === 'ok') window.location.reload();
    else setTrouble(sayNotDone(sent));
  };
  return (
    <>
      <button className={form['plain']} type="button" onClick={() => void make()}>
        Make a passkey on this device
      </button>
      {trouble && (
        <p className={form['error']} role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
