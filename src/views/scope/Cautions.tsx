import styles from './RunSetup.module.css';

const CAUTIONS: readonly (readonly [string, string])[] = [
  ['Cap', 'Never force a stuck cap. Open it slowly and stand clear: a line under pressure spills.'],
  ['Sewage', 'Gloves and eye cover. Wash before you touch anything else.'],
  ['Gas', 'No flame. Let the opening air.'],
  ['Roof', 'Fall protection, or do not go.'],
  ['Crawlspace', 'Bad air, wiring, animals: not alone.'],
  ['Camera', 'A stuck head is not forced. A pulled toilet gets a new seal.'],
];

/** What to mind before an opening is used. */
export function Cautions() {
  return (
    <aside className={styles['cautions']} aria-labelledby="cautions">
      <h2 id="cautions">Before you open anything</h2>
      <dl>
        {CAUTIONS.map(([what, text]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
