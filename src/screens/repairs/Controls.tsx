import type { Profile } from '#core/model/job/job';
import { LONGEST_HORIZON_YEARS } from '#core/model/job/settings';
import { CHERT_BOOK, type PriceBook } from '#core/model/prices/price-book';
import { sayYears } from '#core/planning/pick';
import { sayLongDay } from '#core/report/calendar';
import { useHeld } from '../shared/useHeld';
import styles from './Repairs.module.css';

type Props = {
  readonly jobId: string;
  readonly horizonYears: number;
  readonly profile: Profile;
  readonly book: PriceBook;
  readonly books: readonly PriceBook[];
  /** While it is moved, and once it is let go. */
  readonly onHorizon: (years: number, isDone: boolean) => void;
  readonly onProfile: (profile: Profile) => void;
  readonly onBook: (book: PriceBook) => void;
};

/** What the plans are weighed by: how long the buyer stays, the profile, the prices. */
export function Controls(props: Props) {
  const { jobId, horizonYears, profile, book, books, onHorizon, onProfile, onBook } = props;
  const [years, holdYears] = useHeld(horizonYears);
  const [judged, holdProfile] = useHeld(profile);
  const [bookId, holdBook] = useHeld(book.id);
  const all = [CHERT_BOOK, ...books];
  const known = all.some(({ id }) => id === book.id);
  const keep = () => onHorizon(years, true);
  return (
    <div className={styles['controls']}>
      <label className={styles['horizon']}>
        <span>
          Buyer plans to stay <b>{sayYears(years)}</b>
        </span>
        <input
          type="range"
          min={1}
          max={LONGEST_HORIZON_YEARS}
          value={years}
          aria-valuetext={sayYears(years)}
          onChange={(event) => {
            const next = Number(event.target.value);
            holdYears(next);
            onHorizon(next, false);
          }}
          onPointerUp={keep}
          onKeyUp={keep}
          onBlur={keep}
        />
      </label>
      <label>
        <span>Judged by</span>
        <select
          value={judged}
          onChange={(event) => {
            holdProfile(event.target.value as Profile);
            onProfile(event.target.value as Profile);
          }}
        >
          <option value="maintain-first">Maintain first</option>
          <option value="renew-first">Renew first</option>
        </select>
      </label>
      <label>
        <span>Prices</span>
        <select
          value={bookId}
          onChange={(event) => {
            holdBook(event.target.value);
            onBook(all.find(({ id }) => id === event.target.value) ?? CHERT_BOOK);
          }}
        >
          {(known ? all : [...all, book]).map(({ id, name, editedOn }) => (
            <option key={id} value={id}>
              {name}, {sayLongDay(editedOn)}
            </option>
          ))}
        </select>
      </label>
      <a href={`/prices?job=${encodeURIComponent(jobId)}`}>Price books</a>
    </div>
  );
}
