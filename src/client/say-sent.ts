import type { Sent } from './api';

/** What to tell whoever sent a form: nothing where it was taken. */
export function troublesOf(sent: Sent<unknown>): readonly string[] {
  if (sent.state === 'ok') return [];
  return [
    sent.state === 'refused'
      ? sent.message
      : 'Chert’s server does not answer. Nothing you typed is lost; try again.',
  ];
}
