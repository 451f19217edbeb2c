import Joi from 'joi';
import { clock, flag, id, length, line, oneOf, saidRatio } from '../../../base/joi';
import { DEFECTS } from '../../../catalogue/defects/index';
import { CRACK_DIRECTIONS, LOCI, SIZE_BASES, SIZE_WORDS } from '../../../catalogue/vocabulary';
import { stillMeasureSchema } from '../still-measure.schema';

export const defectKeys = {
  defect: oneOf(DEFECTS).required(),
  toReadingFt: length(),
  open: flag(),
  lengthFt: length(),
  locus: oneOf(LOCI),
  clockFrom: clock(),
  clockTo: clock(),
  depthIn: length(),
  fillRatio: saidRatio(),
  extentRatio: saidRatio(),
  offsetIn: length(),
  gapIn: length(),
  lipIn: length(),
  sizeWord: oneOf(SIZE_WORDS),
  sizeBasis: oneOf(SIZE_BASES),
  measures: Joi.array().items(stillMeasureSchema).max(20),
  form: line(80),
  candidates: Joi.array().items(oneOf(DEFECTS)).max(DEFECTS.length),
  direction: oneOf(CRACK_DIRECTIONS),
  holdsDebris: flag(),
  soilVisible: flag(),
  movesWithWater: flag(),
  ourDoing: flag(),
};

export const closeKeys = { closes: id().required() };
