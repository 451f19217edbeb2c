import { useMemo, useState } from 'react';
import type { Interval } from '#core/base/interval';
import type { Assessment } from '#core/judge/assessment';
import type { Finding } from '#core/judge/finding';
import type { Inspection } from '#core/model/job/inspection';
import type { OwnWork } from '#core/model/job/plans';
import { asOwnWork } from '#core/planning/own-plan';
import type { PlanId } from '#core/planning/plans/plan';
import { atHorizon, repairOf, withOwnPlan } from '#core/planning/repair';
import { layBrackets } from '#core/section/brackets';
import { buildSection, wholeView } from '#core/section/build';
import { tabulateSection } from '#core/section/table';
import { sayBracket } from './say';

export const SECTION_HEIGHT = 204;

/** Works as they would be, shown until the job itself has changed. */
type Moved = { readonly works: readonly OwnWork[]; readonly over: Inspection };

/** What the Repairs screen shows: one computation for cards, lines, brackets and chart. */
export function useRepairs(inspection: Inspection, assessment: Assessment) {
  const [horizon, setHorizon] = useState<number | null>(null);
  const [lastMoved, setMoved] = useState<Moved | null>(null);
  const moved = lastMoved?.over === inspection ? lastMoved : null;
  const [picked, setPicked] = useState<PlanId | null>(null);
  const [selected, setSelected] = useState<number | null>(null);
  const [width, setWidth] = useState(1248);
  const [view, setView] = useState<Interval | null>(null);
  const kept = useMemo(() => repairOf(assessment), [assessment]);
  const repair = useMemo(() => {
    const own = moved ? withOwnPlan(kept, moved.works) : kept;
    return horizon === null ? own : atHorizon(own, horizon);
  }, [kept, moved, horizon]);

  const wanted = picked ?? repair.chosen?.planId ?? repair.pick.planId;
  const shown = repair.plans.find(({ id }) => id === wanted) ?? repair.plans[0]!;
  const section = useMemo(
    () => buildSection(assessment, { width, height: SECTION_HEIGHT, ...(view ? { view } : {}) }),
    [assessment, width, view],
  );
  // Works are known by their place in the kept plan, so that none changes its name while it is moved.
  const own = useMemo<readonly OwnWork[]>(
    () => moved?.works ?? kept.own?.plan.works.map(asOwnWork) ?? [],
    [moved, kept],
  );
  const mainLine = assessment.lateral.lineId;
  const bracketed: readonly OwnWork[] = shown.id === 'own' ? own : shown.works;
  const brackets = useMemo(
    () =>
      layBrackets(
        bracketed.flatMap((work, index) =>
          work.lineId === mainLine
            ? [
                {
                  key: String(index),
                  label: sayBracket(work),
                  fromFt: work.fromFt,
                  toFt: work.toFt,
                },
              ]
            : [],
        ),
        section.frame,
      ),
    [bracketed, mainLine, section],
  );
  const finding: Finding | null =
    assessment.findings.find(({ number }) => number === selected) ?? null;
  return {
    kept,
    repair,
    shown,
    show: setPicked,
    own,
    section,
    rows: tabulateSection(assessment),
    whole: useMemo(() => wholeView(assessment.lateral), [assessment]),
    brackets,
    width,
    setWidth,
    setView,
    finding,
    select: setSelected,
    setHorizon,
    /** Shows works as they would be; `null` shows what is kept. */
    move: (works: readonly OwnWork[] | null) =>
      setMoved(works ? { works, over: inspection } : null),
  };
}
