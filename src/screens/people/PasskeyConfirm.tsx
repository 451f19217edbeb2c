import { PasskeyGiver } from './PasskeyGiver';

/** Shows a passkey instead of the password, and then sends the form that waits for it. */
export function PasskeyConfirm({ formId }: { readonly formId: string }) {
  return (
    <PasskeyGiver
      label="Use a passkey"
      answer="/api/passkeys/confirm"
      otherwise="No passkey was given. Type your password."
      onDone={() => (document.getElementById(formId) as HTMLFormElement | null)?.submit()}
    />
  );
}
