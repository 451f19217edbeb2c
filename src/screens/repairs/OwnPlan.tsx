import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { roundTo, sayFt } from '#core/base/numbers';
import { nameFinding } from '#core/catalogue/defects/kinds';
import type { MethodId } from '#core/catalogue/method-ids';
import type { Finding } from '#core/judge/finding';
import type { OwnWork } from '#core/model/job/plans';
import { methodById, METHODS } from '#core/planning/methods/index';
import { addWhatComesFirst, type OwnPlanned, workFor } from '#core/planning/own-plan';
import { bedOf, type Site } from '#core/planning/site';
import { overWholeRun } from '#core/planning/whole-runs';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import { Panel } from '../shared/Panel';
import styles from './Repairs.module.css';
import { readFeet } from './say';
import workStyles from './Work.module.css';

type Props = {
  readonly site: Site;
  readonly planned: OwnPlanned | null;
  readonly works: readonly OwnWork[];
  readonly finding: Finding | null;
  readonly onKeep: (works: readonly OwnWork[]) => void;
  readonly onDrop: () => void;
};

/** The inspector's own plan: works added, stretched and taken out, with the rules that they break. */
export function OwnPlan({ site, planned, works, finding, onKeep, onDrop }: Props) {
  const needsFirst =
    planned?.broken.some(({ rule }) => rule === 'first' || rule === 'way-in') ?? false;
  return (
    <Panel id="own" title="Your own plan">
      {works.length === 0 ? (
        <p className={styles['hint']}>
          Add a work, or take one of Chert’s plans as your own and change it: its ends can then be
          pulled under the drawing, or moved with the arrow keys.
        </p>
      ) : (
        <ul className={workStyles['own-works']}>
          {works.map((work, index) => (
            <OwnRow
              key={`${index} ${work.method} ${work.fromFt} ${work.toFt}`}
              work={work}
              onWholeRun={() =>
                onKeep(works.map((one, at) => (at === index ? overWholeRun(site, one) : one)))
              }
              onKeep={(next) => onKeep(works.map((one, at) => (at === index ? next : one)))}
              onRemove={() => onKeep(works.filter((_, at) => at !== index))}
            />
          ))}
        </ul>
      )}
      {planned && planned.broken.length > 0 && (
        <div className={workStyles['broken']} role="status" aria-label="Rules that it breaks">
          <h3>Rules that it breaks</h3>
          <ul>
            {planned.broken.map(({ text }) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
          {needsFirst && (
            <div className={styles['buttons']}>
              <button type="button" onClick={() => onKeep(addWhatComesFirst(site, works))}>
                Add what must come first
              </button>
            </div>
          )}
        </div>
      )}
      {planned && planned.broken.length === 0 && works.length > 0 && (
        <p className={styles['hint']} role="status">
          It breaks no rule.
        </p>
      )}
      <AddWork
        key={finding?.id ?? ''}
        site={site}
        finding={finding}
        onAdd={(work) => onKeep([...works, work])}
      />
      {works.length > 0 && (
        <div className={styles['buttons']}>
          <button type="button" onClick={onDrop}>
            Let your plan go
          </button>
        </div>
      )}
    </Panel>
  );
}

type RowProps = {
  readonly work: OwnWork;
  readonly onKeep: (work: OwnWork) => void;
  readonly onRemove: () => void;
  /** Draws the work out over the whole run of pipe that it lies in. */
  readonly onWholeRun: () => void;
};

function OwnRow({ work, onKeep, onRemove, onWholeRun }: RowProps) {
  const { name, extent } = methodById(work.method);
  const where = `${name}, ${sayFt(work.fromFt)} to ${sayFt(work.toFt)} ft`;
  const end = (label: string, value: number, keep: (feet: number) => void) => (
    <input
      aria-label={`${name}: ${label}, ft`}
      inputMode="decimal"
      defaultValue={sayFt(value)}
      onBlur={(event) => {
        const feet = readFeet(event.target.value);
        if (feet === null) event.target.value = sayFt(value);
        else if (Math.abs(feet - value) >= 0.05) keep(feet);
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
  return (
    <li>
      <span>{name}</span>
      {end('from', work.fromFt, (fromFt) =>
        onKeep({ ...work, fromFt, toFt: Math.max(fromFt, work.toFt) }),
      )}
      <span>to</span>
      {end('to', work.toFt, (toFt) =>
        onKeep({ ...work, toFt, fromFt: Math.min(toFt, work.fromFt) }),
      )}
      <span>ft</span>
      {extent === 'stretch' && (
        <button type="button" aria-label={`${where}: over the whole run`} onClick={onWholeRun}>
          Whole run
        </button>
      )}
      <button type="button" aria-label={`Take out ${where}`} onClick={onRemove}>
        <Trash2 size={18} aria-hidden="true" />
      </button>
    </li>
  );
}

type AddProps = {
  readonly site: Site;
  readonly finding: Finding | null;
  readonly onAdd: (work: OwnWork) => void;
};

/** Adds a work: over a finding, or over feet that are typed. */
function AddWork({ site, finding, onAdd }: AddProps) {
  const placed = site.owned.filter((one) => one.placed);
  const [method, setMethod] = useState<MethodId>('dig');
  const [findingId, setFindingId] = useState(finding?.id ?? placed[0]?.id ?? '');
  const target = placed.find(({ id }) => id === findingId) ?? null;
  const wanted = target ? workFor(site, target, method) : null;
  const verdict = target ? methodById(method).verdict(target, site) : null;
  const [trouble, setTrouble] = useState<string | null>(null);
  const lines = [...site.beds.keys()];
  const add = ({ text }: Typed) => {
    const fromFt = readFeet(text('fromFt'));
    const toFt = readFeet(text('toFt'));
    if (fromFt === null || toFt === null) {
      setTrouble('Say where it begins and ends, in feet.');
      return;
    }
    setTrouble(null);
    const lineId = target?.lineId ?? (text('line') || lines[0]!);
    bedOf(site, lineId);
    onAdd({ method, lineId, fromFt: Math.min(fromFt, toFt), toFt: Math.max(fromFt, toFt) });
  };
  return (
    <Form className={workStyles['add-work']} onTyped={add}>
      <label>
        Add
        <select value={method} onChange={(event) => setMethod(event.target.value as MethodId)}>
          {METHODS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label>
        for
        <select value={findingId} onChange={(event) => setFindingId(event.target.value)}>
          {placed.map(({ id, number, kind, span }) => (
            <option key={id} value={id}>
              {number}: {nameFinding(kind).toLowerCase()} at {sayFt(span.fromFt)} ft
            </option>
          ))}
          <option value="">no finding</option>
        </select>
      </label>
      {!target && lines.length > 1 && (
        <label>
          on
          <select name="line">
            {lines.map((id) => (
              <option key={id}>{id}</option>
            ))}
          </select>
        </label>
      )}
      <label>
        from, ft
        <input
          key={`from ${method} ${findingId}`}
          name="fromFt"
          inputMode="decimal"
          defaultValue={wanted ? roundTo(wanted.fromFt, 1) : ''}
        />
      </label>
      <label>
        to, ft
        <input
          key={`to ${method} ${findingId}`}
          name="toFt"
          inputMode="decimal"
          defaultValue={wanted ? roundTo(wanted.toFt, 1) : ''}
        />
      </label>
      <button type="submit" data-act="true">
        Add it
      </button>
      {verdict && (
        <p className={styles['hint']}>
          {verdict.does === 'cure'
            ? 'Ends it: '
            : verdict.does === 'hold'
              ? 'Only holds it: '
              : 'Does not end it: '}
          {verdict.because}.
        </p>
      )}
      {target && !verdict && <p className={styles['hint']}>This does nothing for that finding.</p>}
      {trouble && <p role="alert">{trouble}</p>}
    </Form>
  );
}
