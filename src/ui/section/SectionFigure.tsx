import type { Section } from '#core/section/build';
import type { Point, Primitive } from '#core/section/primitives';
import type { SectionRow } from '#core/section/table';
import { MaterialPatterns } from './MaterialPatterns';
import styles from './SectionFigure.module.css';

type Props = {
  readonly section: Pick<Section, 'width' | 'height' | 'primitives'>;
  readonly rows: readonly SectionRow[];
  /** Sets the patterns of one drawing apart from another's on the same page. */
  readonly id: string;
  readonly label: string;
  readonly selected?: number | null;
  readonly onSelect?: (findingNumber: number) => void;
};

const n = (value: number) => value.toFixed(1);
const path = (points: readonly Point[]) => points.map(({ x, y }) => `${n(x)},${n(y)}`).join(' ');

/** Prints the Section as SVG, with the same in a table for those who do not see it. */
export function SectionFigure({ section, rows, id, label, selected = null, onSelect }: Props) {
  return (
    <div className={styles['figure']}>
      <svg
        className={styles['drawing']}
        viewBox={`0 0 ${section.width} ${section.height}`}
        role="img"
        aria-label={`${label}. The same is in the table that follows.`}
      >
        <defs>
          <MaterialPatterns id={id} />
        </defs>
        <rect className={styles['sky']} width={section.width} height={section.height} />
        {section.primitives.map((primitive, index) => (
          <Shape
            // The list is rebuilt whole; a primitive has no identity beyond its place.
            key={index}
            primitive={primitive}
            id={id}
            isSelected={
              primitive.findingNumber !== undefined && primitive.findingNumber === selected
            }
            onSelect={onSelect}
          />
        ))}
      </svg>
      <table className="hidden-visually">
        <caption>{label}, in feet from the reference access</caption>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">To</th>
            <th scope="col">What</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              <td>{row.fromFt}</td>
              <td>{row.toFt}</td>
              <td>{row.what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Shape({
  primitive,
  id,
  isSelected,
  onSelect,
}: {
  readonly primitive: Primitive;
  readonly id: string;
  readonly isSelected: boolean;
  readonly onSelect: ((findingNumber: number) => void) | undefined;
}) {
  const { role, findingNumber } = primitive;
  const className = [styles[role], isSelected && styles['selected']].filter(Boolean).join(' ');
  const onClick =
    onSelect && findingNumber !== undefined ? () => onSelect(findingNumber) : undefined;
  switch (primitive.shape) {
    case 'polygon': {
      const material = /^pipe-fill-(.+)$/.exec(role)?.[1];
      const fill = material
        ? `url(#${id}-${material})`
        : role === 'unseen'
          ? `url(#${id}-unseen)`
          : undefined;
      return (
        <polygon
          className={className}
          points={path(primitive.points)}
          fill={fill}
          onClick={onClick}
        />
      );
    }
    case 'polyline':
      return <polyline className={className} points={path(primitive.points)} />;
    case 'circle':
      return (
        <circle
          className={className}
          cx={n(primitive.center.x)}
          cy={n(primitive.center.y)}
          r={primitive.radius}
        />
      );
    case 'text':
      return (
        <text
          className={className}
          x={n(primitive.at.x)}
          y={n(primitive.at.y)}
          textAnchor={primitive.anchor}
          onClick={onClick}
        >
          {primitive.text}
        </text>
      );
  }
}
