import { lazy } from 'react';
import { takingBack } from '#client/actions/entries';
import { clipUrlOf, type Row } from '#client/actions/look-rows';
import { changeRecording, takeMark } from '#client/actions/recordings';
import type { JobOnDevice } from '#client/job-on-device';
import type { Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';
import type { Settings } from '#core/model/job/settings';
import type { Entry } from '#core/model/log/entry';
import { Later } from '../shared/Later';
import { LookLog } from './LookLog';
import styles from './LookScreen.module.css';
import { RowActs } from './RowActs';
import { RunChoice } from './RunChoice';
import { type Tab, tabId, Tabs } from './Tabs';
import type { LookActs } from './useLookActs';
import type { Chosen, Looking } from './useLooking';
import type { useMachine } from './useMachine';
import type { Measuring } from './useMeasuring';
import type { NarrationOnDevice } from './useNarration';

// What is not looked at first is fetched when it is.
const MeasurePanel = lazy(async () => ({ default: (await import('./MeasurePanel')).MeasurePanel }));
const NarrationPanel = lazy(async () => ({
  default: (await import('./NarrationPanel')).NarrationPanel,
}));
const RecordingPanel = lazy(async () => ({
  default: (await import('./RecordingPanel')).RecordingPanel,
}));

type Props = {
  readonly job: JobOnDevice;
  readonly run: Run;
  readonly recording: Recording | null;
  readonly tab: Tab;
  readonly looking: Looking;
  readonly told: NarrationOnDevice;
  readonly acts: LookActs;
  readonly machine: ReturnType<typeof useMachine>;
  readonly measuring: Measuring | null;
  readonly chosen: Entry | null;
  readonly hereId: string | null;
  readonly settings: Settings;
  readonly choice: Pick<Chosen, 'chooseRun' | 'chooseRecording'>;
  readonly onTab: (tab: Tab) => void;
  readonly onChoose: (row: Row | null) => void;
  readonly onSeek: (ms: number) => void;
  readonly onBegin: (line: string) => void;
  readonly onMeasure: () => void;
  readonly onMeasured: () => void;
  readonly onVideo: (file: File, isStored: boolean, handle: FileSystemFileHandle | null) => void;
  readonly onChapters: () => void;
};

/** What stands beside the picture: the log, what was said, the recording itself, or a measure. */
export function Beside(props: Props) {
  const { job, run, recording, tab, looking, told, acts, machine, measuring, chosen } = props;
  const { rows, lines, timeline } = looking;
  const isLog = tab === 'log' || (tab === 'measure' && !measuring);
  return (
    <div className={styles['right']}>
      <Tabs tab={isLog ? 'log' : tab} isMeasuring={measuring !== null} onTab={props.onTab} />
      <RunChoice
        inspection={job.inspection}
        run={run}
        recording={recording}
        onRun={props.choice.chooseRun}
        onRecording={props.choice.chooseRecording}
      />
      <div className={styles['shown']} role="tabpanel" aria-labelledby={tabId(isLog ? 'log' : tab)}>
        <Later>
          {tab === 'measure' && measuring && (
            <MeasurePanel
              measuring={measuring}
              entry={chosen}
              eye={props.settings}
              isGuessing={machine.isGuessing}
              guessed={machine.guessed}
              onGuess={machine.guess}
              onWrite={() => {
                if (chosen?.kind === 'defect')
                  void acts.writeMeasure(measuring, chosen).then(props.onMeasured);
              }}
              onClose={props.onMeasured}
            />
          )}
          {isLog && (
            <>
              <LookLog
                rows={rows}
                hereId={props.hereId}
                chosenId={chosen?.id ?? null}
                onChoose={props.onChoose}
              />
              {chosen && (
                <RowActs
                  entry={chosen}
                  clipUrl={clipUrlOf(job.inspection.job.id, recording, rows, chosen)}
                  onCorrect={() => props.onBegin(`correct #${chosen.id} `)}
                  onConfirm={() => acts.correct(chosen, { certainty: undefined })}
                  onMeasure={props.onMeasure}
                  onTakeBack={() => {
                    job.append(run.id, [takingBack(chosen)]);
                    props.onChoose(null);
                  }}
                />
              )}
            </>
          )}
          {tab === 'narration' && (
            <NarrationPanel
              narration={told.narration}
              heard={told.heard}
              lines={lines}
              progress={acts.progress}
              onText={told.take}
              onPart={told.choosePart}
              onSettle={told.settle}
              onGo={({ fromMs, drafts: [first] }) => {
                const byFootage =
                  first && first.readingFt !== null
                    ? timeline.momentsOf(first.readingFt, first.pass)[0]?.atMs
                    : undefined;
                const ms = fromMs ?? byFootage;
                if (ms !== undefined) props.onSeek(ms);
              }}
              onLog={() => void acts.logNarration(lines).then(told.done)}
              onRemove={told.remove}
              onBringBack={told.bringBack}
            />
          )}
          {tab === 'recording' && (
            <RecordingPanel
              run={run}
              recording={recording}
              timeline={timeline}
              progress={acts.progress}
              trouble={acts.trouble}
              onAdd={props.onVideo}
              onCounter={acts.readCounter}
              onStart={(startedAt) =>
                recording && acts.change((now) => changeRecording(now, recording.id, { startedAt }))
              }
              onTakeMark={(id) => recording && acts.change((now) => takeMark(now, recording, id))}
              onGo={props.onSeek}
              onChapters={props.onChapters}
              machine={machine.panel}
            />
          )}
        </Later>
      </div>
    </div>
  );
}
