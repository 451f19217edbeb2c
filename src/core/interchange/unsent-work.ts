import type { Edit } from '../model/job/edits';
import type { Entry } from '../model/log/entry';

export const UNSENT_FORMAT = 'chert-unsent-work';

/** One change that a device held and had not sent. */
export type UnsentChange = {
  readonly jobId: string;
  /** The change's own id: read in twice, it is stored once. */
  readonly id: string;
  /** The account of the one who made it, as the file says; absent where Chert had no people. */
  readonly by?: string;
  readonly saidAt: string;
  /** The revision of the job that the device saw. */
  readonly base: number;
  readonly change:
    | { readonly what: 'entry'; readonly runId: string; readonly entry: Entry }
    | { readonly what: 'edits'; readonly edits: readonly Edit[] }
    | { readonly what: 'media'; readonly mediaId: string };
};

/** A still or a voice note of a device, as base64. */
export type UnsentMedia = {
  readonly jobId: string;
  readonly id: string;
  readonly bytes: string;
};

/** What a device had not sent, as a file: read in on *Jobs* of the Chert that it was meant for. */
export type UnsentWork = {
  readonly format: typeof UNSENT_FORMAT;
  readonly version: 1;
  readonly installation: string;
  /** What the device is known by. */
  readonly device: string;
  readonly savedAt: string;
  readonly changes: readonly UnsentChange[];
  readonly media: readonly UnsentMedia[];
};

/** Whether a text is a file of unsent work, by its beginning. */
export const isUnsentWork = (text: string): boolean =>
  /^\s*\{\s*"format"\s*:\s*"chert-unsent-work"/.test(text);
