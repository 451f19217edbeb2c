import type { SignedIn } from '../people/sessions';

/** The header by which the front tells the app who asks. What came from outside under its name is dropped there. */
export const WHO_HEADER = 'x-chert-who';

export const writeWho = (who: SignedIn): string => encodeURIComponent(JSON.stringify(who));

/** Who asks, as the front said; `null` where Chert has no people, or nobody is signed in. */
export function readWho(text: string | null | undefined): SignedIn | null {
  return text ? (JSON.parse(decodeURIComponent(text)) as SignedIn) : null;
}
