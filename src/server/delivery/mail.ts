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
export type Receipt = { readonly answer: string };

/** Why a mail service did not take a message, and whether it ever will. */
export class NotTaken extends Error {
  readonly isFinal: boolean;
  constructor(message: string, isFinal: boolean) {
    super(message);
    this.isFinal = isFinal;
  }
}

/** The door to a mail service. What it does not take it throws, as `NotTaken`. */
export type MailAdapter = { readonly send: (message: Message, id: string) => Promise<Receipt> };
