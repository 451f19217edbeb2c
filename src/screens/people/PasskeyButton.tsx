import { useState } from 'react';
import { postJson, sayNotDone } from '#client/api';
import form from '../shared/form.module.css';

type Props<Options> = {
  readonly label: string;
  /** Where the server is asked for a challenge, and where it takes the answer. */
  readonly ask: string;
  readonly answer: string;
  /** Has the browser answer the challenge; words where it did not. */
  readonly give: (optionsJSON: Options) => Promise<object | string>;
  readonly onDone: () => void;
};

/** One exchange with a passkey: challenge, answer, and what stood in the way. */
export function PasskeyButton<Options>({ label, ask, answer, give, onDone }: Props<Options>) {
  const [trouble, setTrouble] = useState('');
  const exchange = async (): Promise<string | null> => {
    const asked = await postJson<{ readonly options: Options }>(ask, {});
    if (asked.state !== 'ok') return sayNotDone(asked);
    const given = await give(asked.value.options);
    if (typeof given === 'string') return given;
    const sent = await postJson(answer, given);
    return sent.state === 'ok' ? null : sayNotDone(sent);
  };
  const press = async () => {
    setTrouble('');
    const why = await exchange();
    if (why === null) onDone();
    else setTrouble(why);
  };
  return (
    <>
      <button className={form['plain']} type="button" onClick={() => void press()}>
        {label}
      </button>
      {trouble && (
        <p className={form['error']} role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
