import type { DefectKind } from '#core/catalogue/defects/index';
import { type DefectForm } from '#core/catalogue/forms';
import { readForm } from '#core/catalogue/read-form';

type Formed = { readonly defect: DefectKind; readonly form?: string };

/** The form of a defect as it is drawn; `null` where none was given. */
export function formOf({ defect, form }: Formed): DefectForm | null {
  return readForm(defect, form).form;
}
