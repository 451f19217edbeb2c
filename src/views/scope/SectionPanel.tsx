import { Minus, Plus, RotateCcw } from 'lucide-react';
import {
  type KeyboardEvent,
  memo,
  type PointerEvent,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import type { Derived } from '#core/derive';
import type { Interval } from '#core/base/interval';
import { buildSection, wholeView } from '#core/section/build';
import { tabulateSection } from '#core/section/table';
import { SectionFigure } from '../../ui/section/SectionFigure';
import styles from './SectionPanel.module.css';

type Props = {
  readonly derived: Derived;
  readonly headFt?: number | undefined;
  readonly selected: number | null;
  readonly onSelect: (findingNumber: number) => void;
};

const HEIGHT = 206;
/** The closest that the drawing zooms in, feet across. */
const CLOSEST_FT = 8;
/** A drag shorter than this is a click, drawing units. */
const DRAG_FROM = 12;

/** The Section over the field screen: zoom by drag, by keys and by buttons. */
export const SectionPanel = memo(function SectionPanel(props: Props) {
  const { derived, headFt, selected, onSelect } = props;
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1248);
  const [view, setView] = useState<Interval | null>(null);
  const [drag, setDrag] = useState<{ fromX: number; toX: number } | null>(null);

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.max(340, Math.round(entry.contentRect.width)));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const section = useMemo(
    () =>
      buildSection(derived, {
        width,
        height: HEIGHT,
        ...(view ? { view } : {}),
        ...(headFt === undefined ? {} : { headFt }),
      }),
    [derived, width, view, headFt],
  );
  const rows = useMemo(() => tabulateSection(derived), [derived]);

  const zoom = (factor: number) => {
    const now = section.frame.view;
    const whole = wholeView(derived.lateral, headFt);
    const middleFt =
      headFt !== undefined && headFt >= now.fromFt && headFt <= now.toFt
        ? headFt
        : (now.fromFt + now.toFt) / 2;
    const halfFt = Math.max(CLOSEST_FT / 2, ((now.toFt - now.fromFt) / 2) * factor);
    setView(
      halfFt * 2 >= whole.toFt - whole.fromFt
        ? null
        : { fromFt: middleFt - halfFt, toFt: middleFt + halfFt },
    );
  };
  const shift = (share: number) => {
    const now = section.frame.view;
    const byFt = (now.toFt - now.fromFt) * share;
    setView({ fromFt: now.fromFt + byFt, toFt: now.toFt + byFt });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const act: Record<string, () => void> = {
      '+': () => zoom(0.5),
      '=': () => zoom(0.5),
      '-': () => zoom(2),
      '0': () => setView(null),
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
    return ((event.clientX - rect.left) / rect.width) * section.width;
  };
  const onPointerUp = (event: PointerEvent) => {
    if (!drag) return;
    const [from, to] = [drag.fromX, xOf(event)].sort((a, b) => a - b) as [number, number];
    setDrag(null);
    if (to - from < DRAG_FROM) return;
    const fromFt = section.frame.stationOf(from);
    const toFt = section.frame.stationOf(to);
    const roomFt = Math.max(0, CLOSEST_FT - (toFt - fromFt)) / 2;
    setView({ fromFt: fromFt - roomFt, toFt: toFt + roomFt });
  };

  return (
    <section className={styles['panel']} aria-label="The Section">
      {/* The drawing takes keys so that it can be zoomed without a pointer. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={box}
        className={styles['drawing']}
        role="group"
        aria-label="Drawing. Plus and minus zoom, left and right move, zero shows the whole line."
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        onKeyDown={onKeyDown}
        onPointerDown={(event) =>
          event.pointerType === 'mouse' && setDrag({ fromX: xOf(event), toX: xOf(event) })
        }
        onPointerMove={(event) => drag && setDrag({ ...drag, toX: xOf(event) })}
        onPointerUp={onPointerUp}
        onPointerLeave={() => setDrag(null)}
      >
        <SectionFigure
          section={section}
          rows={rows}
          id="scope"
          label="The line cut open from the side"
          selected={selected}
          onSelect={onSelect}
        />
        {derived.inspection.runs.length === 0 && (
          <p className={styles['empty']}>The line is drawn here as you log it.</p>
        )}
        {drag && Math.abs(drag.toX - drag.fromX) >= DRAG_FROM && (
          <svg
            className={styles['drag']}
            viewBox={`0 0 ${section.width} ${section.height}`}
            aria-hidden="true"
          >
            <rect
              x={Math.min(drag.fromX, drag.toX)}
              width={Math.abs(drag.toX - drag.fromX)}
              height={section.height}
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
        {view && (
          <button type="button" aria-label="Show the whole line" onClick={() => setView(null)}>
            <RotateCcw size={18} aria-hidden="true" />
          </button>
        )}
      </div>
    </section>
  );
});
