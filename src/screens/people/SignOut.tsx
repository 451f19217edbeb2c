import { type SyntheticEvent, useState } from 'react';
import { forgetJobs } from '#client/forget-jobs';
import { countHeld } from '#client/store';

/**
 * Signs this device out, which then forgets what it kept for a time without the server; what was not sent it keeps, and
 * says so before.
 */
export function SignOut() {
  const [held, setHeld] = useState(0);
  const submit = async (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const count = await countHeld().catch(() => 0);
    if (count > 0 && held === 0) {
      setHeld(count);
      return;
    }
    await forgetJobs(count === 0);
    form.submit();
  };
  return (
    <form method="post" action="/sign-out" onSubmit={(event) => void submit(event)}>
      {held > 0 && (
        <p role="alert">
          {held === 1
            ? 'One thing logged here is not sent yet. It stays'
            : `${held} things logged here are not sent yet. They stay`}{' '}
          on this device until you sign in here again. Press once more to sign out anyway.
        </p>
      )}
      <button type="submit">Sign out</button>
    </form>
  );
}
