import { createRequire } from 'node:module';
import { Font } from '@react-pdf/renderer';

const require = createRequire(import.meta.url);
const file = (family: string, set: string, weight: number) =>
  require.resolve(`@fontsource/${family}/files/${family}-${set}-${weight}-normal.woff`);

/** Words; the second family has the letters that the first lacks. */
export const WORDS = ['Chert', 'Chert more'];
/** Readings. */
export const READINGS = ['Chert mono', 'Chert more'];

let isReady = false;

/** Makes the fonts that ship with Chert known to the printer, once. They are embedded in each document. */
export function registerFonts(): void {
  if (isReady) return;
  isReady = true;
  const next = 'atkinson-hyperlegible-next';
  const weights = [400, 700] as const;
  for (const [family, set] of [['Chert', 'latin'], ['Chert more', 'latin-ext']] as const) // prettier-ignore
    Font.register({ family, fonts: weights.map((fontWeight) => ({ src: file(next, set, fontWeight), fontWeight })) }); // prettier-ignore
  Font.register({ family: 'Chert mono', src: file('atkinson-hyperlegible-mono', 'latin', 400) });
  // Words are not broken: footages and names must be found as they are.
  Font.registerHyphenationCallback((word) => [word]);
}
