import {
  browserSupportsWebAuthn,
  type PublicKeyCredentialRequestOptionsJSON,
  startAuthentication,
} from '@simplewebauthn/browser';
import { useEffect, useState } from 'react';
import { PasskeyButton } from './PasskeyButton';

const give = (optionsJSON: PublicKeyCredentialRequestOptionsJSON) =>
  startAuthentication({ optionsJSON }).catch(
    () => 'No passkey was given. Sign in with your password.',
  );

/** Signs in by a passkey: nothing is typed, and nothing can be guessed. */
export function PasskeySignIn({ back }: { readonly back: string }) {
  const [isThere, setThere] = useState(false);
  useEffect(() => setThere(browserSupportsWebAuthn()), []);
  if (!isThere) return null;
  return (
    <PasskeyButton
      label="Sign in with a passkey"
      ask="/api/passkeys/challenge"
      answer="/api/passkeys/sign-in"
      give={give}
      onDone={() => window.location.assign(back)}
    />
  );
}
