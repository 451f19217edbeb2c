/**
 * What a stored record must look like before Chert acts on it, where it has passed the door already and a
 * validator with its messages would be carried for nothing. Keys that are not named are let be.
 */
export type Shape = (value: unknown) => boolean;

export const text: Shape = (value) => typeof value === 'string';
/** Text that is not empty. */
export const key: Shape = (value) => typeof value === 'string' && value !== '';
/** A finite number within bounds, both included. */
export const number =
  (least = -Infinity, most = Infinity): Shape =>
  (value) =>
    Number.isFinite(value) && (value as number) >= least && (value as number) <= most;
export const whole =
  (least: number, most: number): Shape =>
  (value) =>
    Number.isInteger(value) && number(least, most)(value);
export const oneOf =
  (known: readonly unknown[]): Shape =>
  (value) =>
    known.includes(value);
export const orNull =
  (shape: Shape): Shape =>
  (value) =>
    value === null || shape(value);
export const optional =
  (shape: Shape): Shape =>
  (value) =>
    value === undefined || shape(value);
export const listOf =
  (shape: Shape, least = 0, most = Infinity): Shape =>
  (value) =>
    Array.isArray(value) && value.length >= least && value.length <= most && value.every(shape);

const isObject = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** An object whose every value has a shape. */
export const mapOf =
  (shape: Shape): Shape =>
  (value) =>
    isObject(value) && Object.values(value).every(shape);
/** An object with at least these keys. */
export const object =
  (shapes: Readonly<Record<string, Shape>>): Shape =>
  (value) =>
    isObject(value) && Object.entries(shapes).every(([name, shape]) => shape(value[name]));

/** A test for records of one type by their shape. */
export const shaped =
  <T extends object>(shapes: { readonly [K in keyof T]?: Shape } & Record<string, Shape>) =>
  (value: object): value is T =>
    object(shapes)(value);
