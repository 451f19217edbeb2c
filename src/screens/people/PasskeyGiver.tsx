import {
  browserSupportsWebAuthn,
  type PublicKeyCredentialRequestOptionsJSON,
  startAuthentication,
} from '@simplewebauthn/browser';
import { useEffect, useState } from 'react';
import { PasskeyButton } from './PasskeyButton';

type Props = {
  readonly label: string;
  /** Where the server takes the passkey. */
  readonly answer: string;
  /** What is said where none was given. */
  readonly otherwise: string;
  readonly onDone: () => void;
};

/** Asks for a passkey that somebody has; nothing where the browser knows none. */
export function PasskeyGiver({ label, answer, otherwise, onDone }: Props) {
  const [isThere, setThere] = useState(false);
  useEffect(() => setThere(browserSupportsWebAuthn()), []);
  if (!isThere) return null;
  const give = (optionsJSON: PublicKeyCredentialRequestOptionsJSON) =>
    startAuthentication({ optionsJSON }).catch(() => otherwise);
  return (
    <PasskeyButton
      label={label}
      ask="/api/passkeys/challenge"
      answer={answer}
      give={give}
      onDone={onDone}
    />
  );
}
