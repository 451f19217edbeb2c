import { LocateFixed } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { segmentAt } from '#core/lateral/segments';
import { labelOf } from '#core/model/job/labels';
import type { Run } from '#core/model/job/run';
import { foldLog } from '#core/model/log/fold';
import { sayEntry } from '#core/model/log/say-entry';
import { useReady } from '../../shared/useReady';
import panel from '../panel.module.css';
import type { Scope } from '../useScope';
import { edgesOf, hangRows, ROW_PX, scaleTape, type TapeScale } from './layout';
import styles from './Tape.module.css';
import { type RowActs, TapeRow } from './TapeRow';

type Props = {
  readonly scope: Scope;
  readonly run: Run;
  readonly counterFt: number;
  readonly unsent: ReadonlySet<string>;
  readonly chosenId: string | null;
  readonly acts: RowActs;
};

/** Rows this far outside what is seen are drawn as well, so that a flick shows no gap, pixels. */
const MARGIN_PX = 600;
/** The window moves in steps, so that scrolling does not draw at every pixel. */
const STEP_PX = 200;

/**
 * The log as a measuring tape that runs past a fixed index line: each thing hangs at its foot, the pipe is
 * the thin edge beside the tape, water the blue one.
 */
export function Tape({ scope, run, counterFt, unsent, chosenId, acts }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [windowPx, setWindow] = useState({ topPx: 0, heightPx: 800 });
  const [isAway, setAway] = useState(false);
  // A row has its place from the script: before that all would lie on one spot.
  const isAwake = useReady();
  // What was logged hangs here at once; what Chert makes of it comes a moment later.
  const log = foldLog(run.entries);

  const [shown, loose] = useMemo(() => {
    const standing = run.entries.filter(
      ({ id, kind }) => kind !== 'retract' && log.fallen.get(id) === undefined,
    );
    return [
      standing.filter(({ readingFt }) => readingFt !== null),
      standing.filter(({ readingFt }) => readingFt === null),
    ] as const;
  }, [run.entries, log]);
  const scale = useMemo(
    () =>
      scaleTape(
        shown.map(({ readingFt }) => readingFt!),
        counterFt,
      ),
    [shown, counterFt],
  );
  const rows = useMemo(
    () =>
      hangRows(
        shown.map((entry) => ({ atFt: entry.readingFt!, item: entry })),
        scale,
      ),
    [shown, scale],
  );
  const findings = useMemo(() => {
    const byEntry = new Map<string, Scope['assessment']['findings'][number]>();
    for (const finding of scope.assessment.findings)
      if (finding.runIds.includes(run.id))
        for (const id of finding.entryIds) byEntry.set(id, finding);
    return byEntry;
  }, [scope.assessment, run.id]);

  const headPx = scale.pxOf(counterFt);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    element.scrollTop = headPx;
    setAway(false);
  }, [headPx]);

  const onScroll = () => {
    const element = box.current;
    if (!element) return;
    setAway(Math.abs(element.scrollTop - headPx) > ROW_PX);
    const topPx = Math.floor(element.scrollTop / STEP_PX) * STEP_PX;
    setWindow((now) =>
      now.topPx === topPx && now.heightPx === element.clientHeight
        ? now
        : { topPx, heightPx: element.clientHeight },
    );
  };
  useEffect(onScroll, [headPx]);

  const half = windowPx.heightPx / 2;
  const isNear = (px: number) =>
    px > windowPx.topPx - half - MARGIN_PX && px < windowPx.topPx + half + MARGIN_PX + STEP_PX;

  return (
    <section
      className={`${panel['panel']} ${styles['tape']}`}
      aria-label={`Tape of run ${labelOf(run)}`}
    >
      {/* The tape scrolls, so it takes focus for the keyboard. */}
      <div
        ref={box}
        className={styles['scroll']}
        onScroll={onScroll}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- the tape scrolls, so it takes focus for the keyboard
        tabIndex={0}
        role="group"
        aria-label="Scroll to look along the tape"
      >
        <div className={styles['half']} />
        <div className={styles['length']}>
          <Measure scale={scale} scope={scope} isNear={isNear} />
          <ol className={styles['rows']}>
            {rows.map(({ item, footPx, rowPx }) =>
              isAwake && (isNear(rowPx) || item.id === chosenId) ? (
                <TapeRow
                  key={item.id}
                  entry={item}
                  footPx={footPx}
                  rowPx={rowPx}
                  severity={findings.get(item.id)?.severity}
                  number={findings.get(item.id)?.number}
                  hasPast={item.replaces !== undefined}
                  isUnsent={unsent.has(item.id)}
                  isChosen={item.id === chosenId}
                  acts={acts}
                />
              ) : null,
            )}
          </ol>
        </div>
        <div className={styles['half']} />
      </div>
      <div className={styles['index']} aria-hidden="true">
        <span>{counterFt.toFixed(1)}</span>
      </div>
      {loose.length > 0 && (
        <ul className={styles['loose']} aria-label="No footage yet">
          {loose.map((entry) => (
            <li key={entry.id}>
              <button type="button" onClick={() => acts.correct(entry)}>
                {sayEntry(entry).title}: no footage yet
              </button>
            </li>
          ))}
        </ul>
      )}
      {shown.length === 0 && loose.length === 0 && (
        <p className={styles['empty']}>
          What you call out hangs here at its foot. Say where the pipe begins, for example{' '}
          <kbd>0 cast iron 4 in</kbd>, then what you see as you push on.
        </p>
      )}
      {isAway && (
        <button
          type="button"
          className={styles['return']}
          onClick={() => box.current?.scrollTo({ top: headPx })}
        >
          <LocateFixed size={18} aria-hidden="true" /> Back to the head
        </button>
      )}
    </section>
  );
}

