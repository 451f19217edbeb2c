import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/**
 * Whether the screen has come alive. Until then its fields are disabled: what is typed into a page
 * that no script watches yet would be lost.
 */
export function useReady(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
