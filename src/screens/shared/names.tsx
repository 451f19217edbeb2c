import { createContext, type ReactNode, useContext, useMemo } from 'react';
import type { Inspection } from '#core/model/job/inspection';
import { labelOf } from '#core/model/job/labels';

const Names = createContext<ReadonlyMap<string, string>>(new Map());

/** Lets everything inside call runs and access points as people do. */
export function NamesOf(props: { readonly inspection: Inspection; readonly children: ReactNode }) {
  const { runs, accessPoints } = props.inspection;
  const names = useMemo(
    () => new Map([...accessPoints, ...runs].map((one) => [one.id, labelOf(one)])),
    [runs, accessPoints],
  );
  return <Names value={names}>{props.children}</Names>;
}

/** What a run or an access point is called, by its id ("R2", "A"). */
export function useNameOf(): (id: string) => string {
  const names = useContext(Names);
  return (id) => names.get(id) ?? id;
}
