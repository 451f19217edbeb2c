import type { DefectKind } from './defects/index';
import { specOf } from './defects/kinds';
import { type DefectForm, FORM_STEMS } from './forms';

/** A form as it was said, read once: no rule, sentence or picture reads the words again. */
export type ReadForm = {
  /** The worst of the forms said; `null` where none was. */
  readonly form: DefectForm | null;
  /** Whether the words say that soil or a void shows. */
  readonly soilVisible: boolean;
  /** Words that Chert does not know of this kind, as they were said; `null` where all were read. */
  readonly unread: string | null;
};

const SOIL = ['soil', 'void'];
/** Words that turn what follows them round: "not displaced" is no displacement. */
const NOT = ['no', 'not', 'without', 'isnt', 'never'];

/** The forms that a kind may take, worst first; none where its kind has none. */
export function formsOf(kind: DefectKind): readonly DefectForm[] {
  return Object.keys(specOf(kind).forms ?? {}) as DefectForm[];
}

/** Reads a form as files and people write it ("Hairline, displaced"; "invert_missing"). */
export function readForm(kind: DefectKind, said: string | undefined): ReadForm {
  const text = said?.trim() ?? '';
  if (text === '') return { form: null, soilVisible: false, unread: null };
  const words = text
    .toLowerCase()
    .replace(/['’]/g, '')
    .split(/[^a-z]+/)
    .filter(Boolean);
  const spoken = words.filter((_, at) => !NOT.includes(words[at - 1] ?? ''));
  const says = (stems: readonly string[]) =>
    stems.some((stem) => spoken.some((word) => word.startsWith(stem)));
  const form = formsOf(kind).find((one) => says(FORM_STEMS[one])) ?? null;
  const soilVisible = says(SOIL);
  return { form, soilVisible, unread: form === null && !soilVisible ? text : null };
}
