import {
  Camera,
  CircleStop,
  CircleX,
  Crosshair,
  Disc,
  Droplets,
  Hourglass,
  type LucideIcon,
  RotateCcw,
  Sparkles,
} from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { CounterReading } from '#client/gear/gear';
import type { RigGear, Speed } from '#client/gear/rig-gear';
import { rememberRig, type RigMemory } from '#client/gear/rig-memory';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { EntryDraft } from '#core/model/log/entry';
import { sayClock } from '#core/recording/say-moment';
import type { Motion, RigState } from '#core/simulator/rig';
import type { Equipment } from '#core/site/equipment';
import type { RunRecorder } from '../device/useRecorder';
import { DriveButtons } from './DriveButtons';
import styles from './RigPanel.module.css';
import { useRigGear } from './useRigGear';
import { useRigKeys } from './useRigKeys';

export type RigPanelProps = {
  readonly inspection: Inspection;
  readonly run: Run;
  readonly equipment: Equipment;
  readonly memory: RigMemory;
  /** What a still taken now belongs to, in words; `null` when it waits for the next thing logged. */
  readonly stillOf: string | null;
  /** A still of what is chosen in the log, shown over the picture of now. */
  readonly shown: { readonly url: string; readonly title: string } | null;
  readonly onReading: (reading: CounterReading) => void;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
  /** A still was taken; its picture takes a moment. */
  readonly onStill: (still: Promise<Blob | null>) => void;
  /** Minutes were let go by in the rig: entries from now on are this much later. */
  readonly onWait: (milliseconds: number) => void;
  readonly recorder: RunRecorder;
  readonly onClose: () => void;
};

const WAIT_S = 60;

