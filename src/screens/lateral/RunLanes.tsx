import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { Spot } from '#core/measure/join/tie-spots';
import type { Lane, LaneDot, Lanes } from '#core/section/lanes';
import styles from './RunLanes.module.css';

type Props = {
  readonly lanes: Lanes;
  readonly width: number;
  /** The thing that was picked up and waits for the one it is tied to. */
  readonly held: Spot | null;
  readonly chosenTie: string | null;
  readonly atX: number | null;
  readonly onHold: (spot: Spot | null) => void;
  readonly onTie: (from: Spot, to: Spot) => void;
  readonly onChoose: (tieId: string) => void;
};

/** How near a thing must be to what was let go over it, drawing units. */
const CATCH = 16;

const same = (a: Spot | null, b: Spot) => a?.runId === b.runId && a.entryId === b.entryId;

/** The runs under the Section, each on its lane, with threads between what is tied. */
export function RunLanes(props: Props) {
  const { lanes, width, held, chosenTie, atX, onHold, onTie, onChoose } = props;
  const drawing = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<{ from: LaneDot; x: number; y: number } | null>(null);

  const pointOf = (event: PointerEvent) => {
    const rect = drawing.current!.getBoundingClientRect();
    return {
      x: ((event.clientX - rect.left) / rect.width) * width,
      y: ((event.clientY - rect.top) / rect.height) * lanes.height,
    };
  };
  const dotNear = ({ x, y }: { x: number; y: number }) =>
    lanes.lanes
      .flatMap(({ dots }) => dots)
      .map((dot) => ({ dot, off: Math.hypot(dot.x - x, dot.y - y) }))
      .filter(({ off }) => off <= CATCH)
      .sort((a, b) => a.off - b.off)[0]?.dot ?? null;
  const pick = (dot: LaneDot) => {
    if (held && !same(held, dot)) onTie(held, dot);
    else onHold(held ? null : dot);
  };
  const onPointerDown = (event: PointerEvent) => {
    const dot = dotNear(pointOf(event));
    if (!dot) return;
    event.stopPropagation();
    drawing.current!.setPointerCapture(event.pointerId);
    setDrag({ from: dot, ...pointOf(event) });
  };
  const onPointerUp = (event: PointerEvent) => {
    if (!drag) return;
    event.stopPropagation();
    const dot = dotNear(pointOf(event));
    setDrag(null);
    if (!dot) return;
    if (same(dot, drag.from)) pick(dot);
    else onTie(drag.from, dot);
  };

  return (
    <svg
      ref={drawing}
      className={styles['lanes']}
      viewBox={`0 0 ${width} ${lanes.height}`}
      role="group"
      aria-label="Runs, one under the other. On a run, left and right go from thing to thing; Enter picks one up, Enter on another run ties the two; Escape lets go."
      onPointerDown={onPointerDown}
      onPointerMove={(event) => drag && setDrag({ ...drag, ...pointOf(event) })}
      onPointerUp={onPointerUp}
      onPointerCancel={() => setDrag(null)}
    >
      {atX !== null && <line className={styles['at']} x1={atX} x2={atX} y1={0} y2={lanes.height} />}
      {lanes.threads.map(({ tieId, label, standing, points }) => (
        <polyline
          key={tieId}
          className={styles['thread']}
          data-standing={standing}
          data-chosen={tieId === chosenTie || undefined}
          points={points.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')}
          onClick={() => onChoose(tieId)}
        >
          <title>{`${tieId}: ${label}`}</title>
        </polyline>
      ))}
      {drag && (
        <line
          className={styles['pull']}
          x1={drag.from.x}
          y1={drag.from.y}
          x2={drag.x}
          y2={drag.y}
        />
      )}
      {lanes.lanes.map((lane) => (
        <LaneRow
          key={lane.runId}
          lane={lane}
          held={held}
          chosenTie={chosenTie}
          onPick={pick}
          onLetGo={() => onHold(null)}
        />
      ))}
    </svg>
  );
}

type LaneProps = {
  readonly lane: Lane;
  readonly held: Spot | null;
  readonly chosenTie: string | null;
  readonly onPick: (dot: LaneDot) => void;
  readonly onLetGo: () => void;
};

/** One run: a line from its access to where it got, with what it saw. */
function LaneRow({ lane, held, chosenTie, onPick, onLetGo }: LaneProps) {
  const [at, setAt] = useState<number | null>(null);
  const { dots, y, fromX, toX, accessX, facing, placed } = lane;
  const current = at === null ? null : (dots[Math.min(at, dots.length - 1)] ?? null);
  const onKeyDown = (event: KeyboardEvent) => {
    const move = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (move !== undefined && dots.length > 0) {
      const next = at === null ? 0 : at + move;
      setAt(Math.max(0, Math.min(dots.length - 1, next)));
    } else if ((event.key === 'Enter' || event.key === ' ') && current) onPick(current);
    else if (event.key === 'Escape') onLetGo();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const isEndRight = toX - accessX > accessX - fromX;
  const tip = isEndRight ? toX : fromX;
  const back = isEndRight ? -7 : 7;
  const said = current
    ? `${current.title} at ${current.readingFt.toFixed(1)} ft on the way ${current.pass}${current.tieId ? `, tied by ${current.tieId}` : ''}${same(held, current) ? ', picked up' : ''}`
    : `${dots.length} things`;
  return (
    <g
      className={styles['lane']}
      data-placed={placed}
      role="button"
      tabIndex={0}
      aria-label={`Run ${lane.name} from ${lane.from}, facing ${facing}${placed ? '' : ', not joined'}: ${said}`}
      onKeyDown={onKeyDown}
      onFocus={() => setAt(at ?? 0)}
      onBlur={() => setAt(null)}
    >
      <line className={styles['way']} x1={fromX} x2={toX} y1={y} y2={y} />
      <rect className={styles['access']} x={accessX - 4} y={y - 8} width={8} height={16} />
      <polyline
        className={styles['tip']}
        points={`${tip + back},${y - 5} ${tip},${y} ${tip + back},${y + 5}`}
      />
      <text
        className={styles['name']}
        x={Math.max(4, isEndRight ? accessX - 10 : accessX + 10)}
        y={y + 5}
        textAnchor={isEndRight && accessX > 60 ? 'end' : 'start'}
        dy={isEndRight && accessX <= 60 ? -11 : 0}
      >
        {lane.name} from {lane.from}
        {placed ? '' : ', not joined'}
      </text>
      {outFirst(dots).map((dot) => (
        <g key={dot.entryId} className={styles['dot']} data-kind={dot.kind} data-pass={dot.pass}>
          <title>{`${dot.title}, ${dot.readingFt.toFixed(1)} ft on ${lane.name}, on the way ${dot.pass}`}</title>
          {dot === current && <circle className={styles['ring']} cx={dot.x} cy={y} r={11} />}
          <Mark
            dot={dot}
            isHeld={same(held, dot)}
            isChosen={dot.tieId !== null && dot.tieId === chosenTie}
          />
        </g>
      ))}
    </g>
  );
}

/** What the out pass saw lies under what the back pass, the one that counts, saw of it. */
const outFirst = (dots: readonly LaneDot[]) =>
  dots.toSorted((a, b) => Number(a.pass === 'back') - Number(b.pass === 'back'));

/** A thing by its shape: round for a feature, square for a change of pipe, a stone for a defect, a bar for the end. */
function Mark({ dot, isHeld, isChosen }: { dot: LaneDot; isHeld: boolean; isChosen: boolean }) {
  const { x, y, kind, tieId } = dot;
  const state = {
    className: styles['mark'],
    'data-held': isHeld || undefined,
    'data-tied': tieId !== null || undefined,
    'data-chosen': isChosen || undefined,
  };
  switch (kind) {
    case 'feature':
      return <circle {...state} cx={x} cy={y} r={5.5} />;
    case 'pipe':
      return <rect {...state} x={x - 4.5} y={y - 4.5} width={9} height={9} />;
    case 'defect':
      return (
        <polygon
          {...state}
          points={`${x - 6},${y + 4} ${x - 3},${y - 5} ${x + 4},${y - 4} ${x + 6},${y + 4}`}
        />
      );
    case 'end':
      return <rect {...state} x={x - 1.5} y={y - 8} width={3} height={16} />;
  }
}
