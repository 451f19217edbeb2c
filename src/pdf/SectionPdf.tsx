import {
  Circle,
  ClipPath,
  Defs,
  G,
  Path,
  Polygon,
  Polyline,
  Rect,
  Svg,
  Text,
} from '@react-pdf/renderer';
import type { Material } from '#core/catalogue/materials/index';
import { materialOf } from '#core/catalogue/materials/kinds';
import type { Section } from '#core/section/build';
import { pathOfDots, pathOfStrokes, UNSEEN_TILE } from '#core/section/patterns';
import type { Point, Primitive } from '#core/section/primitives';
import { useLetters } from './families';
import { INK, LETTERING, materialOfRole, paintOf, SKY, TONES } from './paint';

const n = (value: number) => Number(value.toFixed(1));
const list = (points: readonly Point[]) => points.map(({ x, y }) => `${n(x)},${n(y)}`).join(' ');

type Drawn = Pick<Section, 'width' | 'height' | 'primitives'>;

/** Prints the Section as vectors: the other printer of the same primitives. */
export function SectionPdf({
  section,
  widthPt,
}: {
  readonly section: Drawn;
  readonly widthPt: number;
}) {
  const heightPt = (section.height / section.width) * widthPt;
  return (
    <Svg
      viewBox={`0 0 ${section.width} ${section.height}`}
      style={{ width: widthPt, height: heightPt }}
    >
      <Defs>
        {section.primitives.map((primitive, index) =>
          isPatterned(primitive) ? (
            <ClipPath key={index} id={`clip-${index}`}>
              <Polygon points={list(primitive.points)} />
            </ClipPath>
          ) : null,
        )}
      </Defs>
      <Rect x={0} y={0} width={section.width} height={section.height} fill={SKY} />
      {section.primitives.map((primitive, index) => (
        <Shape key={index} primitive={primitive} index={index} />
      ))}
    </Svg>
  );
}

type Filled = Extract<Primitive, { shape: 'polygon' }>;
type Patterned = Filled & { readonly role: 'unseen' | `pipe-fill-${Material}` };
const isPatterned = (primitive: Primitive): primitive is Patterned =>
  primitive.shape === 'polygon' &&
  (primitive.role === 'unseen' || materialOfRole(primitive.role) !== null);

function Shape({ primitive, index }: { readonly primitive: Primitive; readonly index: number }) {
  const letters = useLetters();
  if (isPatterned(primitive)) return <Pattern primitive={primitive} index={index} />;
  switch (primitive.shape) {
    case 'polygon':
      return <Polygon points={list(primitive.points)} {...paintOf(primitive.role)} />;
    case 'polyline':
      return <Polyline points={list(primitive.points)} fill="none" {...paintOf(primitive.role)} />;
    case 'circle':
      return (
        <Circle
          cx={n(primitive.center.x)}
          cy={n(primitive.center.y)}
          r={primitive.radius}
          {...paintOf(primitive.role)}
        />
      );
    case 'text': {
      const { fontSize, fill, isBold, isReading } = LETTERING[primitive.role];
      const style = {
        fontSize,
        ...(isReading ? letters.readings : letters.words),
        fontWeight: isBold ? 700 : 400,
      } as const;
      return (
        <Text
          x={n(primitive.at.x)}
          y={n(primitive.at.y)}
          textAnchor={primitive.anchor}
          fill={fill}
          style={style}
        >
          {primitive.text}
        </Text>
      );
    }
  }
}

/** A shape filled with the tiles of its pattern, cut to its outline: the page's SVG has patterns, paper has not. */
function Pattern({
  primitive: { points, role },
  index,
}: {
  readonly primitive: Patterned;
  readonly index: number;
}) {
  const material = materialOfRole(role);
  const tile = material === null ? UNSEEN_TILE : materialOf(material).tile;
  const [ground, mark] = material === null ? [null, INK] : TONES[materialOf(material).tile.tone];
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [left, top] = [
    Math.floor(Math.min(...xs) / tile.width),
    Math.floor(Math.min(...ys) / tile.height),
  ];
  const [right, bottom] = [
    Math.ceil(Math.max(...xs) / tile.width),
    Math.ceil(Math.max(...ys) / tile.height),
  ];
  const places = Array.from(
    { length: Math.max(0, right - left) },
    (_, column) => left + column,
  ).flatMap((column) =>
    Array.from(
      { length: Math.max(0, bottom - top) },
      (_, row) => [column * tile.width, (top + row) * tile.height] as const,
    ),
  );
  return (
    <>
      {ground && <Polygon points={list(points)} fill={ground} />}
      <G clipPath={`url(#clip-${index})`}>
        {tile.strokes.length > 0 && (
          <Path
            d={places.map(([x, y]) => pathOfStrokes(tile.strokes, x, y)).join('')}
            stroke={mark}
            strokeWidth={material === null ? 1.6 : 1.2}
            fill="none"
          />
        )}
        {tile.dots.length > 0 && (
          <Path d={places.map(([x, y]) => pathOfDots(tile.dots, x, y)).join('')} fill={mark} />
        )}
      </G>
    </>
  );
}
