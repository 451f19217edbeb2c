import type { ReactNode } from 'react';
import type { Material } from '#core/log/vocabulary';
import styles from './MaterialPatterns.module.css';

const ground = (name: string, width: number, height: number) => (
  <rect className={styles[`${name}-ground`]} width={width} height={height} />
);
const mark = (name: string, d: string) => <path className={styles[`${name}-mark`]} d={d} />;
const dots = (name: string, at: readonly (readonly [number, number, number])[]) =>
  at.map(([x, y, r]) => (
    <circle key={`${x} ${y}`} className={styles[`${name}-dot`]} cx={x} cy={y} r={r} />
  ));

/** Each material has a pattern of its own, like rock in a geological column: colour only helps. */
const PATTERNS: Record<Material, { width: number; height: number; body: ReactNode }> = {
  'vitrified-clay': { width: 14, height: 8, body: [ground('clay', 14, 8), mark('clay', 'M0 7.5H14')] },
  'cast-iron': { width: 8, height: 8, body: [ground('iron', 8, 8), ...dots('iron', [[2, 2, 1.1], [6, 6, 1.1]])] },
  'ductile-iron': { width: 10, height: 10, body: [ground('iron', 10, 10), ...dots('iron', [[3, 3, 1.9], [8, 8, 1.9]])] },
  concrete: { width: 14, height: 12, body: [ground('concrete', 14, 12), ...dots('concrete', [[3, 3, 1.6], [9, 8, 2], [12, 2, 0.9], [5, 10, 0.8]])] },
  'asbestos-cement': { width: 8, height: 8, body: [ground('concrete', 8, 8), mark('concrete', 'M0 0 8 8M8 0 0 8')] },
  'bituminous-fiber': { width: 12, height: 6, body: [ground('fiber', 12, 6), mark('fiber', 'M0 3Q3 0 6 3T12 3')] },
  abs: { width: 10, height: 5, body: [ground('abs', 10, 5), mark('abs', 'M0 2.5H10')] },
  pvc: { width: 24, height: 10, body: [ground('pvc', 24, 10), mark('pvc', 'M4 5H14')] },
  hdpe: { width: 10, height: 10, body: [ground('abs', 10, 10), mark('abs', 'M0 10 10 0')] },
  'galvanized-steel': { width: 5, height: 10, body: [ground('steel', 5, 10), mark('steel', 'M2.5 0V10')] },
  lead: { width: 6, height: 6, body: [ground('steel', 6, 6), mark('steel', 'M0 0 6 6')] },
  liner: { width: 12, height: 8, body: [ground('liner', 12, 8), mark('liner', 'M0 2H12M0 6H12')] },
  unknown: { width: 9, height: 9, body: [ground('unknown', 9, 9), mark('unknown', 'M2 7 7 2')] },
}; // prettier-ignore

/** The patterns of one drawing, and the hatch of what nobody could see. */
export function MaterialPatterns({ id }: { readonly id: string }) {
  return (
    <>
      {Object.entries(PATTERNS).map(([material, { width, height, body }]) => (
        <pattern
          key={material}
          id={`${id}-${material}`}
          width={width}
          height={height}
          patternUnits="userSpaceOnUse"
        >
          {Array.isArray(body) ? body.map((part, index) => <g key={index}>{part}</g>) : body}
        </pattern>
      ))}
      <pattern id={`${id}-unseen`} width="7" height="7" patternUnits="userSpaceOnUse">
        <path className={styles['unseen-mark']} d="M-1 8 8 -1M-1 1 1 -1M6 8 8 6" />
      </pattern>
    </>
  );
}
