import { PasskeyGiver } from './PasskeyGiver';

/** Signs in by a passkey: nothing is typed, and nothing can be guessed. */
export function PasskeySignIn({ back }: { readonly back: string }) {
  return (
    <PasskeyGiver
      label="Sign in with a passkey"
      answer="/api/passkeys/sign-in"
      otherwise="No passkey was given. Sign in with your password."
      onDone={() => window.location.assign(back)}
    />
  );
}