type MeasureProps = {
  readonly scale: TapeScale;
  readonly scope: Scope;
  readonly isNear: (px: number) => boolean;
};

const WIDTH = 96;

/** The tape itself: feet and tenths, the pipe's edge, the water's edge, and what nobody could see. */
function Measure({ scale, scope, isNear }: MeasureProps) {
  const { axis, assessment } = scope;
  const edges = useMemo(() => {
    const stationOf = (ft: number) =>
      axis?.placed ? axis.placeAlong(axis.alongOf('out', ft)) : null;
    const farFt = scale.topFt;
    const water = assessment.findings.filter(({ kind }) => kind === 'standing-water');
    const within = (
      ft: number,
      spans: readonly { readonly fromFt: number; readonly toFt: number }[],
    ) => {
      const at = stationOf(ft);
      return at !== null && spans.some(({ fromFt, toFt }) => at >= fromFt && at <= toFt);
    };
    return {
      pipe: edgesOf(farFt, (ft) => {
        const at = stationOf(ft);
        const segment = at === null ? undefined : segmentAt(assessment.lateral.segments, at);
        return segment && segment.material !== 'unknown' ? segment.material : null;
      }),
      water: edgesOf(farFt, (ft) =>
        within(
          ft,
          water.map(({ span }) => span),
        )
          ? 'water'
          : null,
      ),
    };
  }, [axis, assessment, scale.topFt]);
  const finePerFt = scale.pxPerFt >= 60 ? 10 : scale.pxPerFt >= 30 ? 2 : 1;
  const ticks: { ft: number; px: number }[] = [];
  for (let step = 0; step <= scale.topFt * finePerFt; step += 1) {
    const ft = step / finePerFt;
    const px = scale.pxOf(ft);
    if (isNear(px)) ticks.push({ ft, px });
  }
  return (
    <svg className={styles['measure']} width={WIDTH} height={scale.heightPx} aria-hidden="true">
      <rect className={styles['band']} x={0} y={0} width={70} height={scale.heightPx} />
      {ticks.map(({ ft, px }) => {
        const isFive = ft % 5 === 0;
        const isFoot = Number.isInteger(ft);
        const isLabelled = isFive || (isFoot && scale.pxPerFt >= 40);
        return (
          <g key={ft}>
            <line
              x1={isFive ? 38 : isFoot ? 50 : 60}
              x2={70}
              y1={px}
              y2={px}
              className={styles[isFive ? 'five' : 'tick']}
            />
            {isLabelled && (
              <text x={34} y={px + 6} className={styles['foot']}>
                {ft}
              </text>
            )}
          </g>
        );
      })}
      {edges.pipe.map(({ fromFt, toFt, look }) => (
        <rect
          key={`${look} ${fromFt}`}
          className={styles['pipe']}
          data-material={look}
          x={74}
          width={9}
          y={scale.pxOf(toFt)}
          height={(toFt - fromFt) * scale.pxPerFt}
        />
      ))}
      {edges.water.map(({ fromFt, toFt }) => (
        <rect
          key={fromFt}
          className={styles['water']}
          x={86}
          width={5}
          y={scale.pxOf(toFt)}
          height={(toFt - fromFt) * scale.pxPerFt}
        />
      ))}
    </svg>
  );
}
