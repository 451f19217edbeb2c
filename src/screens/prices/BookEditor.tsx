import { useState } from 'react';
import { localDay } from '#client/time';
import { faultsFromJoi } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { readNumber } from '#core/interchange/csv';
import { CHERT_BOOK, type PriceBook } from '#core/model/prices/price-book';
import { priceBookSchema } from '#core/model/prices/price-book.schema';
import { PRICE_KEYS, PRICE_TABLE } from '#core/model/prices/price-table';
import { Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import { sayFaults, type Typed } from '../shared/form-data';
import { Panel } from '../shared/Panel';
import styles from './Prices.module.css';

type Props = {
  readonly book: PriceBook;
  readonly onKeep: (book: PriceBook) => Promise<boolean>;
  readonly onRemove: () => Promise<void>;
};

const SIDES = ['low', 'likely', 'high'] as const;
const UNITS = { once: 'once', each: 'each', foot: 'a foot' } as const;
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const LABELS = Object.fromEntries(
  PRICE_KEYS.flatMap((key) => [
    [`prices.${key}`, capital(PRICE_TABLE[key].says)],
    ...SIDES.map((side) => [`prices.${key}.${side}`, `${capital(PRICE_TABLE[key].says)}, ${side}`]),
  ]),
) as Record<string, string>;

/** One price book: its prices, Chert's own beside each. Chert's own book can be looked at only. */
export function BookEditor({ book, onKeep, onRemove }: Props) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const isChert = book.id === CHERT_BOOK.id;
  const keep = async ({ text }: Typed) => {
    const prices = Object.fromEntries(
      PRICE_KEYS.flatMap((key) => {
        const said = SIDES.map((side) => text(`${key} ${side}`));
        if (said.every((one) => one === '')) return [];
        return [
          [
            key,
            Object.fromEntries(SIDES.map((side, at) => [side, readNumber(said[at]!) ?? said[at]])),
          ],
        ];
      }),
    );
    const wanted = {
      id: book.id,
      name: text('name'),
      source: text('source'),
      editedOn: localDay(new Date()),
      prices,
    };
    const { error } = priceBookSchema.validate(wanted, VALIDATION);
    const faults = error
      ? sayFaults(
          faultsFromJoi(error).map((fault) => ({
            ...fault,
            got: fault.got === 'an object' ? 'this range' : fault.got,
          })),
          { ...LABELS, name: 'Area or name', source: 'Source' },
        )
      : [];
    setTrouble(faults);
    if (faults.length === 0) await onKeep(wanted);
  };
  return (
    <Panel id="book" title={book.name}>
      <Form className={styles['editor']} onTyped={keep}>
        {!isChert && (
          <div className={styles['names']}>
            <label>
              Area or name
              <input name="name" defaultValue={book.name} autoComplete="off" />
            </label>
            <label>
              Source
              <input name="source" defaultValue={book.source} autoComplete="off" />
            </label>
          </div>
        )}
        <table className={styles['prices']}>
          <thead>
            <tr>
              <th scope="col">Price, $</th>
              <th scope="col">For</th>
              <th scope="col">Low</th>
              <th scope="col">Likely</th>
              <th scope="col">High</th>
            </tr>
          </thead>
          <tbody>
            {PRICE_KEYS.map((key) => {
              const own = book.prices[key];
              const ours = PRICE_TABLE[key];
              return (
                <tr key={key} data-own={own !== undefined || undefined}>
                  <th scope="row">{capital(ours.says)}</th>
                  <td>{UNITS[ours.unit]}</td>
                  {SIDES.map((side) => (
                    <td key={side}>
                      {isChert ? (
                        ours[side]
                      ) : (
                        <input
                          name={`${key} ${side}`}
                          aria-label={`${capital(ours.says)}, ${side}`}
                          inputMode="decimal"
                          autoComplete="off"
                          defaultValue={own?.[side] ?? ''}
                          placeholder={String(ours[side])}
                        />
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
        <Troubles list={trouble} />
        {!isChert && (
          <div className={styles['buttons']}>
            <button type="submit" data-act="true">
              Save this book
            </button>
            <button type="button" onClick={() => void onRemove()}>
              Take it out
            </button>
          </div>
        )}
      </Form>
    </Panel>
  );
}
