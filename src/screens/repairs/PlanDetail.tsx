import { useId, useState } from 'react';
import { sayFt, sayList } from '#core/base/numbers';
import { nameFinding } from '#core/catalogue/defects/kinds';
import { nameZone } from '#core/catalogue/zones';
import type { Finding } from '#core/judge/finding';
import type { LineNames } from '#core/lateral/line-names';
import { methodById } from '#core/planning/methods/index';
import { sayMoney, sayRange } from '#core/planning/money';
import { PLAN_NAMES } from '#core/planning/pick';
import type { Plan } from '#core/planning/plans/plan';
import type { Refusal } from '#core/planning/refusals';
import type { Chosen } from '#core/planning/repair';
import type { Work } from '#core/planning/work';
import { Form } from '../shared/Form';
import { Panel } from '../shared/Panel';
import styles from './Repairs.module.css';
import { numbersOf, sayFindings, sayQuantity, sayStations } from './say';
import workStyles from './Work.module.css';

type Props = {
  readonly jobId: string;
  readonly plan: Plan;
  readonly isPick: boolean;
  readonly chosen: Chosen | null;
  readonly refusals: readonly Refusal[];
  readonly findings: readonly Finding[];
  readonly names: LineNames;
  readonly onChoose: (reason: string) => void;
  readonly onUnchoose: () => void;
  readonly onMakeOwn: () => void;
};

/** The plan shown, line by line: quantity times rate, what it leaves, and what looks cheaper and is refused. */
export function PlanDetail(props: Props) {
  const { jobId, plan, isPick, chosen, refusals, findings, names } = props;
  const left = findings.filter(({ id }) => plan.leaves.includes(id));
  const isChosen = chosen?.planId === plan.id;
  return (
    <Panel id="plan" title={`${PLAN_NAMES[plan.id]}, line by line`}>
      {plan.works.length === 0 && <p>Nothing on this line asks for work.</p>}
      {plan.works.map((work) => (
        <WorkLines key={work.id} work={work} findings={findings} names={names} />
      ))}
      {plan.works.length > 1 && (
        <p className={styles['hint']}>
          All together {sayRange(plan.cost)}, likely {sayMoney(plan.cost.likely)}: the range of a
          sum is narrower than the sum of the ranges, for not every price is high at once.
        </p>
      )}
      {left.length > 0 && (
        <>
          <h3>What it leaves</h3>
          <ul>
            {left.map(({ id, number, kind, severity, span, lineId }) => (
              <li key={id}>
                {number}: {nameFinding(kind).toLowerCase()} at {sayStations(span)} ft
                {names.on(lineId)}, {severity}.
              </li>
            ))}
          </ul>
        </>
      )}
      {refusals.length > 0 && (
        <details>
          <summary>Cheaper ways that are refused, and why ({refusals.length})</summary>
          <ul>
            {refusals.map(({ number, method, cost, because }) => (
              <li key={`${number} ${method}`}>
                Finding {number}: {methodById(method).name.toLowerCase()}, {sayRange(cost)}.
                Refused: {because}.
              </li>
            ))}
          </ul>
        </details>
      )}
      <div className={styles['buttons']}>
        <a href={`/jobs/${encodeURIComponent(jobId)}/request?plan=${plan.id}`}>Request sheet</a>
        {plan.id !== 'own' && (
          <button type="button" onClick={props.onMakeOwn}>
            Make it your own
          </button>
        )}
        {isChosen && (
          <button type="button" onClick={props.onUnchoose}>
            Back to Chert’s pick
          </button>
        )}
      </div>
      {isChosen ? (
        <p className={styles['hint']}>
          Your choice{chosen.reason && `: “${chosen.reason}”`}.
          {chosen.changed.length > 0 && (
            <strong role="note">
              {' '}
              It has changed since: {chosen.changed.join('; ')}. Choose it again or go back.
            </strong>
          )}
        </p>
      ) : null}
      {(!isChosen || chosen.changed.length > 0) && !isPick && (
        <Choose key={plan.id} name={PLAN_NAMES[plan.id]} onChoose={props.onChoose} />
      )}
      {isPick && chosen && !isChosen && (
        <p className={styles['hint']}>
          Chert’s pick. The report goes by your choice, {PLAN_NAMES[chosen.planId]}.
        </p>
      )}
    </Panel>
  );
}

function WorkLines({
  work,
  findings,
  names,
}: {
  readonly work: Work;
  readonly findings: readonly Finding[];
  readonly names: LineNames;
}) {
  const method = methodById(work.method);
  const { depth, publicFt, zones, tees, cures, holds } = work;
  const facts = [
    zones.length > 0 && `under: ${sayList(zones.map((zone) => nameZone(zone).toLowerCase()))}`,
    depth &&
      `${sayFt(depth.leastFt)}${depth.mostFt - depth.leastFt >= 0.05 ? ` to ${sayFt(depth.mostFt)}` : ''} ft deep${depth.isLocated ? '' : ' (assumed: locate it)'}`,
    publicFt > 0.05 && `${sayFt(publicFt)} ft on the public side`,
    tees.length > 0 && `${tees.length} tee${tees.length > 1 ? 's' : ''} to reopen`,
    cures.length > 0 && `ends ${sayFindings(numbersOf(findings, cures))}`,
    holds.length > 0 && `holds ${sayFindings(numbersOf(findings, holds))} for a time`,
    `by ${method.by}`,
  ].filter(Boolean);
  return (
    <div className={workStyles['work-lines']}>
      <h3>
        {method.verb} <span>{`${sayStations(work)} ft${names.on(work.lineId)}`}</span>
        {work.isFirst && ', first'}
      </h3>
      <p className={styles['hint']}>{facts.join(' · ')}</p>
      {work.lines.length === 0 ? (
        <p className={styles['hint']}>No fee included.</p>
      ) : (
        <table className={workStyles['lines']}>
          <caption className="hidden-visually">What {method.name.toLowerCase()} costs</caption>
          <thead className="hidden-visually">
            <tr>
              <th scope="col">For</th>
              <th scope="col">Quantity and rate</th>
              <th scope="col">Price</th>
            </tr>
          </thead>
          <tbody>
            {work.lines.map((line) => (
              <tr key={`${line.key} ${line.factor}`}>
                <td>{line.says}</td>
                <td>{sayQuantity(line)}</td>
                <td>{sayRange(line.cost)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

function Choose({
  name,
  onChoose,
}: {
  readonly name: string;
  readonly onChoose: (reason: string) => void;
}) {
  const id = useId();
  const [trouble, setTrouble] = useState<string | null>(null);
  return (
    <Form
      className={workStyles['choose']}
      onTyped={({ text }) => {
        const reason = text('reason');
        if (reason === '') {
          setTrouble('Say why: the reason goes into the record with your choice.');
          return;
        }
        setTrouble(null);
        onChoose(reason);
      }}
    >
      <label htmlFor={id}>Choose {name.toLowerCase()} in place of Chert’s pick, because</label>
      <input id={id} name="reason" autoComplete="off" />
      <button type="submit">Choose it</button>
      {trouble && <p role="alert">{trouble}</p>}
    </Form>
  );
}
