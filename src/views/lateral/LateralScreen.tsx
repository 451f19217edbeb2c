import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Interval } from '#core/base/interval';
import { foldLog } from '#core/log/fold';
import { sayEntry } from '#core/log/say-entry';
import type { Inspection, Tie } from '#core/job/inspection';
import { layFrame } from '#core/section/frame';
import type { Spot } from '#core/measure/join/tie-spots';
import { parseTie } from '#core/measure/join/parse-tie';
import type { Light } from '#ui/TopBar';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { ZoomBox } from '../../ui/section/ZoomBox';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { useLight } from '../shared/useLight';
import { AddTie } from './AddTie';
import { CoverageBars } from './CoverageBars';
import { GradePanel } from './GradePanel';
import styles from './Lateral.module.css';
import { SECTION_HEIGHT } from './model';
import { Panel } from './Panel';
import { Ruler } from './Ruler';
import { RunLanes } from './RunLanes';
import { RunTable } from './RunTable';
import { SegmentTable } from './SegmentTable';
import { Suggestions } from './Suggestions';
import { type Before, TieList } from './TieList';
import { tieActions } from './ties';
import { ToClear } from './ToClear';
import { useLateral } from './useLateral';

type Props = { readonly inspection: Inspection; readonly light: Light };

const NOWHERE: Before = new Map();

