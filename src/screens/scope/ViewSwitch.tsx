import styles from './ScopeScreen.module.css';

/** What the middle of the field screen can show, in the order that a key goes through them. */
export const VIEWS = ['tape', 'list', 'findings', 'leave', 'picture'] as const;
export type View = (typeof VIEWS)[number];

const NAMES: Readonly<Record<View, string>> = {
  tape: 'Tape',
  list: 'List',
  findings: 'Findings',
  leave: 'To do',
  picture: 'Picture',
};

type Props = { readonly view: View; readonly onView: (view: View) => void; readonly left: number };

/** Switches the middle of the field screen. */
export function ViewSwitch({ view, onView, left }: Props) {
  return (
    <div className={styles['views']} role="group" aria-label="Show">
      {VIEWS.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={one === view}
          className={one === 'picture' ? styles['narrow'] : undefined}
          onClick={() => onView(one)}
        >
          {NAMES[one]}
          {one === 'leave' && left > 0 ? ` ${left}` : ''}
        </button>
      ))}
    </div>
  );
}
