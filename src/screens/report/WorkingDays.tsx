import { useState } from 'react';
import { isDay } from '#core/base/day';
import type { Holidays } from '#core/model/job/report-options';
import { federalHolidays, sayDay } from '#core/report/calendar';
import { Form } from '../shared/Form';
import styles from './Report.module.css';

type Props = {
  readonly holidays: Holidays;
  /** The days between which steps are dated. */
  readonly fromDay: string;
  readonly toDay: string | null;
  readonly onChange: (holidays: Holidays) => void;
};

/** The holidays that steps are dated around: the federal ones about this job, and those added. */
export function WorkingDays({ holidays, fromDay, toDay, onChange }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const years = [...new Set([fromDay, toDay ?? fromDay].map((day) => Number(day.slice(0, 4))))];
  const near = years
    .flatMap(federalHolidays)
    .filter((day) => day >= fromDay && (toDay === null || day <= toDay))
    .sort();
  const { added, removed } = holidays;
  return (
    <div className={styles['options']}>
      {near.length === 0 && added.length === 0 && (
        <p className={styles['hint']}>No federal holiday falls in this inspection period.</p>
      )}
      {near.map((day) => (
        <label key={day} className={styles['tick']}>
          <input
            type="checkbox"
            checked={!removed.includes(day)}
            onChange={(event) =>
              onChange({
                added,
                removed: event.target.checked
                  ? removed.filter((one) => one !== day)
                  : [...removed, day],
              })
            }
          />{' '}
          {sayDay(day)}, federal
        </label>
      ))}
      {added.map((day) => (
        <label key={day} className={styles['tick']}>
          <input
            type="checkbox"
            checked
            onChange={() => onChange({ added: added.filter((one) => one !== day), removed })}
          />{' '}
          {sayDay(day)}, added
        </label>
      ))}
      <Form
        className={styles['pair']}
        onTyped={({ text, element }) => {
          const day = text('day');
          if (!isDay(day)) {
            setTrouble('Choose a day.');
            return;
          }
          setTrouble(null);
          element.reset();
          if (!added.includes(day)) onChange({ added: [...added, day].sort(), removed });
        }}
      >
        <label>
          A day on which nobody works
          <input type="date" name="day" />
        </label>
        <button type="submit">Add it</button>
      </Form>
      {trouble && <p role="alert">{trouble}</p>}
    </div>
  );
}
