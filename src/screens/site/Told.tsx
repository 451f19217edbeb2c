import { Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { type Material, MATERIALS } from '#core/catalogue/materials/index';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import type { FactsChange } from '#core/model/job/facts';
import { checkFacts } from '#core/model/job/facts';
import type { Inspection } from '#core/model/job/inspection';
import { HISTORY_KINDS } from '#core/model/job/property';
import { Field, sayCode, Select, Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import { sayFaults, type Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import styles from './SiteScreen.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly onFacts: (facts: FactsChange) => void;
};

const KINDS = HISTORY_KINDS.map((kind) => [kind, sayCode(kind)] as const);
const OF_PIPE = MATERIALS.filter((one) => one !== 'unknown').map(
  (one) => [one, nameMaterial(one)] as const,
);

/** What the seller, the agent or the authority said of the line: told in the report as told, not as seen. */
export function Told({ inspection, onFacts }: Props) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const history = inspection.property.history ?? [];
  const rules = inspection.job.localRules ?? [];
  const tell = (facts: FactsChange, element: HTMLFormElement | null) => {
    const checked = checkFacts(inspection, facts);
    setTrouble(checked.ok ? [] : sayFaults(checked.faults, {}));
    if (!checked.ok) return;
    onFacts(facts);
    element?.reset();
  };
  const keepHistory = (list: typeof history, element: HTMLFormElement | null = null) =>
    tell({ property: { history: list.length === 0 ? null : list } }, element);
  const keepRules = (list: typeof rules, element: HTMLFormElement | null = null) =>
    tell({ job: { localRules: list.length === 0 ? null : list } }, element);

  return (
    <section className={styles['part']} aria-labelledby="told-title">
      <h2 id="told-title">What was told of the line</h2>
      <Troubles list={trouble} />
      <Rows
        items={history.map(({ what, on, note }) => ({
          title: sayCode(what),
          text: [on, note].filter(Boolean).join(', '),
        }))}
        empty="Cleanings, repairs, permits and backups that somebody told of. A line cut last month shows little of what grows in it."
        onTakeOut={(at) => keepHistory(history.filter((_, index) => index !== at))}
      />
      <AddForm
        label="Add to its history"
        onAdd={({ text, element }) =>
          keepHistory(
            [
              ...history,
              {
                what: text('history-what') as (typeof HISTORY_KINDS)[number],
                ...(text('history-on') === '' ? {} : { on: text('history-on') }),
                note: text('history-note'),
              },
            ],
            element,
          )
        }
      >
        <Select name="history-what" label="What happened" options={KINDS} value="cleaned" />
        <Field name="history-on" label="When, if known" />
        <div className={styles['wide']}>
          <Field name="history-note" label="What was said, and by whom" />
        </div>
      </AddForm>
      <Rows
        items={rules.map(({ material, says }) => ({ title: nameMaterial(material), text: says }))}
        empty="What the local authority says of a material: the report quotes it where such pipe is."
        onTakeOut={(at) => keepRules(rules.filter((_, index) => index !== at))}
      />
      <AddForm
        label="Add a local rule"
        onAdd={({ text, element }) =>
          keepRules(
            [...rules, { material: text('rule-material') as Material, says: text('rule-says') }],
            element,
          )
        }
      >
        <Select name="rule-material" label="Pipe" options={OF_PIPE} value="concrete" />
        <div className={styles['wide']}>
          <Field name="rule-says" label="What the rule says" />
        </div>
      </AddForm>
    </section>
  );
}

type RowsProps = {
  readonly items: readonly { readonly title: string; readonly text: string }[];
  readonly empty: string;
  readonly onTakeOut: (at: number) => void;
};

function Rows({ items, empty, onTakeOut }: RowsProps) {
  if (items.length === 0) return <p className={styles['hint']}>{empty}</p>;
  return (
    <ul className={styles['things']}>
      {items.map(({ title, text }, at) => (
        <li key={`${at} ${title} ${text}`}>
          <span>
            <strong>{title}</strong>
            {text && `, ${text}`}
          </span>
          <button type="button" aria-label={`Take out ${title}`} onClick={() => onTakeOut(at)}>
            <Trash2 size={20} aria-hidden="true" />
          </button>
        </li>
      ))}
    </ul>
  );
}

type AddProps = {
  readonly label: string;
  readonly children: ReactNode;
  readonly onAdd: (typed: Typed) => void;
};

function AddForm({ label, children, onAdd }: AddProps) {
  const ready = useReady();
  return (
    <Form aria-label={label} onTyped={onAdd}>
      <fieldset className={form['whole']} disabled={!ready}>
        <div className={styles['grid']}>{children}</div>
        <button className={form['plain']} type="submit">
          {label}
        </button>
      </fieldset>
    </Form>
  );
}
