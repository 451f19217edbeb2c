import { type KeyboardEvent, memo, type PointerEvent, useMemo, useRef, useState } from 'react';
import type { Chapter } from '#core/recording/chapters';
import { sayClock } from '#core/recording/say-moment';
import type { Timeline } from '#core/recording/timeline';
import type { Notice } from '#core/vision/frames';
import styles from './TimeLine.module.css';
import { useWidth } from './useWidth';

type Props = {
  readonly timeline: Timeline;
  readonly chapters: readonly Chapter[];
  readonly notices: readonly Notice[];
  /** Moments of what was said, ms. */
  readonly said: readonly number[];
  readonly durationMs: number;
  readonly atMs: number;
  readonly chosenId: string | null;
  readonly onSeek: (ms: number) => void;
};

const HEIGHT = 96;
/** Room for the graph between the marks above it and the times under it, pixels. */
const [TOP, BOTTOM] = [16, 72];
/** The graph is drawn by so many points. */
const SAMPLES = 240;

/** A step of a scale that leaves room for its labels. */
const stepOf = (span: number, steps: readonly number[], most: number) =>
  steps.find((step) => span / step <= most) ?? steps.at(-1)!;
const TIME_STEPS_S = [5, 10, 15, 30, 60, 120, 300, 600, 1800];

/** The drawing that changes with the marks and not with the picture. */
const Graph = memo(function Graph({
  timeline,
  durationMs,
  width,
}: {
  readonly timeline: Timeline;
  readonly durationMs: number;
  readonly width: number;
}) {
  const { line, band, mostFt } = useMemo(() => {
    const samples = Array.from({ length: SAMPLES + 1 }, (_, index) => {
      const ms = (durationMs * index) / SAMPLES;
      return { x: (width * index) / SAMPLES, here: timeline.at(ms) };
    }).filter((one) => one.here !== null);
    const most = Math.max(
      10,
      ...timeline.marks.map(({ readingFt }) => readingFt),
      ...samples.map(({ here }) => here!.readingFt),
    );
    const y = (ft: number) =>
      BOTTOM - (Math.min(most, Math.max(0, ft)) / most) * (BOTTOM - TOP - 6);
    const at = (x: number, ft: number) => `${x.toFixed(1)},${y(ft).toFixed(1)}`;
    const upper = samples.map(({ x, here }) => at(x, here!.readingFt + here!.plusMinusFt));
    const lower = samples.map(({ x, here }) => at(x, here!.readingFt - here!.plusMinusFt));
    return {
      line: samples.map(({ x, here }) => at(x, here!.readingFt)).join(' '),
      band: [...upper, ...lower.reverse()].join(' '),
      mostFt: most,
    };
  }, [timeline, durationMs, width]);
  const stepMs = 1000 * stepOf(durationMs / 1000, TIME_STEPS_S, width / 84);
  const times = Array.from(
    { length: Math.floor(durationMs / stepMs) + 1 },
    (_, index) => index * stepMs,
  );
  return (
    <g>
      {times.map((ms) => {
        const x = (width * ms) / durationMs;
        return (
          <g key={ms}>
            <line className={styles['grid']} x1={x} x2={x} y1={TOP} y2={BOTTOM + 4} />
            <text
              className={styles['time']}
              x={Math.min(x + 3, width - 34)}
              y={HEIGHT - 8}
              data-reading="true"
            >
              {sayClock(ms)}
            </text>
          </g>
        );
      })}
      <polygon className={styles['band']} points={band} />
      <polyline className={styles['line']} points={line} />
      <text className={styles['feet']} x={4} y={TOP + 10}>
        {Math.round(mostFt)} ft
      </text>
      {timeline.marks
        .filter(({ from }) => from === 'hand')
        .map(({ id, atMs, readingFt }) => (
          <path
            key={id}
            className={styles['mark']}
            d={diamond((width * atMs) / durationMs, yOf(readingFt, mostFt), 5)}
          />
        ))}
    </g>
  );
});

const yOf = (ft: number, mostFt: number) => BOTTOM - (ft / mostFt) * (BOTTOM - TOP - 6);
const diamond = (x: number, y: number, r: number) =>
  `M${x - r},${y}L${x},${y - r}L${x + r},${y}L${x},${y + r}Z`;

/** Time across, footage up: how far the camera was when, how surely, and what is logged or said there. */
export function TimeLine(props: Props) {
  const { timeline, chapters, notices, said, durationMs, atMs, chosenId, onSeek } = props;
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box, 700);
  const [isDragging, setDragging] = useState(false);
  const xOf = (ms: number) => (width * Math.min(durationMs, ms)) / durationMs;
  const seekTo = (event: PointerEvent<HTMLDivElement>) => {
    const { left, width: seen } = event.currentTarget.getBoundingClientRect();
    onSeek(Math.min(1, Math.max(0, (event.clientX - left) / seen)) * durationMs);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 10_000 : 1000;
    const to = {
      ArrowLeft: atMs - step,
      ArrowRight: atMs + step,
      Home: 0,
      End: durationMs,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onSeek(Math.min(durationMs, Math.max(0, to)));
  };
  const here = timeline.at(atMs);
  return (
    <div
      ref={box}
      className={styles['box']}
      role="slider"
      tabIndex={0}
      aria-label="Time of the recording"
      aria-valuemin={0}
      aria-valuemax={Math.round(durationMs / 1000)}
      aria-valuenow={Math.round(atMs / 1000)}
      aria-valuetext={`${sayClock(atMs)}${here ? `, at ${here.readingFt.toFixed(1)} ft, ${here.pass}` : ''}`}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setDragging(true);
        seekTo(event);
      }}
      onPointerMove={(event) => isDragging && seekTo(event)}
      onPointerUp={() => setDragging(false)}
    >
      <svg width={width} height={HEIGHT} aria-hidden="true">
        <Graph timeline={timeline} durationMs={durationMs} width={width} />
        {said.map((ms, index) => (
          <line
            key={`${ms} ${index}`}
            className={styles['said']}
            x1={xOf(ms)}
            x2={xOf(ms)}
            y1={BOTTOM + 1}
            y2={BOTTOM + 7}
          />
        ))}
        {notices.map(({ atMs: ms, title }) => (
          <path key={`${ms} ${title}`} className={styles['notice']} d={notch(xOf(ms))}>
            <title>{title}</title>
          </path>
        ))}
        {chapters.map(({ entryId, atMs: ms }) => (
          <line
            key={entryId}
            className={styles['chapter']}
            data-chosen={entryId === chosenId}
            x1={xOf(ms)}
            x2={xOf(ms)}
            y1={2}
            y2={TOP - 2}
          />
        ))}
        <line className={styles['head']} x1={xOf(atMs)} x2={xOf(atMs)} y1={0} y2={HEIGHT} />
        <path className={styles['headTop']} d={`M${xOf(atMs) - 6},0h12l-6,8z`} />
      </svg>
    </div>
  );
}

const notch = (x: number) => `M${x - 4},${TOP}h8l-4,6z`;
