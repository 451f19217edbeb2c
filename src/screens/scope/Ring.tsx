import { useId } from 'react';
import { sayFt, sayPercent } from '#core/base/numbers';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import { arcHours, type ClockArc } from '#core/measure/clock';
import type { Run } from '#core/model/job/run';
import { sayArc } from '#core/model/log/say-entry';
import { type Ring, ringAt, type RingThing } from '#core/section/ring';
import { Stone } from '#ui/Flake';
import { MaterialPatterns } from '#ui/section/MaterialPatterns';
import styles from './Ring.module.css';
import type { Scope } from './useScope';

/** Radii of the drawing, whose middle is 100, 100. */
const OUTSIDE = 92;
const BORE = 74;
const ARC = 68;
const STONE = 48;
const MIDDLE = 100;
/** Water whose depth nobody said is drawn this deep, and its surface broken. */
const UNSAID_FILL = 0.15;
/** A place of the clock is drawn this wide, hours. */
const POINT_HOURS = 0.6;

const at = (hour: number, radius: number) => {
  const angle = (hour / 6) * Math.PI;
  return {
    x: MIDDLE + radius * Math.sin(angle),
    y: MIDDLE - radius * Math.cos(angle),
  };
};

function arcPath(clock: ClockArc): string {
  const hours = arcHours(clock);
  const isPoint = hours < POINT_HOURS;
  const [from, to] = isPoint
    ? [clock.from - POINT_HOURS / 2, clock.from + POINT_HOURS / 2]
    : [clock.from, clock.to];
  const [a, b] = [at(from, ARC), at(to, ARC)];
  const isLarge = !isPoint && hours > 6 ? 1 : 0;
  return `M${a.x.toFixed(1)} ${a.y.toFixed(1)}A${ARC} ${ARC} 0 ${isLarge} 1 ${b.x.toFixed(1)} ${b.y.toFixed(1)}`;
}

const middleOf = (clock: ClockArc) => clock.from + arcHours(clock) / 2;

function sayAway(awayFt: number): string {
  if (Math.abs(awayFt) < 0.05) return 'here';
  return `${sayFt(Math.abs(awayFt))} ft ${awayFt > 0 ? 'downstream' : 'upstream'}`;
}

const DOUBT = ', suspected';

const sayThing = ({ title, clock, awayFt, isSure }: RingThing) =>
  [
    `${title}${isSure ? '' : DOUBT}`,
    clock ? sayArc(clock.from, clock.to) : 'no clock said',
    sayAway(awayFt),
  ].join(' · ');

function sayPipe({ material, boreIn, lined, water, isSure }: Ring): string {
  const bore = boreIn === null ? '' : `${boreIn} in `;
  const pipe =
    material === 'unknown'
      ? `${bore}pipe, nobody said of what`
      : `${bore}${nameMaterial(material)}${lined ? ', lined' : ''}${isSure ? '' : DOUBT}`;
  if (!water) return pipe;
  const depth =
    water.fillRatio === null
      ? 'standing water, depth not said'
      : `water to ${sayPercent(water.fillRatio)}`;
  return `${pipe} · ${depth}${water.isSure ? '' : DOUBT}`;
}

type Props = {
  readonly scope: Scope;
  readonly run: Run;
  readonly counterFt: number;
};

/** The pipe cut across where the head is, from the log: what one compares the picture with. */
export function RingHere({ scope: { lateral, headFt, assessment }, run, counterFt }: Props) {
  const ring =
    lateral && headFt !== null ? ringAt(lateral, assessment.findings, headFt, run.facing) : null;
  if (ring) return <RingFigure ring={ring} counterFt={counterFt} />;
  if (!lateral || headFt === null)
    return (
      <div className={styles['none']}>
        <p>Where this run lies on the line is not known yet, so nothing is drawn here.</p>
      </div>
    );
  return (
    <div className={styles['none']}>
      <p>
        Nothing is logged of the pipe at <b>{counterFt.toFixed(1)}</b> ft.
      </p>
      <p>Say what it is made of: it is drawn here, cut across.</p>
    </div>
  );
}

function RingFigure({ ring, counterFt }: { readonly ring: Ring; readonly counterFt: number }) {
  const id = useId().replaceAll(':', '');
  const { water, things, material } = ring;
  const surfaceY = MIDDLE + BORE - 2 * BORE * (water?.fillRatio ?? UNSAID_FILL);
  return (
    <div className={styles['ring']}>
      <svg
        viewBox="0 0 200 200"
        role="img"
        aria-label={`The pipe at ${counterFt.toFixed(1)} ft, cut across`}
      >
        <defs>
          <MaterialPatterns id={id} />
          <clipPath id={`${id}-bore`}>
            <circle cx={MIDDLE} cy={MIDDLE} r={BORE} />
          </clipPath>
        </defs>
        <circle cx={MIDDLE} cy={MIDDLE} r={OUTSIDE} fill={`url(#${id}-${material})`} />
        <circle className={styles['bore']} cx={MIDDLE} cy={MIDDLE} r={BORE} />
        {water && (
          <g clipPath={`url(#${id}-bore)`}>
            <rect className={styles['water']} x="0" y={surfaceY} width="200" height="200" />
            <path
              className={styles['surface']}
              data-unsaid={water.fillRatio === null}
              d={`M0 ${surfaceY}H200`}
            />
          </g>
        )}
        {[12, 3, 6, 9].map((hour) => {
          const [a, b] = [at(hour, BORE), at(hour, BORE - 5)];
          return <path key={hour} className={styles['tick']} d={`M${a.x} ${a.y}L${b.x} ${b.y}`} />;
        })}
        {things.map(({ clock, severity, number, title }) => {
          if (!clock) return null;
          return (
            <g key={`${title} ${number} ${clock.from}`}>
              <path className={styles['arc']} data-feature={severity === null} d={arcPath(clock)} />
              {severity !== null && number !== null && (
                <Stone severity={severity} number={number} center={at(middleOf(clock), STONE)} />
              )}
            </g>
          );
        })}
      </svg>
      <div className={styles['words']}>
        <p>
          <b>{counterFt.toFixed(1)}</b> ft by the log · {sayPipe(ring)}
        </p>
        <ul>
          {things.map((thing) => (
            <li key={`${thing.title} ${thing.number} ${thing.awayFt}`}>{sayThing(thing)}</li>
          ))}
        </ul>
      </div>
    </div>
  );
}
