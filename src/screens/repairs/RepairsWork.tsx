import { lazy, memo } from 'react';
import type { RepairActions } from '#client/actions/repairs';
import type { Assessment } from '#core/judge/assessment';
import type { Inspection } from '#core/model/job/inspection';
import { DEFAULT_SETTINGS } from '#core/model/job/settings';
import { CHERT_BOOK } from '#core/model/prices/price-book';
import { asOwnWork } from '#core/planning/own-plan';
import type { Preferences } from '#core/site/equipment';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { ZoomBox } from '../../ui/section/ZoomBox';
import { Later } from '../shared/Later';
import { BeforeDeciding, BeforeDigging } from './BeforeDeciding';
import { Controls } from './Controls';
import { Futures } from './Futures';
import { OwnPlan } from './OwnPlan';
import { PlanCard } from './PlanCard';
import { PlanDetail } from './PlanDetail';
import plans from './Plans.module.css';
import { Quotes } from './Quotes';
import styles from './Repairs.module.css';
import { useFutures } from './useFutures';
import { SECTION_HEIGHT, useRepairs } from './useRepairs';
import { WholeRuns } from './WholeRuns';
import { WhyPick } from './WhyPick';
import { WorkBrackets } from './WorkBrackets';

const AssumptionsPanel = lazy(async () => ({
  default: (await import('./AssumptionsPanel')).AssumptionsPanel,
}));

type Props = {
  readonly inspection: Inspection;
  readonly assessment: Assessment;
  readonly preferences: Preferences;
  readonly actions: RepairActions;
};

/** The works under the Section, the plans and all that speaks for or against them. */
export const RepairsWork = memo(function RepairsWork({
  inspection,
  assessment,
  preferences,
  actions,
}: Props) {
  const model = useRepairs(inspection, assessment);
  const { repair, shown, own, brackets, section } = model;
  const futures = useFutures(inspection, model.kept);
  const mostUsd = Math.max(1, ...repair.plans.map(({ cost }) => cost.high));
  const weighedOf = (id: string) => repair.pick.weighed.find(({ planId }) => planId === id)!;
  const keepOwn = (works: readonly (typeof own)[number][]) => {
    const kept = works.map(asOwnWork);
    model.move(kept);
    actions.keepOwn(kept);
    model.show('own');
  };

  return (
    <main className={styles['work']}>
      <h1 className="hidden-visually">Repairs of {inspection.job.title}</h1>
      <Controls
        jobId={inspection.job.id}
        horizonYears={repair.weighing.horizonYears}
        profile={inspection.job.profile}
        book={assessment.settings.priceBook}
        books={preferences.priceBooks ?? []}
        onHorizon={(years, isDone) => {
          model.setHorizon(years);
          if (!isDone || years === assessment.settings.horizonYears) return;
          actions.set('horizonYears', years === DEFAULT_SETTINGS.horizonYears ? null : years);
        }}
        onProfile={actions.setProfile}
        onBook={(book) => actions.set('priceBook', book.id === CHERT_BOOK.id ? null : book)}
      />
      <section aria-label="The Section with the works of the plan">
        <ZoomBox
          shown={section.frame.view}
          whole={model.whole}
          width={model.width}
          height={SECTION_HEIGHT + brackets.height}
          centerFt={model.finding?.placed ? model.finding.span.fromFt : undefined}
          onWidth={model.setWidth}
          onView={model.setView}
        >
          <SectionFigure
            section={section}
            rows={model.rows}
            id="repairs"
            label="The line cut open from the side"
            selected={model.finding?.number ?? null}
            onSelect={model.select}
          />
          <WorkBrackets
            brackets={brackets}
            frame={section.frame}
            stretches={
              new Map(
                (shown.id === 'own' ? own : shown.works).map((work, index) => [
                  String(index),
                  work,
                ]),
              )
            }
            isEditable={shown.id === 'own'}
            onStretch={(key, stretch, isDone) => {
              const works = own.map((work, index) =>
                String(index) === key ? { ...work, ...stretch } : work,
              );
              if (isDone) keepOwn(works);
              else model.move(works);
            }}
          />
        </ZoomBox>
      </section>
      <div className={plans['cards']}>
        {repair.plans.map((plan) => (
          <PlanCard
            key={plan.id}
            plan={plan}
            weighed={weighedOf(plan.id)}
            horizonYears={repair.weighing.horizonYears}
            findings={assessment.findings}
            names={assessment.names}
            mostUsd={mostUsd}
            isPick={plan.id === repair.pick.planId}
            isClose={repair.pick.close.includes(plan.id)}
            isChosen={plan.id === repair.chosen?.planId}
            isShown={plan.id === shown.id}
            selectedId={model.finding?.id ?? null}
            brokenCount={plan.id === 'own' ? (repair.own?.broken.length ?? 0) : 0}
            onShow={() => model.show(plan.id)}
          />
        ))}
      </div>
      <div className={styles['columns']}>
        <div>
          <Futures repair={repair} model={futures} />
          <PlanDetail
            jobId={inspection.job.id}
            plan={shown}
            isPick={shown.id === repair.pick.planId}
            chosen={repair.chosen}
            refusals={repair.refusals.get(shown.id) ?? []}
            findings={assessment.findings}
            names={assessment.names}
            onChoose={(reason) => actions.choosePlan(shown, reason)}
            onUnchoose={() => repair.chosen && actions.drop(repair.chosen.decisionId)}
            onMakeOwn={() => keepOwn(shown.works)}
          />
        </div>
        <div>
          <WhyPick repair={repair} />
          <WholeRuns repair={repair} />
          <BeforeDigging repair={repair} plan={shown} />
          <BeforeDeciding repair={repair} />
          <OwnPlan
            site={repair.site}
            planned={repair.own}
            works={own}
            finding={model.finding}
            onKeep={keepOwn}
            onDrop={() => {
              model.move(null);
              model.show(null);
              actions.dropOwn();
            }}
          />
          <Quotes
            site={repair.site}
            plan={shown}
            decisions={inspection.decisions}
            onKeep={actions.keepQuote}
            onDrop={actions.drop}
          />
          <Later>
            <AssumptionsPanel
              differing={inspection.settings.assumptions ?? {}}
              onKeep={(assumptions) =>
                actions.set(
                  'assumptions',
                  Object.keys(assumptions).length === 0 ? null : assumptions,
                )
              }
            />
          </Later>
        </div>
      </div>
    </main>
  );
});
