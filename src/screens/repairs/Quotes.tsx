import { lazy, useState } from 'react';
import type { Decision } from '#core/model/job/inspection';
import { listQuotes, type QuoteDecision } from '#core/model/job/plans';
import { methodById } from '#core/planning/methods/index';
import { sayMoney, sayRange } from '#core/planning/money';
import { PLAN_NAMES } from '#core/planning/pick';
import type { Plan } from '#core/planning/plans/plan';
import { checkQuote, type QuoteRemark } from '#core/planning/quote/check-quote';
import type { Site } from '#core/planning/site';
import { Later } from '../shared/Later';
import { Panel } from '../shared/Panel';
import type { QuoteFields } from './QuoteForm';
import quotesStyles from './Quotes.module.css';
import styles from './Repairs.module.css';

const QuoteForm = lazy(async () => ({ default: (await import('./QuoteForm')).QuoteForm }));

type Props = {
  readonly site: Site;
  readonly plan: Plan;
  readonly decisions: readonly Decision[];
  readonly onKeep: (quote: QuoteFields) => void;
  readonly onDrop: (id: string) => void;
};

/** Contractors' quotes, each laid beside the plan that is shown. */
export function Quotes({ site, plan, decisions, onKeep, onDrop }: Props) {
  const quotes = listQuotes(decisions);
  const [isAdding, setAdding] = useState(false);
  return (
    <Panel id="quotes" title="Quotes" count={quotes.length}>
      {quotes.length === 0 && !isAdding && (
        <p className={styles['hint']}>
          Enter what a contractor quotes. Chert lays it beside the plan: lengths, what it would not
          cure, what it does not say, and whether its price lies in the planning range.
        </p>
      )}
      {quotes.map((quote) => (
        <Quote
          key={quote.id}
          site={site}
          plan={plan}
          quote={quote}
          onDrop={() => onDrop(quote.id)}
        />
      ))}
      {isAdding ? (
        <Later>
          <QuoteForm
            plan={plan}
            onKeep={(quote) => {
              onKeep(quote);
              setAdding(false);
            }}
            onCancel={() => setAdding(false)}
          />
        </Later>
      ) : (
        <div className={styles['buttons']}>
          <button type="button" onClick={() => setAdding(true)}>
            Enter a quote
          </button>
        </div>
      )}
    </Panel>
  );
}

const LEVELS: Readonly<Record<QuoteRemark['level'], string>> = {
  wrong: 'Will not do',
  ask: 'Ask',
  fine: 'Fine',
};

type QuoteProps = {
  readonly site: Site;
  readonly plan: Plan;
  readonly quote: QuoteDecision;
  readonly onDrop: () => void;
};

function Quote({ site, plan, quote, onDrop }: QuoteProps) {
  const { remarks, asked, reckoned } = checkQuote(site, plan, quote);
  return (
    <article className={quotesStyles['quote']} aria-label={`Quote from ${quote.from}`}>
      <h3>{quote.from}</h3>
      <p>
        {asked === null ? 'No price yet' : <b>{sayMoney(asked)}</b>}
        {reckoned && `, planning range for these works ${sayRange(reckoned)}`}.{' '}
        {PLAN_NAMES[plan.id]}: {sayRange(plan.cost)}.
      </p>
      <p className={styles['hint']}>
        {quote.lines
          .map(({ method, fromFt, toFt, lengthFt, price, priceTo }) =>
            [
              methodById(method).name,
              fromFt !== null && toFt !== null ? `${fromFt} to ${toFt} ft` : null,
              lengthFt !== null ? `${lengthFt} ft` : null,
              price !== null ? sayRange({ low: price, high: priceTo ?? price }) : null,
            ]
              .filter(Boolean)
              .join(', '),
          )
          .join(' · ')}
      </p>
      {remarks.length === 0 ? (
        <p>
          It deals with what the plan does, says what it includes, and lies in the planning range.
        </p>
      ) : (
        <ul className={quotesStyles['remarks']}>
          {remarks.map(({ level, text }) => (
            <li key={text} data-level={level}>
              <b>{LEVELS[level]}.</b> {text}
            </li>
          ))}
        </ul>
      )}
      <div className={styles['buttons']}>
        <button type="button" onClick={onDrop}>
          Take it out
        </button>
      </div>
    </article>
  );
}
