import { Refusal } from './answer';

/** The fields of a form that are sent again once it is shown who presses: all but what shows it. */
export const fieldsToSendAgain = (form: FormData | null): (readonly [string, string])[] =>
  [...(form ?? [])].flatMap(([name, value]) =>
    typeof value === 'string' && name !== 'confirm' && name !== 'username'
      ? [[name, value] as const]
      : [],
  );

const FORM = /^(application\/x-www-form-urlencoded|multipart\/form-data)\b/i;

/**
 * Reads the form that a page was posted.
 *
 * @throws a refusal: 415 for another type of content, 400 for a form that cannot be read.
 */
export async function readForm(request: Request): Promise<FormData> {
  const type = request.headers.get('content-type') ?? '';
  if (!FORM.test(type))
    throw new Refusal(
      415,
      'bad-type',
      `Expected a form of Chert’s own pages, got ${type.slice(0, 60) || 'no content type'}. Nothing was changed; go back and press again.`,
    );
  try {
    return await request.formData();
  } catch {
    throw new Refusal(
      400,
      'bad-form',
      'Expected a form, got something that cannot be read as one. Nothing was changed; go back and press again.',
    );
  }
}
