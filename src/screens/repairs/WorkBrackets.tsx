import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { roundTo, sayFt } from '#core/base/numbers';
import type { Bracket, Brackets } from '#core/section/brackets';
import type { Frame } from '#core/section/frame';
import styles from './WorkBrackets.module.css';

/** One end of a work that may be moved. */
type End = 'fromFt' | 'toFt';

export type Stretch = { readonly fromFt: number; readonly toFt: number };

type Props = {
  readonly brackets: Brackets;
  readonly frame: Frame;
  /** Where each work lies; those that may be stretched, by key. */
  readonly stretches: ReadonlyMap<string, Stretch>;
  readonly isEditable: boolean;
  /** While it is pulled, and once it is let go. */
  readonly onStretch: (key: string, stretch: Stretch, isDone: boolean) => void;
};

const STEP_FT = 0.5;
const FINE_FT = 0.1;
const LEG = 9;

/** The works of a plan under the Section. Of the inspector's own plan both ends can be pulled. */
export function WorkBrackets({ brackets, frame, stretches, isEditable, onStretch }: Props) {
  const [pulled, setPulled] = useState<{ key: string; end: End } | null>(null);
  const stationOf = (event: PointerEvent<SVGSVGElement>) => {
    const rect = event.currentTarget.getBoundingClientRect();
    return frame.stationOf(((event.clientX - rect.left) / rect.width) * frame.width);
  };
  const move = (key: string, end: End, toFt: number, isDone: boolean) => {
    const was = stretches.get(key);
    if (!was) return;
    const at = roundTo(toFt, 1);
    onStretch(
      key,
      end === 'fromFt'
        ? { ...was, fromFt: Math.min(at, was.toFt) }
        : { ...was, toFt: Math.max(at, was.fromFt) },
      isDone,
    );
  };
  const onUp = (event: PointerEvent<SVGSVGElement>) => {
    if (!pulled) return;
    move(pulled.key, pulled.end, stationOf(event), true);
    setPulled(null);
  };
  return (
    <svg
      className={styles['brackets']}
      viewBox={`0 0 ${frame.width} ${brackets.height}`}
      role="group"
      aria-label="Works of the plan, under the stations that they take"
      onPointerMove={(event) => pulled && move(pulled.key, pulled.end, stationOf(event), false)}
      onPointerUp={onUp}
      onPointerCancel={() => setPulled(null)}
    >
      {brackets.brackets.map((bracket) => (
        <g key={bracket.key}>
          <Shape bracket={bracket} />
          {isEditable &&
            (['fromFt', 'toFt'] as const).map((end) => (
              <Handle
                key={end}
                bracket={bracket}
                end={end}
                stretch={stretches.get(bracket.key)!}
                onGrab={(event) => {
                  event.stopPropagation();
                  event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                  setPulled({ key: bracket.key, end });
                }}
                onMove={(toFt) => move(bracket.key, end, toFt, true)}
              />
            ))}
        </g>
      ))}
    </svg>
  );
}

function Shape({ bracket: { fromX, toX, y, label, labelX } }: { readonly bracket: Bracket }) {
  const base = y + 18;
  return (
    <>
      <path
        className={styles['bracket']}
        d={`M${fromX} ${base - LEG}V${base}H${toX}V${base - LEG}`}
      />
      <text className={styles['label']} x={labelX} y={base + 18} textAnchor="middle">
        {label}
      </text>
    </>
  );
}

type HandleProps = {
  readonly bracket: Bracket;
  readonly end: End;
  readonly stretch: Stretch;
  readonly onGrab: (event: PointerEvent<SVGGElement>) => void;
  readonly onMove: (toFt: number) => void;
};

/** One end of a work: pulled, or moved with the arrow keys by half a foot (with Shift by a tenth). */
function Handle({ bracket, end, stretch, onGrab, onMove }: HandleProps) {
  const x = end === 'fromFt' ? bracket.fromX : bracket.toX;
  const now = stretch[end];
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(now + way * (event.shiftKey ? FINE_FT : STEP_FT));
  };
  const offX = end === 'fromFt' ? -11 : 11;
  return (
    <g
      className={styles['handle']}
      role="slider"
      tabIndex={0}
      aria-label={`${bracket.label}: ${end === 'fromFt' ? 'begins' : 'ends'}`}
      aria-valuenow={now}
      aria-valuetext={`${sayFt(now)} ft`}
      aria-orientation="horizontal"
      onKeyDown={onKeyDown}
      onPointerDown={onGrab}
    >
      <rect x={x + offX - 22} y={bracket.y - 4} width={44} height={44} fill="transparent" />
      <circle cx={x} cy={bracket.y + 18} r={7} />
    </g>
  );
}
