import type { MaterialSpec, MaterialTrait } from '../material';
import { type Material, MATERIAL_SPECS, MATERIALS } from './index';

/** The catalogue's page on a material. */
export const materialOf = (material: Material): MaterialSpec => MATERIAL_SPECS[material];

/** Whether a material has a trait. */
export const isPipeOf = (trait: MaterialTrait, material: Material): boolean =>
  materialOf(material).traits.includes(trait);

/** One figure or word of every material. */
export const ofMaterials = <T>(of: (spec: MaterialSpec) => T): Readonly<Record<Material, T>> =>
  Object.fromEntries(MATERIALS.map((material) => [material, of(materialOf(material))])) as Record<
    Material,
    T
  >;

/** A material in the trade's words ("clay", "cast iron"). */
export const nameMaterial = (material: Material): string => materialOf(material).name;