/** The simulated rig on Scope: its picture, and everything a hand does at the reel. */
export function RigPanel(props: RigPanelProps) {
  const { inspection, run, equipment, memory, onReading, onAppend, onStill } = props;
  const box = useRef<HTMLDivElement>(null);
  const { gear, trouble } = useRigGear(run, equipment, memory);
  const [state, setState] = useState<RigState | null>(null);
  const [speed, setSpeed] = useState<Speed>('steady');
  const [fixtureName, setFixtureName] = useState<string | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const jobId = inspection.job.id;
  const { isRecording, hearCounter } = props.recorder;

  useEffect(() => {
    if (!gear || !box.current) return;
    const hear = (reading: CounterReading) => {
      setState(gear.state());
      onReading(reading);
      hearCounter(reading);
      rememberRig(jobId, run.id, { ...memory, place: gear.place() });
    };
    const stopListening = gear.counter!.listen(hear);
    const takeDown = gear.picture!.showIn(box.current);
    hear(gear.counter!.read());
    return () => {
      stopListening();
      takeDown();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the memory only says where the rig began
  }, [gear, jobId, run.id, onReading]);

  const here = useCallback((rig: RigGear) => {
    const { readingFt, pass } = rig.counter!.read();
    return { pass, readingFt: Math.round(readingFt * 10) / 10 };
  }, []);
  const fixture = gear?.fixtures.find(({ name }) => name === fixtureName) ?? gear?.fixtures[0];
  const isRunning = state?.running !== null && state?.running !== undefined;

  const acts = {
    drive: (motion: Motion, slowly = false) => gear?.drive(motion, slowly ? 'slow' : speed),
    toggleWater: () => {
      if (!gear || !fixture) return;
      gear.runWater(isRunning ? null : fixture);
      onAppend([
        isRunning
          ? { kind: 'water', ...here(gear), state: 'draining' }
          : { kind: 'water', ...here(gear), state: 'running', source: fixture.name },
      ]);
    },
    wash: () => gear?.wash(),
    locate: () => {
      if (!gear) return;
      const found = gear.locator!.locate();
      const isBlocked = found.blockedBy !== undefined;
      setNotice(isBlocked ? `Not found from above: ${found.blockedBy}.` : null);
      onAppend([
        { kind: 'locate', ...here(gear), ...(isBlocked ? {} : { mark: 'white paint' }), ...found },
      ]);
    },
    still: () => {
      const taking = gear?.picture?.still() ?? Promise.resolve(null);
      onStill(taking);
      void taking.then((still) =>
        setNotice(still ? null : 'There is no picture to keep yet: try again in a moment.'),
      );
    },
    zero: () => gear?.counter?.zero(),
    wait: () => {
      gear?.wait(WAIT_S);
      props.onWait(WAIT_S * 1000);
      setNotice('A minute has gone by.');
    },
  };
  useRigKeys(acts);

  const record = () => {
    const stream = gear?.picture?.stream();
    if (isRecording) props.recorder.stop();
    else if (stream) props.recorder.start(stream, 'rig', gear?.counter?.read().readingFt ?? null);
  };
  const close = () => {
    props.recorder.stop();
    rememberRig(jobId, run.id, null);
    props.onClose();
  };

  return (
    <section className={styles['rig']} aria-label="Simulated rig">
      <div
        ref={box}
        className={styles['picture']}
        role="img"
        aria-label={`Picture of the simulated camera at ${state ? Math.max(0, state.readingFt).toFixed(1) : '0.0'} ft`}
        data-ready={gear !== null}
      >
        {!gear && !trouble && <p>The rig is being set up …</p>}
        {trouble && <p role="alert">{trouble}</p>}
      </div>
      {props.recorder.trouble && <p role="alert">{props.recorder.trouble}</p>}
      {props.shown && (
        <figure className={styles['shown']}>
          <img src={props.shown.url} alt={`Still: ${props.shown.title}`} />
          <figcaption>{props.shown.title}</figcaption>
        </figure>
      )}
      <p className={styles['say']} role="status" data-warn={state?.warning !== null}>
        {state?.warning ?? notice ?? sayRig(state)}
      </p>
      <div className={styles['acts']}>
        <div className={styles['row']}>
          <DriveButtons onDrive={acts.drive} speed={speed} onSpeed={setSpeed} />
          <select
            aria-label="Fixture"
            value={fixture?.name ?? ''}
            disabled={isRunning}
            onChange={(event) => setFixtureName(event.target.value)}
          >
            {gear?.fixtures.map(({ name, flowGpm }) => (
              <option key={name} value={name}>
                {name}, {flowGpm} gal/min
              </option>
            ))}
          </select>
        </div>
        <div className={`${styles['row']} ${styles['small']}`}>
          <Act
            icon={Droplets}
            label="Water"
            title={isRunning ? 'Turn the water off' : 'Turn the water on'}
            isOn={isRunning}
            onAct={acts.toggleWater}
          />
          <Act icon={Hourglass} label="1 min" title="Let a minute go by" onAct={acts.wait} />
          <Act
            icon={Camera}
            label="Still"
            title={props.stillOf ? `Still of ${props.stillOf}` : 'Still for what you log next'}
            onAct={acts.still}
          />
          {props.recorder.isAble && (
            <Act
              icon={isRecording ? CircleStop : Disc}
              label={isRecording ? sayClock(props.recorder.seconds * 1000) : 'Record'}
              title={isRecording ? 'Stop recording' : 'Record the picture'}
              isOn={isRecording}
              onAct={record}
            />
          )}
          <Act icon={Crosshair} label="Locate" onAct={acts.locate} />
          <Act icon={Sparkles} label="Wash" title="Wash the lens" onAct={acts.wash} />
          <Act icon={RotateCcw} label="Zero" title="Zero the counter" onAct={acts.zero} />
          <Act icon={CircleX} label="Close" title="Close the rig" onAct={close} />
        </div>
      </div>
    </section>
  );
}

type ActProps = {
  readonly icon: LucideIcon;
  readonly label: string;
  readonly title?: string;
  readonly isOn?: boolean;
  readonly onAct: () => void;
};

/** A small button: its picture over its word. */
function Act({ icon: Icon, label, title, isOn, onAct }: ActProps) {
  const named = title && title !== label ? { 'aria-label': `${label}: ${title}`, title } : {};
  return (
    <button type="button" aria-pressed={isOn} onClick={onAct} {...named}>
      <Icon size={18} aria-hidden="true" />
      <span>{label}</span>
    </button>
  );
}

/** How the rod feels, when nothing warns. */
function sayRig(state: RigState | null): string {
  if (!state) return 'Hold Push, or PageUp, to go in.';
  if (state.cableFt <= 0) return 'The head is at the rim. Hold Push, or PageUp, to go in.';
  if (state.lens.fouledRatio > 0.35) return 'The lens is dirty: wash it.';
  if (state.pushLb > 0) return `Pushing with ${Math.round(state.pushLb)} lb.`;
  return state.slackFt > 0.15
    ? 'The rod lies slack: pull it taut before you read.'
    : 'The rod is taut.';
}
