import { memo, useState } from 'react';
import { type Card, shorterDay } from '#client/actions/board';
import { sayLength, sayMin } from '#core/base/clock';
import { hasRight } from '#core/office/roles';
import type { BoardDay, BoardRow } from '#core/schedule/board';
import { useReady } from '../shared/useReady';
import styles from './BoardScreen.module.css';
import { MoveBar } from './MoveBar';
import { type BoardProps, useBoard } from './useBoard';

/** Weekends are shown where something stands on them. */
const WEEKDAYS = 5;
/** What a card, the page above the first row and most screens take, px: other rows are drawn once those stand. */
const CARD_PX = 105;
const HEAD_PX = 208;
const SCREEN_PX = 1_000;

/** How many rows fill most screens. */
function countFirst(rows: readonly BoardRow[]): number {
  let px = HEAD_PX;
  const last = rows.findIndex(({ days }) => {
    px += CARD_PX * Math.max(1, ...days.map(({ cards }) => cards.length));
    return px >= SCREEN_PX;
  });
  return last < 0 ? rows.length : last + 1;
}

/** A week by inspector: jobs as cards that are moved between days and people, by hand or by keys. */
export const BoardScreen = memo(function BoardScreen(props: BoardProps) {
  const ready = useReady();
  const its = useBoard(props);
  const [dragged, setDragged] = useState<string | null>(null);
  const { board, taken, said } = its;
  const hasWeekend = board.rows.some(({ days }) =>
    days.slice(WEEKDAYS).some(({ cards }) => cards.length > 0),
  );
  const shown = hasWeekend || taken ? board.days.length : WEEKDAYS;
  const drop = (row: BoardRow, day: BoardDay) => {
    const card = its.cards.find(({ id }) => id === dragged);
    setDragged(null);
    if (card) void its.put([{ card, put: { ...card, personId: row.crew.id, day: day.day } }]);
  };
  return (
    <div className={styles['board']} data-ready={ready}>
      <p className={styles['said']} role="status" data-trouble={said?.isTrouble}>
        {said?.text ??
          'Drag a job to another day or person, or press its time and move it with the arrow keys.'}
      </p>
      <div className={styles['table']} role="table" aria-label="The week" data-days={shown}>
        <div className={styles['row']} role="row">
          <div role="columnheader">
            <span className="hidden-visually">Who</span>
          </div>
          {board.days.slice(0, shown).map(({ day, name }) => (
            <div key={day} role="columnheader">
              {name}
            </div>
          ))}
        </div>
        {board.rows.slice(0, ready ? undefined : countFirst(board.rows)).map((row) => (
          <div key={row.crew.id} className={styles['row']} role="row">
            <div role="rowheader">{row.crew.name}</div>
            {row.days.slice(0, shown).map((day, at) => (
              <div
                key={day.day}
                role="cell"
                data-day={board.days[at]?.name}
                data-empty={day.cards.length === 0 || undefined}
                data-over={dragged !== null || undefined}
                onDragOver={(event) => event.preventDefault()}
                onDrop={(event) => {
                  event.preventDefault();
                  drop(row, day);
                }}
              >
                {(day.cards as readonly Card[]).map((card) => (
                  <JobCard
                    key={card.id}
                    card={card}
                    isTaken={taken?.card.id === card.id}
                    onTake={() => its.takeUp(card)}
                    onKey={its.byKey}
                    onDrag={setDragged}
                  />
                ))}
                {day.says.map((text) => (
                  <p key={text} className={styles['says']}>
                    {text}
                  </p>
                ))}
                {ready && !taken && <Shorter row={row} day={day} {...props} onTake={its.put} />}
              </div>
            ))}
          </div>
        ))}
      </div>
      {taken && <MoveBar title={taken.card.title} onKey={its.byKey} />}
      {board.rows.length === 0 && (
        <p>No inspectors yet. Book a job on Jobs, and its inspector appears here.</p>
      )}
    </div>
  );
});

type CardProps = {
  readonly card: Card;
  readonly isTaken: boolean;
  readonly onTake: () => void;
  readonly onKey: (key: string) => boolean;
  readonly onDrag: (id: string | null) => void;
};

function JobCard({ card, isTaken, onTake, onKey, onDrag }: CardProps) {
  const { id, title, client, beginMin, lengthMin, isDone } = card;
  return (
    <article
      className={styles['card']}
      data-taken={isTaken || undefined}
      data-done={isDone || undefined}
      draggable={!isDone}
      onDragStart={(event) => {
        event.dataTransfer.setData('text/plain', id);
        onDrag(id);
      }}
      onDragEnd={() => onDrag(null)}
    >
      <button
        type="button"
        className={styles['take']}
        aria-pressed={isTaken}
        ref={(button) => {
          // A card that moves to another cell is drawn anew there: it keeps the keys.
          if (isTaken) button?.focus();
        }}
        onClick={() => {
          if (!isTaken) onTake();
        }}
        onKeyDown={(event) => {
          if (onKey(event.key)) event.preventDefault();
        }}
      >
        <b>{sayMin(beginMin)}</b> {sayLength(lengthMin)}
        <span className="hidden-visually">
          , {title}, for {client}
          {isDone && ', scoped'}
        </span>
      </button>
      <a href={`/jobs/${encodeURIComponent(id)}/site`}>{title}</a>
      <span className={styles['client']}>
        {isDone ? 'scoped · ' : ''}for {client}
      </span>
    </article>
  );
}

type ShorterProps = Pick<BoardProps, 'hours' | 'who'> & {
  readonly row: BoardRow;
  readonly day: BoardDay;
  readonly onTake: ReturnType<typeof useBoard>['put'];
};

/** Offers the order in which a day ends soonest, where that is a quarter of an hour or more. */
function Shorter({ row, day, hours, who, onTake }: ShorterProps) {
  const cards = day.cards as readonly Card[];
  if (who && !hasRight(who.role, 'agree', row.crew.id === who.id)) return null;
  const found = shorterDay(cards, row.crew.home, hours);
  if (!found) return null;
  const take = () =>
    void onTake(
      cards
        .filter(({ id, beginMin }) => found.puts.get(id) !== beginMin)
        .map((card) => ({ card, put: { ...card, beginMin: found.puts.get(card.id)! } })),
    );
  return (
    <details className={styles['shorter']}>
      <summary>
        {Number.isFinite(found.savedMin)
          ? `Could end ${sayLength(found.savedMin)} sooner`
          : 'An order that fits'}
      </summary>
      <ol>
        {[...found.puts].map(([id, beginMin]) => (
          <li key={id}>
            {sayMin(beginMin)} {cards.find((card) => card.id === id)?.title}
          </li>
        ))}
      </ol>
      <button type="button" onClick={take}>
        Use these times
      </button>
    </details>
  );
}
