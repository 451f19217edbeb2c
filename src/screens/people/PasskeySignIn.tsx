import { browserSupportsWebAuthn, startAuthentication } from '@simplewebauthn/browser';
import { useEffect, useState } from 'react';
import { postJson, sayNotDone } from '#client/api';
import form from '../shared/form.module.css';

/** Signs in by a passkey: nothing is typed, and nothing can be guessed. */
export function PasskeySignIn({ back }: { readonly back: string }) {
  const [isThere, setThere] = useState(false);
  const [trouble, setTrouble] = useState('');
  useEffect(() => setThere(browserSupportsWebAuthn()), []);
  if (!isThere) return null;
  const signIn = async () => {
    setTrouble('');
    const asked = await postJson<{ readonly options: never }>('/api/passkeys/challenge', {});
    if (asked.state !== 'ok') {
      setTrouble(sayNotDone(asked));
      return;
    }
    const response = await startAuthentication({ optionsJSON: asked.value.options }).catch(
      () => null,
    );
    if (!response) {
      setTrouble('No passkey was given. Sign in with your password.');
      return;
    }
    const sent = await postJson('/api/passkeys/sign-in', response);
    if (sent.state === 'ok') window.location.assign(back);
    else setTrouble(sayNotDone(sent));
  };
  return (
    <>
      <button className={form['plain']} type="button" onClick={() => void signIn()}>
        Sign in with a passkey
      </button>
      {trouble && (
        <p className={form['error']} role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
