import { createHash, randomBytes } from 'node:crypto';

/** 256 bits: nobody guesses it. */
const SECRET_BYTES = 32;

export const makeSecret = (): string => randomBytes(SECRET_BYTES).toString('base64url');

/** What is kept of a secret: it lets in whoever has the secret, and tells nothing of it. */
export const hashOfSecret = (secret: string): string =>
  createHash('sha256').update(secret).digest('hex');
