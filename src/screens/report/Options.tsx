import type { ReportActions } from '#client/actions/report';
import type { ReportOptions } from '#core/model/job/report-options';
import styles from './Report.module.css';

export type Earlier = { readonly id: string; readonly title: string; readonly when: string };

type Props = {
  readonly options: ReportOptions;
  readonly mayPass: boolean;
  readonly earlier: readonly Earlier[];
  readonly set: ReportActions['set'];
};

/** What the report shows. */
export function Options({ options, mayPass, earlier, set }: Props) {
  const tick = (key: 'prices' | 'nameProfile' | 'passLine', label: string, hint?: string) => (
    <label className={styles['tick']}>
      <input
        type="checkbox"
        checked={options[key]}
        onChange={(event) => set(key, event.target.checked)}
      />{' '}
      {label}
      {hint && <em>{hint}</em>}
    </label>
  );
  return (
    <div className={styles['options']}>
      {tick('prices', 'Planning prices')}
      {tick('nameProfile', 'Name the profile it was judged by')}
      {tick(
        'passLine',
        'A line that the sewer passes',
        mayPass ? '' : 'Not printed: something is open, unseen or adverse.',
      )}
      <label>
        Paper
        <select
          value={options.paper}
          onChange={(event) => set('paper', event.target.value as ReportOptions['paper'])}
        >
          <option value="letter">Letter</option>
          <option value="a4">A4</option>
        </select>
      </label>
      <label>
        Held against an earlier look
        <select
          value={options.comparedWith ?? ''}
          onChange={(event) => set('comparedWith', event.target.value || null)}
          disabled={earlier.length === 0}
        >
          <option value="">{earlier.length === 0 ? 'none on this property' : 'none'}</option>
          {earlier.map(({ id, title, when }) => (
            <option key={id} value={id}>
              {title}, {when}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
