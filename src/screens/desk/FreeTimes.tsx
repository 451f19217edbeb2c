import { useState } from 'react';
import { getJson, sayNotDone } from '#client/api';
import { localDay } from '#client/time';
import { sayLength, sayMin } from '#core/base/clock';
import { sayDay } from '#core/report/calendar';
import form from '../shared/form.module.css';
import styles from './FreeTimes.module.css';

export type FreeTime = {
  readonly personId: string;
  readonly name: string;
  readonly day: string;
  readonly beginMin: number;
  readonly wayMin: number;
  readonly daysLeft: number | null;
};

type Props = {
  /** What is known of the job so far: the end of its period, its place. */
  readonly wish: () => { readonly endsOn: string; readonly place: string };
  readonly onChoose: (time: FreeTime) => void;
};

function sayLeft(daysLeft: number | null): string {
  if (daysLeft === null) return '';
  if (daysLeft <= 0) return ' · no working day left after it';
  return ` · ${daysLeft} working ${daysLeft === 1 ? 'day' : 'days'} left after it`;
}

/** Offers the first times at which somebody is free, with the ways and the days that would be left. */
export function FreeTimes({ wish, onChoose }: Props) {
  const [times, setTimes] = useState<readonly FreeTime[] | null>(null);
  const [trouble, setTrouble] = useState('');
  const ask = async () => {
    const now = new Date();
    const query = new URLSearchParams({
      from: localDay(now),
      fromMin: String(now.getHours() * 60 + now.getMinutes()),
      ...wish(),
    });
    const sent = await getJson<{ readonly slots: readonly FreeTime[] }>(`/api/slots?${query}`);
    setTrouble(sent.state === 'ok' ? '' : sayNotDone(sent));
    if (sent.state === 'ok') setTimes(sent.value.slots);
  };
  return (
    <div className={styles['times']}>
      <button className={form['plain']} type="button" onClick={() => void ask()}>
        Offer free times
      </button>
      {trouble && (
        <p className={form['error']} role="alert">
          {trouble}
        </p>
      )}
      {times?.length === 0 && (
        <p role="status">
          Nobody is free before the inspection period ends. Book it by hand, or move another job on
          the board.
        </p>
      )}
      {times && times.length > 0 && (
        <ul aria-label="Free times">
          {times.map((time) => (
            <li key={`${time.personId} ${time.day} ${time.beginMin}`}>
              <button type="button" onClick={() => onChoose(time)}>
                <b>
                  {sayDay(time.day)}, {sayMin(time.beginMin)}
                </b>
                <span>
                  {[time.name, time.wayMin > 0 ? `${sayLength(time.wayMin)} of way` : '']
                    .filter(Boolean)
                    .join(' · ')}
                  {sayLeft(time.daysLeft)}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
