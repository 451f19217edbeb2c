import { type SyntheticEvent, useState } from 'react';
import { forgetJobs } from '#client/forget-jobs';
import { countHeld } from '#client/store';

/**
 * Signs this device out. Where all was sent, it forgets the jobs that it kept for a time without the server; what was
 * not sent it keeps, and says so before.
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
    if (count === 0) await forgetJobs();
    form.submit();
  };
  return (
    <form method="post" action="/sign-out" onSubmit={(event) => void submit(event)}>
      {held > 0 && (
        <p role="alert">
          {held === 1 ? 'One thing' : `${held} things`} logged here are not sent yet. They stay on
          this device until you sign in here again. Press once more to sign out all the same.
        </p>
      )}
      <button type="submit">Sign out</button>
    </form>
  );
}
