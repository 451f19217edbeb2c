/** What people outside the firm are to it. */
export const CONTACT_KINDS = ['buyer', 'agent', 'seller-agent', 'contractor', 'other'] as const;
export type ContactKind = (typeof CONTACT_KINDS)[number];

export const CONTACT_WORDS: Readonly<Record<ContactKind, string>> = {
  buyer: 'Buyer',
  agent: 'Buyer’s agent',
  'seller-agent': 'Seller’s agent',
  contractor: 'Contractor',
  other: 'Somebody else',
};

/** Somebody outside the firm, kept once; empty text where nothing is known. */
export type Contact = {
  readonly id: string;
  readonly kind: ContactKind;
  readonly name: string;
  readonly firm: string;
  readonly phone: string;
  readonly mail: string;
  readonly note: string;
};
