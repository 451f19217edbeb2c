import { type ReactNode, Suspense } from 'react';
import { useReady } from './useReady';

type Props = {
  /** What stands there until the part has come. */
  readonly meanwhile?: ReactNode;
  readonly children: ReactNode;
};

/** A part that is fetched once the screen has come alive: what it needs holds nothing else up, and no page from the server has it. */
export function Later({ meanwhile = null, children }: Props) {
  return useReady() ? <Suspense fallback={meanwhile}>{children}</Suspense> : meanwhile;
}
