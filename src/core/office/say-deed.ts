/** What is done to a job beside its log and its fields. */
export const DEEDS = [
  'booked',
  'imported',
  'removed',
  'still',
  'issued',
  'sent',
  'link',
  'link-revoked',
  'media-removed',
  'late',
  'late-seen',
  'brought-back',
  'held-taken',
  'held-left',
  'brought-in',
] as const;
export type DeedKind = (typeof DEEDS)[number];

const WORDS: Readonly<Record<DeedKind, (detail: string) => string>> = {
  booked: () => 'booked the job',
  imported: () => 'read the job in from a file',
  removed: () => 'took the job off the list',
  still: (detail) => `added ${detail}`,
  issued: (detail) => `issued the report, version ${detail}`,
  sent: (detail) => `sent the report to ${detail}`,
  link: (detail) => `made a link for ${detail}`,
  'link-revoked': () => 'took a link back',
  late: (detail) => `handed over work that came in after ${detail}`,
  'late-seen': () => 'looked at what came in late',
  'brought-back': () => 'brought the job back on the list',
  'held-taken': (detail) => `took over what ${detail} sent from a device that had been ended`,
  'held-left': (detail) => `left out what ${detail} sent from a device that had been ended`,
  'brought-in': (detail) => `brought in ${detail}`,
  'media-removed': (detail) => `removed ${detail}, as it is kept no longer than the firm says`,
};

/** What somebody did, as the end of a sentence that begins with their name. */
export const sayDeed = (what: DeedKind, detail: string): string => WORDS[what](detail);
