import { type DefectForm, readForm } from '#core/log/forms';
import type { DefectKind } from '#core/log/vocabulary';

type Formed = { readonly defect: DefectKind; readonly form?: string };

/** The form of a defect as it is drawn; `null` where none was given. */
export function formOf({ defect, form }: Formed): DefectForm | null {
  return readForm(defect, form).form;
}
