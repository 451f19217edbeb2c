import { CHERT_TEXTS, type Firm, FIRM_TEXTS, type FirmText } from '#core/model/firm/firm';
import { STATE_CODES } from '#core/model/firm/states';
import { sameJson } from '#core/model/job/edits';
import type { TypedFields } from './typed';

const LINES = ['name', 'address', 'phone', 'email', 'license', 'inspector'] as const;

/** The pictures of a firm, as its form holds them; `null`: none. */
export type FirmPictures = { readonly logo: string | null; readonly signature: string | null };

/** The firm's own words: those that are Chert's are not kept, so that they follow Chert's. */
function readTexts({ text }: TypedFields): NonNullable<Firm['texts']> {
  return Object.fromEntries(
    FIRM_TEXTS.map((part): [FirmText, string] => [part, text(`text-${part}`)]).filter(
      ([part, said]) => said !== CHERT_TEXTS[part],
    ),
  );
}

/** What is said for states, of those that have a field. */
function readStateTexts({ text }: TypedFields): NonNullable<Firm['stateTexts']> {
  return Object.fromEntries(
    STATE_CODES.map((code) => [code, text(`state-${code}`)] as const).filter(
      ([, said]) => said !== '',
    ),
  );
}

/**
 * The firm as its form says it; what is left empty is left out.
 *
 * @param today the day on which it is said: new words are a new version.
 */
export function readFirm(
  typed: TypedFields,
  pictures: FirmPictures,
  before: Firm,
  today: string,
): Firm {
  const lines = LINES.flatMap((field) =>
    typed.text(field) === '' ? [] : [[field, typed.text(field)] as const],
  );
  const texts = readTexts(typed);
  const stateTexts = readStateTexts(typed);
  const isSame =
    sameJson(texts, before.texts ?? {}) && sameJson(stateTexts, before.stateTexts ?? {});
  const textsOn = isSame ? before.textsOn : today;
  return {
    ...Object.fromEntries(lines),
    ...(pictures.logo === null ? {} : { logo: pictures.logo }),
    ...(pictures.signature === null ? {} : { signature: pictures.signature }),
    ...(Object.keys(texts).length > 0 ? { texts } : {}),
    ...(Object.keys(stateTexts).length > 0 ? { stateTexts } : {}),
    ...(textsOn === undefined ? {} : { textsOn }),
  };
}
