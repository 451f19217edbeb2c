/** The states by the two letters that addresses are written with (USPS Publication 28, appendix B), and the capital's district. */
export const STATES = {
  AL: 'Alabama',
  AK: 'Alaska',
  AZ: 'Arizona',
  AR: 'Arkansas',
  CA: 'California',
  CO: 'Colorado',
  CT: 'Connecticut',
  DE: 'Delaware',
  DC: 'District of Columbia',
  FL: 'Florida',
  GA: 'Georgia',
  HI: 'Hawaii',
  ID: 'Idaho',
  IL: 'Illinois',
  IN: 'Indiana',
  IA: 'Iowa',
  KS: 'Kansas',
  KY: 'Kentucky',
  LA: 'Louisiana',
  ME: 'Maine',
  MD: 'Maryland',
  MA: 'Massachusetts',
  MI: 'Michigan',
  MN: 'Minnesota',
  MS: 'Mississippi',
  MO: 'Missouri',
  MT: 'Montana',
  NE: 'Nebraska',
  NV: 'Nevada',
  NH: 'New Hampshire',
  NJ: 'New Jersey',
  NM: 'New Mexico',
  NY: 'New York',
  NC: 'North Carolina',
  ND: 'North Dakota',
  OH: 'Ohio',
  OK: 'Oklahoma',
  OR: 'Oregon',
  PA: 'Pennsylvania',
  RI: 'Rhode Island',
  SC: 'South Carolina',
  SD: 'South Dakota',
  TN: 'Tennessee',
  TX: 'Texas',
  UT: 'Utah',
  VT: 'Vermont',
  VA: 'Virginia',
  WA: 'Washington',
  WV: 'West Virginia',
  WI: 'Wisconsin',
  WY: 'Wyoming',
} as const;

export type State = keyof typeof STATES;
export const STATE_CODES = Object.keys(STATES) as readonly State[];

const COUNTRY = /[\s,]+(?:USA?|U\.S\.A?\.|United States(?: of America)?)[\s.]*$/i;
const ZIP = /[\s,]+\d{5}(?:-\d{4})?\s*$/;
const NAMES = new Map(STATE_CODES.map((code) => [STATES[code].toLowerCase(), code]));

/**
 * The state at the end of an address: "…, OR 97201", "…, Oregon", "… TX 75001". Two letters without a ZIP code
 * behind them count only behind a comma ("12 Elm CT" is a court).
 *
 * @returns `null` where the address names none.
 */
export function stateOf(address: string): State | null {
  const told = address.trim().replace(COUNTRY, '');
  const rest = told.replace(ZIP, '');
  const hasZip = rest.length < told.length;
  const last = rest.slice(rest.lastIndexOf(',') + 1).trim();
  const named = NAMES.get(last.toLowerCase());
  if (named && (hasZip || rest.includes(','))) return named;
  const [letters = ''] = /[A-Z]{2}$/.exec(last) ?? [];
  const isAlone = last === letters && rest.includes(',');
  return letters in STATES && (hasZip || isAlone) ? (letters as State) : null;
}
