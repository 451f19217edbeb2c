import { Minus, Plus, RotateCcw } from 'lucide-react';
import {
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
  useEffect,
  useRef,
  useState,
} from 'react';
import type { Interval } from '#core/base/interval';
import { layFrame } from '#core/section/frame';
import styles from './ZoomBox.module.css';

type Props = {
  /** What is shown now, feet. */
  readonly shown: Interval;
  /** The whole line. */
  readonly whole: Interval;
  /** Drawing units across; the drawing scales to its box. */
  readonly width: number;
  readonly height: number;
  /** Zooming by keys and buttons keeps this station in the middle while it is in sight. */
  readonly centerFt?: number | undefined;
  readonly onWidth: (width: number) => void;
  /** `null` shows the whole line. */
  readonly onView: (view: Interval | null) => void;
  readonly children: ReactNode;
};

/** The closest that the drawing zooms in, feet across. */
const CLOSEST_FT = 8;
/** A drag shorter than this is a click, drawing units. */
const DRAG_FROM = 12;

/** A drawing over stations that is zoomed by drag, by keys and by buttons. */
export function ZoomBox(props: Props) {
  const { shown, whole, width, height, centerFt, onWidth, onView, children } = props;
  const box = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ fromX: number; toX: number } | null>(null);
  const isWhole = shown.fromFt <= whole.fromFt + 1e-6 && shown.toFt >= whole.toFt - 1e-6;

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) onWidth(Math.max(340, Math.round(entry.contentRect.width)));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [onWidth]);

  const zoom = (factor: number) => {
    const isCenterShown =
      centerFt !== undefined && centerFt >= shown.fromFt && centerFt <= shown.toFt;
    const middleFt = isCenterShown ? centerFt : (shown.fromFt + shown.toFt) / 2;
    const halfFt = Math.max(CLOSEST_FT / 2, ((shown.toFt - shown.fromFt) / 2) * factor);
    onView(
      halfFt * 2 >= whole.toFt - whole.fromFt
        ? null
        : { fromFt: middleFt - halfFt, toFt: middleFt + halfFt },
    );
  };
  const shift = (share: number) => {
    const byFt = (shown.toFt - shown.fromFt) * share;
    onView({ fromFt: shown.fromFt + byFt, toFt: shown.toFt + byFt });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    const act: Record<string, () => void> = {
      '+': () => zoom(0.5),
      '=': () => zoom(0.5),
      '-': () => zoom(2),
      '0': () => onView(null),
      ArrowLeft: () => shift(-0.25),
      ArrowRight: () => shift(0.25),
    };
    const found = act[event.key];
    if (!found) return;
    event.preventDefault();
    found();
  };
  const xOf = (event: PointerEvent) => {
    const rect = box.current!.getBoundingClientRect();
    return ((event.clientX - rect.left) / rect.width) * width;
  };
  const onPointerUp = (event: PointerEvent) => {
    if (!drag) return;
    const [from, to] = [drag.fromX, xOf(event)].sort((a, b) => a - b) as [number, number];
    setDrag(null);
    if (to - from < DRAG_FROM) return;
    const { stationOf } = layFrame(shown, width, height);
    const [fromFt, toFt] = [stationOf(from), stationOf(to)];
    const roomFt = Math.max(0, CLOSEST_FT - (toFt - fromFt)) / 2;
    onView({ fromFt: fromFt - roomFt, toFt: toFt + roomFt });
  };

  return (
    <div className={styles['panel']}>
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- the drawing takes keys so that it can be zoomed without a pointer */}
      <div
        ref={box}
        className={styles['drawing']}
        role="group"
        aria-label="Drawing. Plus and minus zoom, left and right move, zero shows the whole line."
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- it takes those keys only while it has the focus
        tabIndex={0}
        onKeyDown={onKeyDown}
        onPointerDown={(event) =>
          event.pointerType === 'mouse' && setDrag({ fromX: xOf(event), toX: xOf(event) })
        }
        onPointerMove={(event) => drag && setDrag({ ...drag, toX: xOf(event) })}
        onPointerUp={onPointerUp}
        onPointerLeave={() => setDrag(null)}
      >
        {children}
        {drag && Math.abs(drag.toX - drag.fromX) >= DRAG_FROM && (
          <svg
            className={styles['drag']}
            viewBox={`0 0 ${width} ${height}`}
            preserveAspectRatio="none"
            aria-hidden="true"
          >
            <rect
              x={Math.min(drag.fromX, drag.toX)}
              width={Math.abs(drag.toX - drag.fromX)}
              height={height}
            />
          </svg>
        )}
      </div>
      <div className={styles['zoom']}>
        <button type="button" aria-label="Zoom in" onClick={() => zoom(0.5)}>
          <Plus size={18} aria-hidden="true" />
        </button>
        <button type="button" aria-label="Zoom out" onClick={() => zoom(2)}>
          <Minus size={18} aria-hidden="true" />
        </button>
        {!isWhole && (
          <button type="button" aria-label="Show the whole line" onClick={() => onView(null)}>
            <RotateCcw size={18} aria-hidden="true" />
          </button>
        )}
      </div>
    </div>
  );
}
