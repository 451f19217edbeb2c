import type { ReactNode, SyntheticEvent } from 'react';
import { hasRight, type Person, type Right } from '#core/office/roles';
import styles from './TopBar.module.css';
import { Wordmark } from './Wordmark';

export type Light = 'daylight' | 'crawlspace';

/** The stages that a job has screens for, in the order of the work. */
const STAGES = [
  { key: 'site', label: 'Site' },
  { key: 'scope', label: 'Scope' },
  { key: 'look', label: 'Look', more: ' again' },
  { key: 'lateral', label: 'Lateral' },
  { key: 'findings', label: 'Findings' },
  { key: 'repairs', label: 'Repairs' },
  { key: 'report', label: 'Report' },
] as const;
export type Stage = (typeof STAGES)[number]['key'];

type Props = {
  readonly light: Light;
  /** The path to come back to when the light is switched without script. */
  readonly path: string;
  readonly job?: { readonly id: string; readonly title: string; readonly detail?: string };
  readonly stage?: Stage;
  /** How many things wait at a stage. */
  readonly waiting?: Partial<Record<Stage, number>>;
  readonly children?: ReactNode;
  /** Who is signed in; absent or `null` where Chert has no people. */
  readonly who?: Person | null;
  /** Whether nobody is signed in yet: no way leads on. */
  readonly isBare?: boolean;
  /** Switches the light in place; absent where the page has no script. */
  readonly onLight?: (light: Light) => void;
};

/** Wordmark, the job, the stages, save state and light. */
export function TopBar(props: Props) {
  const { light, path, job, stage, waiting, children, onLight, who, isBare = false } = props;
  return (
    <header className={styles['bar']}>
      <Wordmark />
      {job && (
        <p className={styles['job']}>
          <strong>{job.title}</strong>
          {job.detail && <span className={styles['detail']}> · {job.detail}</span>}
        </p>
      )}
      {job && (
        <nav className={styles['stages']} aria-label="Stages of the job">
          {STAGES.map(({ key, label, ...stageOf }) => (
            <a
              key={key}
              href={`/jobs/${encodeURIComponent(job.id)}/${key}`}
              className={styles['stage']}
              aria-current={key === stage ? 'page' : undefined}
            >
              <span>
                {label}
                {'more' in stageOf && <span className={styles['more']}>{stageOf.more}</span>}
              </span>
              {(waiting?.[key] ?? 0) > 0 && (
                <span className={styles['count']}>
                  {waiting?.[key]}
                  <span className="hidden-visually"> waiting</span>
                </span>
              )}
            </a>
          ))}
        </nav>
      )}
      <div className={styles['end']}>
        {children}
        {!job && !isBare && <Places who={who ?? null} path={path} />}
        {who && (
          <a className={styles['settings']} href="/me">
            <span className="hidden-visually">Your account: </span>
            {who.name}
          </a>
        )}
        <LightSwitch light={light} path={path} onLight={onLight} />
      </div>
    </header>
  );
}

/** The ways from a page that is no job's, as far as whoever is signed in may go them. */
function Places({ who, path }: { readonly who: Person | null; readonly path: string }) {
  const may = (right: Right) => !who || hasRight(who.role, right, true);
  const places = [
    { href: '/due', label: 'Due', isShown: true },
    { href: '/board', label: 'Board', isShown: true },
    { href: '/people', label: 'People', isShown: who !== null && may('people') },
    { href: '/settings', label: 'Settings', isShown: may('set') },
  ];
  return places
    .filter(({ isShown }) => isShown)
    .map(({ href, label }) => (
      <a
        key={href}
        className={styles['settings']}
        href={href}
        aria-current={path.startsWith(href) ? 'page' : undefined}
      >
        {label}
      </a>
    ));
}

function LightSwitch({
  light,
  path,
  onLight,
}: {
  readonly light: Light;
  readonly path: string;
  readonly onLight: ((light: Light) => void) | undefined;
}) {
  const other: Light = light === 'daylight' ? 'crawlspace' : 'daylight';
  const submit = (event: SyntheticEvent) => {
    if (!onLight) return;
    event.preventDefault();
    onLight(other);
  };
  return (
    <form method="post" action="/light" onSubmit={submit}>
      <input type="hidden" name="light" value={other} />
      <input type="hidden" name="back" value={path} />
      <button className={styles['light']} type="submit">
        {other === 'crawlspace' ? 'Crawlspace light' : 'Daylight'}
      </button>
    </form>
  );
}
