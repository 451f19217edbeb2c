import { memo, useDeferredValue, useState } from 'react';
import type { Interval } from '#core/base/interval';
import type { StoredJob } from '#core/model/job/history';
import { labelIn } from '#core/model/job/labels';
import { layFrame } from '#core/section/frame';
import { SECTION_HEIGHT } from '#core/section/lateral-view';
import type { Light } from '#ui/TopBar';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { ZoomBox } from '../../ui/section/ZoomBox';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { NamesOf } from '../shared/names';
import { Panel } from '../shared/Panel';
import { useLight } from '../shared/useLight';
import { CoverageBars } from './CoverageBars';
import { GradePanel } from './GradePanel';
import styles from './Lateral.module.css';
import { Ruler } from './Ruler';
import { RunLanes } from './RunLanes';
import { RunTable } from './RunTable';
import { SegmentTable } from './SegmentTable';
import { TiesPanel } from './TiesPanel';
import { ToClear } from './ToClear';
import { useLateral } from './useLateral';
import { useTies } from './useTies';

type Props = { readonly stored: StoredJob; readonly light: Light };

/** All runs as one lateral: laid over one another, tied, and every footage with its ±. */
export const LateralScreen = memo(function LateralScreen({ stored, light: storedLight }: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const [light, switchLight] = useLight(storedLight);
  const [lineId, setLineId] = useState<string | null>(null);
  const [width, setWidth] = useState(1180);
  const [view, setView] = useState<Interval | null>(null);
  const [asked, setAsked] = useState('');
  const atFt = useDeferredValue(readStation(asked));
  const model = useLateral({ inspection, lineId, width, view, atFt });
  const work = useTies(job, model);
  const { shown, section, lanes, runs } = model;
  const apart = runs.filter(({ placed, abandoned }) => !placed && !abandoned).length;

  return (
    <NamesOf inspection={inspection}>
      <div className={styles['screen']}>
        <JobBar
          job={job}
          stage="lateral"
          light={light}
          onLight={switchLight}
          waiting={{ ...model.waiting, lateral: model.misfits.length + apart }}
        />
        <main className={styles['work']}>
          <h1 className="hidden-visually">The lateral of {inspection.job.title}</h1>
          {model.lines.length > 1 && (
            <div className={styles['lines']} role="group" aria-label="Line">
              {model.lines.map(({ id, label }) => (
                <button
                  key={id}
                  type="button"
                  aria-pressed={id === model.lineId}
                  onClick={() => {
                    setLineId(id);
                    setView(null);
                  }}
                >
                  {label}
                </button>
              ))}
            </div>
          )}
          <section aria-label="The Section with its runs">
            <ZoomBox
              shown={shown}
              whole={model.whole}
              width={width}
              height={SECTION_HEIGHT + lanes.height}
              onWidth={setWidth}
              onView={setView}
            >
              <div className={styles['sheet']}>
                <SectionFigure
                  section={section}
                  rows={model.rows}
                  id="lateral"
                  label="The line cut open from the side"
                />
                {runs.length === 0 ? (
                  <p className={styles['none']}>
                    Runs are laid here, one under the other, once there are some. Start one on
                    Scope.
                  </p>
                ) : (
                  <RunLanes
                    lanes={lanes}
                    width={width}
                    held={work.held}
                    chosenTie={work.chosen}
                    atX={atFt === null ? null : layFrame(shown, width, SECTION_HEIGHT).xOf(atFt)}
                    onHold={work.hold}
                    onTie={(from, to) => work.tie([from, to])}
                    onChoose={work.choose}
                  />
                )}
              </div>
            </ZoomBox>
          </section>
          <p className={styles['said']} role="status">
            {work.held
              ? `${work.nameOf(work.held)} on ${labelIn(inspection.runs, work.held.runId)} picked up: now the same thing on another run. Escape lets go.`
              : work.said}
            {work.dropped && !work.held && (
              <button type="button" onClick={work.undo}>
                Undo
              </button>
            )}
          </p>
          <div className={styles['columns']}>
            <div>
              <TiesPanel model={model} spans={inspection.spans ?? []} work={work} />
              <Panel id="clear" title="Before the report" count={model.checks.length}>
                <ToClear jobId={inspection.job.id} checks={model.checks} />
              </Panel>
            </div>
            <div>
              <Panel id="at" title="What is at …?">
                <Ruler asked={asked} at={model.at} onAsk={setAsked} />
              </Panel>
              <Panel id="runs" title="Runs" count={runs.length}>
                <RunTable
                  runs={runs}
                  inspection={inspection}
                  onSetup={(setup) => job.change({ what: 'run', setup })}
                  onReference={(referenceRunId) =>
                    job.change({ what: 'facts', facts: { job: { referenceRunId } } })
                  }
                />
              </Panel>
              <Panel id="coverage" title="Seen and not seen">
                <CoverageBars
                  coverage={model.coverage}
                  runs={model.runCoverage}
                  reached={model.reached}
                />
              </Panel>
            </div>
            <div>
              <Panel id="grade" title="Grade and water">
                <GradePanel grade={model.grade} held={model.held} narrowings={model.narrowings} />
              </Panel>
            </div>
          </div>
          <Panel id="pipe" title="The pipe, piece by piece" count={model.segments.length}>
            <SegmentTable
              segments={model.segments}
              onLife={(material, life) => {
                const { [material]: _old, ...others } = inspection.settings.usualLives ?? {};
                const laid = life ? { ...others, [material]: life } : others;
                const usualLives = Object.keys(laid).length === 0 ? null : laid;
                job.change({ what: 'facts', facts: { settings: { usualLives } } });
              }}
            />
          </Panel>
        </main>
      </div>
    </NamesOf>
  );
});

/** A station as typed; `null` when it is none. A comma serves as a point, and a true minus as a hyphen. */
function readStation(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  return /^-?\d+(\.\d*)?$/.test(plain) ? Number(plain) : null;
}
