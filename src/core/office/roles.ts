/** What people of a firm do with Chert, the one who may do most first. */
export const ROLES = ['owner', 'office', 'inspector', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** Somebody with an account, as pages and changes know them. */
export type Person = {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
};

export const ROLE_WORDS: Readonly<Record<Role, { readonly name: string; readonly may: string }>> = {
  owner: { name: 'Owner', may: 'Everything, and who has an account.' },
  office: {
    name: 'Office',
    may: 'Books, assigns, sends reports and keeps the prices. Grades nothing.',
  },
  inspector: {
    name: 'Inspector',
    may: 'Works on the jobs that are theirs, and reads the others.',
  },
  reader: { name: 'Reader', may: 'Reads, and changes nothing.' },
};

/**
 * What somebody may ask of Chert. `open`: anybody, signed in or not. `read`: every job and its papers. `book`: a new job.
 * `agree`: what was agreed about a job, and taking it off the list. `log`: what was seen, how it is judged, and the report.
 * `send`: links and mail. `mail`: the firm's outbox. `own`: one's own account. `set`: the rig and words of one's own.
 * `firm`: the firm's name, terms and prices. `people`: accounts, and how long things are kept.
 */
export const RIGHTS = [
  'open',
  'read',
  'book',
  'agree',
  'log',
  'send',
  'mail',
  'own',
  'set',
  'firm',
  'people',
] as const;
export type Right = (typeof RIGHTS)[number];

/** `own`: on the jobs that are theirs alone. */
const MAY: Readonly<Record<Role, Readonly<Partial<Record<Right, 'any' | 'own'>>>>> = {
  owner: {
    read: 'any',
    book: 'any',
    agree: 'any',
    log: 'any',
    send: 'any',
    mail: 'any',
    own: 'any',
    set: 'any',
    firm: 'any',
    people: 'any',
  },
  office: {
    read: 'any',
    book: 'any',
    agree: 'any',
    send: 'any',
    mail: 'any',
    own: 'any',
    set: 'any',
    firm: 'any',
  },
  inspector: {
    read: 'any',
    book: 'any',
    agree: 'own',
    log: 'own',
    send: 'own',
    mail: 'own',
    own: 'any',
    set: 'any',
  },
  reader: { read: 'any', own: 'any' },
};

/**
 * Whether a role has a right.
 *
 * @param isTheirs whether what is asked about is a job of that person's own, or mail about one.
 */
export function hasRight(role: Role, right: Right, isTheirs: boolean): boolean {
  if (right === 'open') return true;
  const may = MAY[role][right];
  return may === 'any' || (may === 'own' && isTheirs);
}

/** Parts of a job that say what was agreed, not what was seen or how it is judged. */
const AGREED = new Set(['job', 'property', 'accessPoints']);
/** Fields of the agreement that judge: whose duty, by which profile and rules. */
const JUDGING = new Set(['profile', 'responsibility', 'minFallInPerFt', 'localRules', 'scope']);

/** The right that it takes to set a field of a job. */
export function rightToSet([section, field]: readonly string[]): 'agree' | 'log' {
  if (section === undefined || !AGREED.has(section)) return 'log';
  return section === 'job' && JUDGING.has(field ?? '') ? 'log' : 'agree';
}
