import type { DefectKind } from '../catalogue/defects/index';
import type { Material } from '../catalogue/materials/index';

/** Pipes that were laid in one age, from the house to the main. */
export const AGES: readonly {
  readonly from: number;
  readonly to: number;
  readonly pipes: readonly (readonly [Material, number])[];
}[] = [
  {
    from: 1915,
    to: 1950,
    pipes: [
      ['cast-iron', 4],
      ['vitrified-clay', 6],
    ],
  },
  {
    from: 1945,
    to: 1965,
    pipes: [
      ['cast-iron', 4],
      ['bituminous-fiber', 4],
      ['concrete', 6],
    ],
  },
  {
    from: 1950,
    to: 1975,
    pipes: [
      ['abs', 4],
      ['asbestos-cement', 6],
    ],
  },
  {
    from: 1970,
    to: 1995,
    pipes: [
      ['abs', 3],
      ['pvc', 4],
    ],
  },
  {
    from: 1995,
    to: 2024,
    pipes: [
      ['pvc', 4],
      ['hdpe', 4],
    ],
  },
];

/** Feet from joint to joint, as each is commonly laid. */
export const JOINT_FT: Partial<Record<Material, number>> = {
  'cast-iron': 5,
  'vitrified-clay': 3,
  'bituminous-fiber': 8,
  concrete: 4,
  'asbestos-cement': 10,
  abs: 10,
  pvc: 10,
};

/** What goes wrong in each material, drawn from. */
export const FAULTS: Partial<Record<Material, readonly DefectKind[]>> = {
  'cast-iron': ['scale', 'wall-loss', 'grease', 'crack', 'offset', 'roots'],
  'vitrified-clay': ['roots', 'roots', 'offset', 'gap', 'crack', 'break', 'infiltration'],
  'bituminous-fiber': ['deformation', 'deformation', 'roots', 'residue-line', 'hole'],
  concrete: ['spalling', 'mineral', 'crack', 'roots', 'gap'],
  'asbestos-cement': ['crack', 'roots', 'offset', 'residue-line'],
  abs: ['debris', 'lip', 'deformation', 'grease'],
  pvc: ['debris', 'lip', 'offset', 'gap'],
  hdpe: ['debris', 'deformation'],
};
