import Joi from 'joi';
import { day, line, prose } from '../../base/joi';
import { FIRM_TEXTS } from './firm';
import { STATE_CODES } from './states';

/** The longest picture kept as text, characters: some 70 kB of a small PNG or JPEG. */
const LONGEST_PICTURE = 95_000;

const PICTURE = /^data:image\/(png|jpeg);base64,[A-Za-z0-9+/]+={0,2}$/;

const picture = () =>
  Joi.string()
    .max(LONGEST_PICTURE)
    .custom((value: string, helpers) =>
      PICTURE.test(value) ? value : helpers.error('chert.picture'),
    );

const signing = { license: line(200), signature: picture() };
/** What one inspector of a firm signs with. */
export const signingSchema = Joi.object(signing);

export const firmSchema = Joi.object({
  name: line(120),
  address: line(300),
  phone: line(60),
  email: line(200),
  inspector: line(120),
  logo: picture(),
  ...signing,
  texts: Joi.object(Object.fromEntries(FIRM_TEXTS.map((part) => [part, prose()]))),
  stateTexts: Joi.object(Object.fromEntries(STATE_CODES.map((code) => [code, prose()]))),
  textsOn: day(),
  signer: Joi.object({ name: line(120).required(), ...signing }),
});
