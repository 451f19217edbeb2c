/** A file that goes with a message. */
export type Attachment = { readonly name: string; readonly type: string; readonly bytes: Buffer };

/** A message to one person. */
export type Message = {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly attachments: readonly Attachment[];
};

/** What a mail service says when it has taken a message. */
export type Receipt = { readonly id: string; readonly acceptedAt: string };

/**
 * The door to a mail service. A real one speaks SMTP or a provider's API behind it; the one that ships
 * keeps messages in the outbox, where they can be looked at. It throws when a message is not taken.
 */
export type MailAdapter = { readonly send: (message: Message) => Promise<Receipt> };
