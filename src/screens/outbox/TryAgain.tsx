import { useState } from 'react';
import { sendJson } from '#client/api';
import { useReady } from '../shared/useReady';

/** Sends a message once more, and shows the page as it is then. */
export function TryAgain({ id }: { readonly id: string }) {
  const ready = useReady();
  const [trouble, setTrouble] = useState('');
  const again = async () => {
    const sent = await sendJson('POST', `/api/outbox/${encodeURIComponent(id)}/again`, {});
    if (sent.state === 'ok') location.reload();
    else setTrouble(sent.state === 'refused' ? sent.message : 'Chert’s server does not answer.');
  };
  return (
    <p>
      <button type="button" disabled={!ready} onClick={() => void again()}>
        Try again
      </button>{' '}
      {trouble && <span role="alert">{trouble}</span>}
    </p>
  );
}
