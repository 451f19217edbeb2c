import { cautionsOfWork } from '#core/cautions';
import type { Assessment } from '#core/judge/assessment';
import { sayWholeLine } from '#core/report/whole-line';
import styles from './Findings.module.css';

/** What is said of the job as a whole: old and new pipe, remarks, advice, and what may still change it. */
export function WholeJob({ assessment }: { readonly assessment: Assessment }) {
  const { remarks, advice, provisos, suspicions } = assessment;
  const seen = [...sayWholeLine(assessment), ...remarks.map(({ text }) => text)];
  const unsure = [
    ...provisos.map(({ text, settledBy }) => `${text} To settle it: ${settledBy}.`),
    ...new Set(
      suspicions.map(({ text, settledBy }) => `${sentence(text)} To settle it: ${settledBy}.`),
    ),
  ];
  return (
    <div className={styles['whole']}>
      <List items={seen} />
      <List title="To advise" items={advice.map(({ text }) => text)} />
      <List title="May still change" items={unsure} />
      <List title="Cautions" items={cautionsOfWork(assessment).map(({ text }) => text)} />
    </div>
  );
}

const sentence = (text: string) =>
  `${text.charAt(0).toUpperCase()}${text.slice(1).replace(/\.$/, '')}.`;

function List({ title, items }: { readonly title?: string; readonly items: readonly string[] }) {
  if (items.length === 0) return null;
  return (
    <>
      {title && <h3>{title}</h3>}
      <ul className={styles['plainList']}>
        {items.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </>
  );
}