/** All runs as one lateral: laid over one another, tied, and every footage with its ±. */
export function LateralScreen({ inspection: stored, light: storedLight }: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const [light, switchLight] = useLight(storedLight);
  const [lineId, setLineId] = useState<string | null>(null);
  const [width, setWidth] = useState(1180);
  const [view, setView] = useState<Interval | null>(null);
  const [asked, setAsked] = useState('');
  const [held, setHeld] = useState<Spot | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const [dropped, setDropped] = useState<Tie | null>(null);
  const [before, setBefore] = useState<Before>(NOWHERE);
  const atFt = useDeferredValue(readStation(asked));
  const model = useLateral({ inspection, lineId, width, view, atFt });
  const logs = useMemo(
    () => new Map(inspection.runs.map((run) => [run.id, foldLog(run.entries)])),
    [inspection],
  );
  const actions = tieActions(job, model.ties);
  const readingOf = (runId: string, entryId: string) =>
    logs.get(runId)?.byId.get(entryId)?.readingFt ?? null;
  const nameOf = ({ runId, entryId }: Spot) => {
    const entry = logs.get(runId)?.byId.get(entryId);
    return entry ? sayEntry(entry).title : '';
  };

  useEffect(() => {
    const query = new URLSearchParams(window.location.search);
    const entry = query.get('entry');
    const tie = stored.ties.find(({ sightings }) => sightings.some(({ entryId }) => entryId === entry)); // prettier-ignore
    if (tie) setChosen(tie.id);
  }, [stored]);

  /** Remembers where everything was, so that what a change moved can be told. */
  const settle = (words: string) => {
    setSaid(words);
    setDropped(null);
    setHeld(null);
    const now = model.ties.flatMap(({ id, stationFt, sigmaFt }) =>
      stationFt === null ? [] : [[id, { stationFt, sigmaFt: sigmaFt! }] as const],
    );
    setBefore(new Map(now));
  };
  const tie = (from: Spot, to: Spot, label = nameOf(from)): string | null => {
    const tying = actions.tie(from, to, label);
    if (!tying.ok) {
      setSaid(tying.why);
      setHeld(null);
      return tying.why;
    }
    settle(tying.said);
    setChosen(tying.tie.id);
    return null;
  };
  const drop = (id: string) => {
    const gone = inspection.ties.find((one) => one.id === id) ?? null;
    actions.drop(id);
    settle(`${id} dropped.`);
    setDropped(gone);
  };
  const onWidth = useCallback((next: number) => setWidth(next), []);
  const { shown, section, lanes, runs } = model;
  const frame = layFrame(shown, width, SECTION_HEIGHT);
  const blockers = model.checks.filter(({ level }) => level === 'blocker').length;
  const waiting = model.misfits.length + runs.filter(({ placed, abandoned }) => !placed && !abandoned).length; // prettier-ignore
  const example = runs.length > 1 ? `${runs[0]!.id} 27.5 = ${runs[1]!.id} 14, kitchen tee` : 'R1 27.5 = R2 14'; // prettier-ignore

  return (
    <div className={styles['screen']}>
      <JobBar
        job={job}
        stage="lateral"
        light={light}
        onLight={switchLight}
        waiting={{ scope: blockers, lateral: waiting }}
      />
      <main className={styles['work']}>
        <h1 className="hidden-visually">The lateral of {inspection.job.title}</h1>
        {model.lines.length > 1 && (
          <fieldset className={styles['lines']}>
            <legend className="hidden-visually">Line</legend>
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
          </fieldset>
        )}
        <section aria-label="The Section with its runs">
          <ZoomBox
            shown={shown}
            whole={model.whole}
            width={width}
            height={SECTION_HEIGHT + lanes.height}
            onWidth={onWidth}
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
                <p className={styles['hint']}>Runs are laid here, one under the other, once there are some.</p>
              ) : (
                <RunLanes
                  lanes={lanes}
                  width={width}
                  held={held}
                  chosenTie={chosen}
                  atX={atFt === null ? null : frame.xOf(atFt)}
                  onHold={setHeld}
                  onTie={tie}
                  onChoose={setChosen}
                />
              )}
            </div>
          </ZoomBox>
        </section>
        <p className={styles['said']} role="status">
          {held ? `${nameOf(held)} on ${held.runId} picked up: now the same thing on another run. Escape lets go.` : said}
          {dropped && !held && (
            <button
              type="button"
              onClick={() => {
                actions.put(dropped);
                settle(`${dropped.id} is back.`);
              }}
            >
              Undo
            </button>
          )}
        </p>
        <div className={styles['columns']}>
          <div>
            <Panel id="ties" title="Ties" count={model.ties.length}>
              <AddTie
                example={example}
                onLine={(line) => {
                  const typed = parseTie(line, new Map(runs.map(({ id }) => [id, logs.get(id)!])));
                  if (!typed.ok) return typed.why;
                  const [first, ...rest] = typed.sightings;
                  for (const spot of rest) {
                    const wrong = tie(first!, spot, typed.label || nameOf(first!));
                    if (wrong !== null) return wrong;
                  }
                  return null;
                }}
              />
              {model.ties.length === 0 && (
                <p className={styles['hint']}>
                  A tie is one thing that two runs saw: a tee, a change of pipe, the property line. Drag
                  from one run to the other, or type both footages. Three ties and Chert can tell a wrong one.
                </p>
              )}
              <TieList
                ties={model.ties}
                misfits={model.misfits}
                before={before}
                chosen={chosen}
                readingOf={readingOf}
                onChoose={(id) => setChosen(id === chosen ? null : id)}
                onDrop={drop}
                onRemedy={(remedy) => {
                  settle('Done; see what moved.');
                  actions.remedy(remedy);
                }}
              />
              <Suggestions
                suggestions={model.suggestions}
                readingOf={readingOf}
                onAccept={(offers) => {
                  settle(offers.length === 1 ? 'Tied.' : `${offers.length} tied.`);
                  actions.accept(offers);
                }}
                onRefuse={actions.refuse}
              />
            </Panel>
            <Panel id="clear" title="Before the report" count={model.checks.length}>
              <ToClear jobId={inspection.job.id} checks={model.checks} />
            </Panel>
          </div>
          <div>
            <Panel id="at" title="What is at …?">
              <Ruler asked={asked} at={model.at} onAsk={setAsked} />
            </Panel>
            <Panel id="runs" title="Runs" count={runs.length}>
              <RunTable runs={runs} />
            </Panel>
            <Panel id="coverage" title="Seen and not seen">
              <CoverageBars coverage={model.coverage} runs={model.runCoverage} reached={model.reached} />
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
              const usualLives = life ? { ...others, [material]: life } : others;
              const isNone = Object.keys(usualLives).length === 0;
              job.change({ what: 'facts', facts: { settings: { usualLives: isNone ? null : usualLives } } }); // prettier-ignore
            }}
          />
        </Panel>
      </main>
    </div>
  );
} // prettier-ignore

/** A station as typed; `null` when it is none. A comma serves as a point, and a true minus as a hyphen. */
function readStation(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  return /^-?\d+(\.\d*)?$/.test(plain) ? Number(plain) : null;
}
