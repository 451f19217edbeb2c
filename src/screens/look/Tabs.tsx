import styles from './LookScreen.module.css';

export type Tab = 'log' | 'narration' | 'measure' | 'recording';

const TABS: readonly (readonly [tab: Tab, name: string])[] = [
  ['log', 'Log'],
  ['narration', 'Narration'],
  ['recording', 'Recording'],
];

type Props = {
  readonly tab: Tab;
  readonly isMeasuring: boolean;
  readonly onTab: (tab: Tab) => void;
};

/** What stands beside the picture. */
export function Tabs({ tab, isMeasuring, onTab }: Props) {
  const tabs = isMeasuring ? ([...TABS, ['measure', 'Measure']] as const) : TABS;
  return (
    <div className={styles['tabs']} role="tablist" aria-label="Beside the picture">
      {tabs.map(([key, name]) => (
        <button
          key={key}
          type="button"
          role="tab"
          aria-selected={key === tab}
          onClick={() => onTab(key)}
        >
          {name}
        </button>
      ))}
    </div>
  );
}
