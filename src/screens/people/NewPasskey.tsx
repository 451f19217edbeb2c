import {
  browserSupportsWebAuthn,
  type PublicKeyCredentialCreationOptionsJSON,
  startRegistration,
} from '@simplewebauthn/browser';
import { useEffect, useState } from 'react';
import form from '../shared/form.module.css';
import { PasskeyButton } from './PasskeyButton';

const give = (optionsJSON: PublicKeyCredentialCreationOptionsJSON) =>
  startRegistration({ optionsJSON }).catch((error: unknown) =>
    error instanceof Error && error.name === 'InvalidStateError'
      ? 'This device has a passkey for you already.'
      : 'No passkey was added.',
  );

/** Adds a passkey on this device, or on a security key. */
export function NewPasskey() {
  const [isThere, setThere] = useState<boolean | null>(null);
  useEffect(() => setThere(browserSupportsWebAuthn()), []);
  if (isThere === null) return null;
  if (!isThere)
    return (
      <p className={form['hint']}>
        This browser has no passkeys, or the page’s address is not secure.
      </p>
    );
  return (
    <PasskeyButton
      label="Add a passkey on this device"
      ask="/api/passkeys/new"
      answer="/api/passkeys"
      give={give}
      onDone={() => window.location.reload()}
    />
  );
}
