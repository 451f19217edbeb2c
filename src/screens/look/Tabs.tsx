import { type KeyboardEvent, useRef } from 'react';
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

/** The id of a tab, by which its panel is named. */
export const tabId = (tab: Tab) => `beside-${tab}`;

/** Where a key leads from one of so many tabs; `null` for a key that leads nowhere. */
function indexBy(key: string, at: number, count: number): number | null {
  switch (key) {
    case 'ArrowRight':
      return (at + 1) % count;
    case 'ArrowLeft':
      return (at + count - 1) % count;
    case 'Home':
      return 0;
    case 'End':
      return count - 1;
    default:
      return null;
  }
}

/** What stands beside the picture: one stop for Tab, the arrow keys go from one to the next. */
export function Tabs({ tab, isMeasuring, onTab }: Props) {
  const tabs = isMeasuring ? ([...TABS, ['measure', 'Measure']] as const) : TABS;
  const list = useRef<HTMLDivElement>(null);
  const go = (event: KeyboardEvent, at: number) => {
    const index = indexBy(event.key, at, tabs.length);
    const next = index === null ? undefined : tabs[index];
    if (!next) return;
    // The arrow keys also run the picture.
    event.preventDefault();
    event.stopPropagation();
    onTab(next[0]);
    list.current?.querySelector<HTMLButtonElement>(`#${tabId(next[0])}`)?.focus();
  };
  return (
    <div ref={list} className={styles['tabs']} role="tablist" aria-label="Beside the picture">
      {tabs.map(([key, name], at) => (
        <button
          key={key}
          id={tabId(key)}
          type="button"
          role="tab"
          aria-selected={key === tab}
          tabIndex={key === tab ? 0 : -1}
          onKeyDown={(event) => go(event, at)}
          onClick={() => onTab(key)}
        >
          {name}
        </button>
      ))}
    </div>
  );
}
