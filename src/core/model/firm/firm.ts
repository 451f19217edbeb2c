import { type State, stateOf, STATES } from './states';

/** A picture kept as text: "data:image/png;base64,…". */
export type PictureUrl = string;

/** The parts of what a firm has to say of its inspections, in the order in which they are printed. */
export const FIRM_TEXTS = ['standard', 'limits', 'reliance', 'terms'] as const;
export type FirmText = (typeof FIRM_TEXTS)[number];

/** What one inspector signs with. */
export type Signing = { readonly license?: string; readonly signature?: PictureUrl };

/** Who inspects and signs: printed in every report, as far as it is filled in. */
export type Firm = {
  readonly name?: string;
  readonly address?: string;
  readonly phone?: string;
  readonly email?: string;
  /** As it is printed, with the state and kind ("TX home inspector 1234"). */
  readonly license?: string;
  /** Who signs where a job names nobody else. */
  readonly inspector?: string;
  readonly logo?: PictureUrl;
  readonly signature?: PictureUrl;
  /** The firm's or the state's own words, where they are not Chert's; an empty one is not printed. */
  readonly texts?: Partial<Readonly<Record<FirmText, string>>>;
  /** What a state asks to be said on top, printed where a house's address names that state. */
  readonly stateTexts?: Partial<Readonly<Record<State, string>>>;
  /** The day on which the texts were last changed: their version. */
  readonly textsOn?: string;
  /** Whose job it is, in a firm of several inspectors, and what they sign with; absent: the firm's own. */
  readonly signer?: Signing & { readonly name: string };
};

export const FIRM_TEXT_TITLES: Readonly<Record<FirmText, string>> = {
  standard: 'What was looked at',
  limits: 'What was not looked at',
  reliance: 'For whom this report is',
  terms: 'Terms',
};

/** A sober start, to be read by the firm's lawyer before anybody relies on it. */
export const CHERT_TEXTS: Readonly<Record<FirmText, string>> = {
  standard:
    'A sewer scope is a look at the inside of the pipe by camera, from the openings that this report names and as far as it says. What the camera shows is told with its place, its likely cause and what to do.',
  limits:
    'Only the inside of the pipe is looked at, and only where this report says so. The ground, the outside of the pipe, its strength and what lies beyond the point that was reached are not part of it; nor are digging, taking apart and tests under pressure. A sewer can change the day after.',
  reliance:
    'This report was made for the person named in it, for the decision it names. Others who read it should have the sewer looked at for themselves.',
  terms:
    'This is an opinion after a look, not a guarantee. Prices are planning figures and no offer. Licensed contractors and the local authority have the last word on what is done and how.',
};

/** What a firm says under a title; `null` where it says nothing. */
export function firmText({ texts = {} }: Firm, part: FirmText): string | null {
  const said = texts[part] ?? CHERT_TEXTS[part];
  return said.trim() === '' ? null : said;
}

/** What a firm says on top in the state of an address, with the state's name; `null` where it says nothing. */
export function stateText(
  { stateTexts = {} }: Firm,
  address: string,
): { readonly name: string; readonly text: string } | null {
  const state = stateOf(address);
  const text = state === null ? undefined : stateTexts[state]?.trim();
  return state === null || !text ? null : { name: STATES[state], text };
}

/** Whether a firm has words for states and an address names none: nobody can tell whether they belong in. */
export const missesState = ({ stateTexts = {} }: Firm, address: string): boolean =>
  Object.keys(stateTexts).length > 0 && stateOf(address) === null;

/** A firm's name and what reaches it, in one line ("12 Hill Road · 555 0100 · office@hill.example"). */
export const contactLine = ({ address, phone, email }: Firm): string =>
  [address, phone, email].filter(Boolean).join(' · ');
