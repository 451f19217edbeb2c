import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import { VALIDATION } from '#core/base/joi';
import { roundTo } from '#core/base/numbers';
import type { MethodId } from '#core/catalogue/method-ids';
import { QUOTE_INCLUDES, type QuoteDecision, type QuoteInclude } from '#core/model/job/plans';
import { quoteSchema } from '#core/model/job/plans.schema';
import { METHODS } from '#core/planning/methods/index';
import { isRepairWork, type Plan } from '#core/planning/plans/plan';
import { Troubles } from '../shared/Fields';
import { faultsOf } from '../shared/form-data';
import quotesStyles from './Quotes.module.css';
import styles from './Repairs.module.css';
import { readFeet } from './say';

export type QuoteFields = Omit<QuoteDecision, 'id' | 'kind' | 'reason'>;

type Line = { method: MethodId; from: string; to: string; length: string; price: string };
type Fields = { from: string; total: string; lines: Line[]; includes: QuoteInclude[] };

const INCLUDES: Readonly<Record<QuoteInclude, string>> = {
  cleaning: 'cleaning first',
  tees: 'reopening of tees',
  abatement: 'asbestos abatement',
  permit: 'permit',
  'right-of-way': 'permit beyond the property line',
  restoration: 'surface restoration',
  marks: 'utility marks',
  shoring: 'trench protection',
  proof: 'camera proof after',
};

const empty: Line = { method: 'dig', from: '', to: '', length: '', price: '' };

type Props = {
  readonly plan: Plan;
  readonly onKeep: (quote: QuoteFields) => void;
  readonly onCancel: () => void;
};

/** A quote as it came: works, where, how long, what they cost, and what is said to be included. */
export function QuoteForm({ plan, onKeep, onCancel }: Props) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const { register, control, handleSubmit } = useForm<Fields>({
    defaultValues: {
      from: '',
      total: '',
      includes: [],
      lines: plan.works.filter(isRepairWork).map(({ method, fromFt, toFt }) => ({
        ...empty,
        method,
        from: String(roundTo(fromFt, 1)),
        to: String(roundTo(toFt, 1)),
      })),
    },
  });
  const { fields, append, remove } = useFieldArray({ control, name: 'lines' });
  const amount = (text: string) => readFeet(text.replace(/[$,\s]/g, ''));
  /** "4,000", or "4,000 to 6,000". */
  const priceOf = (text: string) => {
    const [from = '', to] = text.split(/\s*(?:–|-|to)\s*/);
    const most = to === undefined ? null : amount(to);
    return most === null ? { price: said(text) } : { price: said(from), priceTo: most };
  };
  const said = (text: string) => (text.trim() === '' ? null : (amount(text) ?? text));
  const keep = handleSubmit(({ from, total, lines, includes }) => {
    const quote = {
      from: from.trim(),
      total: said(total),
      includes: [...includes],
      lines: lines.map((line) => ({
        method: line.method,
        fromFt: said(line.from),
        toFt: said(line.to),
        lengthFt: said(line.length),
        ...priceOf(line.price),
      })),
    };
    const whole = { ...quote, id: 'new', kind: 'contractor-quote', reason: '' };
    const faults = [
      ...(quote.from === '' ? ['Say who quotes.'] : []),
      ...(lines.length === 0 && quote.total === null ? ['Enter a work or a total.'] : []),
      ...faultsOf(quoteSchema.validate(whole, VALIDATION).error, {}).map((text) =>
        text.replace(
          /^lines\[(\d+)\]\.(\w+)/,
          (_, at: string, field: string) => `Work ${Number(at) + 1}, ${field.replace('Ft', '')}`,
        ),
      ),
    ];
    setTrouble(faults);
    if (faults.length === 0) onKeep(quote);
  });
  return (
    <form className={quotesStyles['quote-form']} onSubmit={(event) => void keep(event)} noValidate>
      <div className={quotesStyles['pair']}>
        <label>
          Quote from
          <input {...register('from')} autoComplete="off" />
        </label>
        <label>
          Total, $
          <input inputMode="decimal" {...register('total')} autoComplete="off" />
        </label>
      </div>
      {fields.map((field, index) => (
        <div
          key={field.id}
          className={quotesStyles['quote-line']}
          role="group"
          aria-label={`Work ${index + 1}`}
        >
          <label>
            Work
            <select {...register(`lines.${index}.method`)}>
              {METHODS.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          {(['from', 'to', 'length', 'price'] as const).map((name) => (
            <label key={name}>
              {name === 'price' ? 'price or range, $' : `${name}, ft`}
              <input
                inputMode="decimal"
                {...register(`lines.${index}.${name}`)}
                autoComplete="off"
              />
            </label>
          ))}
          <button
            type="button"
            aria-label={`Take out work ${index + 1}`}
            onClick={() => remove(index)}
          >
            <Trash2 size={18} aria-hidden="true" />
          </button>
        </div>
      ))}
      <div className={styles['buttons']}>
        <button type="button" onClick={() => append(empty)}>
          <Plus size={18} aria-hidden="true" /> Add a work
        </button>
      </div>
      <fieldset className={quotesStyles['includes']}>
        <legend>The price includes</legend>
        {QUOTE_INCLUDES.map((one) => (
          <label key={one}>
            <input type="checkbox" value={one} {...register('includes')} /> {INCLUDES[one]}
          </label>
        ))}
      </fieldset>
      <Troubles list={trouble} />
      <div className={styles['buttons']}>
        <button type="submit" data-act="true">
          Check it
        </button>
        <button type="button" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
