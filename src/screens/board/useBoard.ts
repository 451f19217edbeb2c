import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { type Card, editsOfMove, type Put, putByKey, whyNotPut } from '#client/actions/board';
import { sayNotDone, sendJson } from '#client/api';
import { deviceId } from '#client/store';
import { localInstant } from '#client/time';
import { sayMin } from '#core/base/clock';
import { readTable } from '#core/base/table';
import { type Hours } from '#core/office/hours';
import type { Person } from '#core/office/roles';
import { sayDay } from '#core/report/calendar';
import type { Crew } from '#core/schedule/appointment';
import { composeBoard } from '#core/schedule/board';

export type BoardProps = {
  readonly crews: readonly Crew[];
  /** The cards (`Card[]`) as a table in text: a page writes that some twenty times faster than it writes objects. */
  readonly cards: string;
  readonly week: readonly string[];
  readonly hours: Hours;
  readonly who: Person | null;
};

type Taken = { readonly card: Card; readonly put: Put };

/** A week, what is taken up in it, and what comes of putting it down. */
export function useBoard({ crews, cards: brought, week, hours, who }: BoardProps) {
  const [cards, setCards] = useState(() => readTable<Card>(brought));
  const [taken, setTaken] = useState<Taken | null>(null);
  const [said, setSaid] = useState<{ readonly text: string; readonly isTrouble: boolean } | null>(
    null,
  );
  const shown = useMemo(
    () =>
      taken
        ? cards.map((one) => (one.id === taken.card.id ? { ...one, ...taken.put } : one))
        : cards,
    [cards, taken],
  );
  const board = useMemo(() => composeBoard(crews, shown, week, hours), [crews, shown, week, hours]);
  const rows = board.rows.map(({ crew }) => crew);
  const nameOf = (id: string) => crews.find((crew) => crew.id === id)?.name ?? id;
  const sayPut = (put: Put) =>
    `${nameOf(put.personId) || 'unassigned'}, ${sayDay(put.day)}, ${sayMin(put.beginMin)}`;
  const trouble = (text: string) => setSaid({ text, isTrouble: true });

  /** Puts cards where they go, and tells the server; what it does not take goes back. */
  async function put(moves: readonly { readonly card: Card; readonly put: Put }[]): Promise<void> {
    const why = moves.map((one) => whyNotPut(who, one.card, one.put)).find((one) => one !== null);
    if (why) {
      trouble(why);
      return;
    }
    const puts = new Map(moves.map((one) => [one.card.id, one.put]));
    setCards((now) => now.map((one) => ({ ...one, ...puts.get(one.id) })));
    const device = await deviceId(ulid).catch(() => 'no-store');
    for (const one of moves) {
      const edits = editsOfMove(one.card, one.put, { hasPeople: who !== null, nameOf });
      if (edits.length === 0) continue;
      const { id, rev } = one.card;
      const sent = await sendJson<{ readonly rev: number }>(
        'PATCH',
        `/api/jobs/${encodeURIComponent(id)}`,
        { id: ulid(), device, saidAt: localInstant(new Date()), base: rev, edits },
      );
      if (sent.state !== 'ok') {
        setCards((now) => now.map((card) => (card.id === id ? one.card : card)));
        trouble(`${one.card.title} stays where it was. ${sayNotDone(sent)}`);
        return;
      }
      setCards((now) =>
        now.map((card) => (card.id === id ? { ...card, rev: sent.value.rev } : card)),
      );
    }
    const [first] = moves;
    if (first)
      setSaid({
        text:
          moves.length === 1
            ? `${first.card.title}: ${sayPut(first.put)}. Saved.`
            : `${moves.length} jobs have new times. Kept: tell the clients.`,
        isTrouble: false,
      });
  }

  const takeUp = (card: Card) => {
    if (card.isDone) {
      trouble('It was scoped already: it stays where it was.');
      return;
    }
    setTaken({ card, put: card });
    setSaid({
      text: `${card.title} is taken up: ${sayPut(card)}. Arrows move it a day or a person, + and − a quarter of an hour. Enter puts it down, Escape lets it be.`,
      isTrouble: false,
    });
  };
  const letBe = () => {
    setTaken(null);
    setSaid(null);
  };
  const byKey = (key: string): boolean => {
    if (!taken) return false;
    if (key === 'Escape') letBe();
    else if (key === 'Enter' || key === ' ') {
      setTaken(null);
      void put([taken]);
    } else {
      const next = putByKey(taken.put, key, week, rows);
      if (!next) return false;
      setTaken({ ...taken, put: next });
      setSaid({ text: `${taken.card.title}: ${sayPut(next)}.`, isTrouble: false });
    }
    return true;
  };
  return { board, cards, taken, said, put, takeUp, byKey };
}
