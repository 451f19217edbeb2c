/** A span of years, whole numbers. */
export type Years = { readonly from: number; readonly to: number };

/** When a material was commonly laid as a sewer, and how long it usually serves. */
export type ServiceLife = {
  /** `to` is `null` where it is still laid. */
  readonly laid: { readonly from: number; readonly to: number | null };
  readonly life: Years;
};

/** The color family of a material; a printer knows its ground and its mark. */
export type Tone =
  'clay' | 'iron' | 'concrete' | 'fiber' | 'abs' | 'pvc' | 'steel' | 'liner' | 'unknown';

/** Corners of a stroke, x and y by turns. */
export type Stroke = readonly number[];

/** One tile of a pattern, drawing units: strokes from corner to corner, dots as x, y and radius. */
export type Tile = {
  readonly width: number;
  readonly height: number;
  readonly tone: Tone;
  readonly strokes: readonly Stroke[];
  readonly dots: readonly (readonly [x: number, y: number, radius: number])[];
};

/** What materials have in common, as far as anything turns on it. */
export const MATERIAL_TRAITS = {
  iron: 'roots pass its barrel only where the wall is gone',
  plastic: 'called plastic, where nobody says which',
  jointed: 'laid in short lengths, with a joint every few feet',
  bursts: 'it breaks when it is burst; other pipe tears, bends or stays',
  lasting:
    'it outlasts what is laid beside it: a length of it left over is no stub, and one fault no reason to renew all',
} as const;
export type MaterialTrait = keyof typeof MATERIAL_TRAITS;

/** What Chert knows of a material of pipe. */
export type MaterialSpec = {
  /** The trade's name ("clay", "cast iron"), and the buyer's. */
  readonly name: string;
  readonly buyerName: string;
  /** How inspectors say it, in the notation of sayings. No brands: those are an inspector's own words. */
  readonly said: string;
  /**
   * Years in which it was commonly laid for house sewers, and the years it usually serves: planning figures of
   * our own, wide on purpose; the lives can be changed in a job's settings. `null` where nobody knows what it is.
   */
  readonly service: ServiceLife | null;
  /**
   * Friction between a wet rod and the pipe, no unit. Handbook values for wet plastic on the material; an
   * estimate in every case: scale, grease and joints change them.
   */
  readonly friction: number;
  /**
   * Manning's n, no unit, for pipe in ordinary service: usual figures of hydraulics handbooks (Chow,
   * *Open-Channel Hydraulics*, 1959, table 5-6, and makers' tables for plastics).
   */
  readonly manningN: number;
  readonly traits: readonly MaterialTrait[];
  /** Its pattern in the Section, like rock in a geological column: color only helps. */
  readonly tile: Tile;
};
