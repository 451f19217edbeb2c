import { readClose } from './close';
import { readDefect } from './defect';
import { readFeature } from './feature';
import type { Frame } from './frame';
import { readLocate, readSurface } from './ground';
import { readFlag, readNote, readPhoto, readRetract } from './jotting';
import { readAdvice, readClear } from './opinion';
import { readMaterial, readZone } from './pipe';
import { readEnd, readHome, readSetup } from './running';
import { readFlowTest, readUnseen, readWaterState } from './seeing';

/** A pipe change said with its lip or coupling is a material, not a defect of its own. */
const readMaterialFirst: Frame = (sheet, context) => {
  const isDefect = sheet.terms.some(({ senses }) => senses['defect'] && senses['joint'] !== 'lip');
  return sheet.has('material') && !isDefect && !sheet.has('feature', 'property-line')
    ? readMaterial(sheet, context)
    : null;
};

/** Said of the log itself, and of the whole line: what follows is not read for things. */
export const COMMANDS: readonly Frame[] = [readNote, readRetract, readFlag, readPhoto];

/** Told by the word that leads, in the exact forms. */
export const LED: readonly Frame[] = [readClose, readClear, readAdvice];

/** Things seen, in the order they are asked; the first that knows the words takes them. */
export const SEEN: readonly Frame[] = [
  readHome,
  readLocate,
  readWaterState,
  readUnseen,
  readFlowTest,
  readEnd,
  readSurface,
  readMaterialFirst,
  readDefect,
  readSetup,
  readFeature,
  readMaterial,
  readZone,
];
