import { timingSafeEqual } from 'node:crypto';

/** Compares in a time that tells nothing of where two texts differ. */
export function isSame(a: string, b: string): boolean {
  const [bytesA, bytesB] = [Buffer.from(a), Buffer.from(b)];
  return bytesA.length === bytesB.length && timingSafeEqual(bytesA, bytesB);
}
