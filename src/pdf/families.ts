import { createContext, useContext } from 'react';
import type { Families } from './fonts';

/** The families by which the document that is being printed is set. */
const FamiliesContext = createContext<Families>({ words: [], readings: [] });
export const FamiliesOf = FamiliesContext.Provider;

/** Styles of the letters: words, and readings in mono. */
export function useLetters() {
  const { words, readings } = useContext(FamiliesContext);
  return {
    words: { fontFamily: [...words] as never },
    readings: { fontFamily: [...readings] as never },
  };
}
