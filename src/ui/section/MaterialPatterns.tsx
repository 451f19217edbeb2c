import { ofMaterials } from '#core/catalogue/materials/kinds';
import { pathOfDots, pathOfStrokes, UNSEEN_TILE } from '#core/section/patterns';
import styles from './MaterialPatterns.module.css';

const TILES = Object.entries(ofMaterials(({ tile }) => tile));

/** The patterns of one drawing, and the hatch of what nobody could see. */
export function MaterialPatterns({ id }: { readonly id: string }) {
  return (
    <>
      {TILES.map(([material, { width, height, tone, strokes, dots }]) => (
        <pattern
          key={material}
          id={`${id}-${material}`}
          width={width}
          height={height}
          patternUnits="userSpaceOnUse"
        >
          <rect className={styles[`${tone}-ground`]} width={width} height={height} />
          <path className={styles[`${tone}-mark`]} d={pathOfStrokes(strokes)} />
          <path className={styles[`${tone}-dot`]} d={pathOfDots(dots)} />
        </pattern>
      ))}
      <pattern
        id={`${id}-unseen`}
        width={UNSEEN_TILE.width}
        height={UNSEEN_TILE.height}
        patternUnits="userSpaceOnUse"
      >
        <path className={styles['unseen-mark']} d={pathOfStrokes(UNSEEN_TILE.strokes)} />
      </pattern>
    </>
  );
}
