import { memo, useCallback, useDeferredValue, useEffect, useRef, useState } from 'react';
import { nextOpen, type Row } from '#client/actions/look-rows';
import { toldDoing } from '#client/actions/told';
import { assessed } from '#core/assess';
import { countWaiting } from '#core/judge/waiting';
import type { StoredJob } from '#core/model/job/history';
import { labelIn, labelOf } from '#core/model/job/labels';
import { foldLog } from '#core/model/log/fold';
import { chaptersOf, writeChapters } from '#core/recording/chapters';
import { lensOf, type Preferences } from '#core/site/equipment';
import type { Light } from '#ui/TopBar';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { type CalloutHandle, CalloutLine } from '../scope/CalloutLine';
import { SectionPanel } from '../scope/SectionPanel';
import { useOwnWords } from '../scope/useOwnWords';
import { scopeOf, useScope } from '../scope/useScope';
import { download } from '../shared/download';
import { useLight } from '../shared/useLight';
import { Beside } from './Beside';
import { LookPicture } from './LookPicture';
import styles from './LookScreen.module.css';
import { MarkForm } from './MarkForm';
import { MeasureStill } from './MeasureStill';
import { Need } from './Need';
import type { Tab } from './Tabs';
import { TakeVideo } from './TakeVideo';
import { TimeLine } from './TimeLine';
import { useFrozen } from './useFrozen';
import { useLookActs } from './useLookActs';
import { hereIn, standpointOf, useChosen, useLooking } from './useLooking';
import { useLookKeys } from './useLookKeys';
import { useLookThrough } from './useLookThrough';
import { useMachine } from './useMachine';
import { useMeasuring } from './useMeasuring';
import { useNarration } from './useNarration';
import { useSource } from './useSource';
import { useUnfinished } from './useUnfinished';
import { useVideo } from './useVideo';

type Props = {
  readonly stored: StoredJob;
  readonly preferences: Preferences;
  readonly light: Light;
};

/** The picture is what is looked at here: the Section stands lower than on Scope, pixels. */
const SECTION_HEIGHT = 184;
/** A loop goes round so much before and after the chosen moment, ms. */
const LOOP_MS = 3000;

/** Look again: the picture with its time line, the Section, and the log or what was said beside it. */
export const LookScreen = memo(function LookScreen({
  stored,
  preferences,
  light: storedLight,
}: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const [light, switchLight] = useLight(storedLight);
  const choice = useChosen(inspection);
  const { run, recording, chooseRun, chooseRecording } = choice;
  const source = useSource(inspection.job.id, recording);
  const [videoRef, video] = useVideo(source.url, recording?.durationMs);
  const told = useNarration(`narration:${inspection.job.id}:${recording?.id ?? run?.id ?? ''}`);
  const { ownWords, teach, trouble: notTaught } = useOwnWords(preferences.ownWords);
  const scopeInspection = useDeferredValue(inspection);
  const [tab, setTab] = useState<Tab>('log');
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [selected, setSelected] = useState<number | null>(null);
  const [loopMs, setLoopMs] = useState<number | null>(null);
  const [isMarking, setMarking] = useState(false);
  const callout = useRef<CalloutHandle>(null);
  const knownMs = video.durationMs ?? recording?.durationMs ?? null;
  const looked = useLookThrough(source.url, knownMs);
  const looking = useLooking(run, recording, told, assessed(scopeInspection), looked.paces);
  const { timeline, rows, said } = looking;
  const here = timeline.at(video.atMs);
  const standpoint = standpointOf(here, ownWords);
  const scope = useScope(scopeInspection, run, standpoint);
  const drawn = useDeferredValue(scope);
  const acts = useLookActs({
    job,
    installation: stored.installation,
    by: inspection.job.inspector,
    run,
    recording,
    video,
    timeline,
    here,
  });
  const chosen = (run && chosenId !== null && foldLog(run.entries).heirsOf(chosenId)[0]) || null;
  const { frozen, freeze, thaw } = useFrozen(inspection.job.id, video);
  const diameterIn = scope.context.boreHereIn;
  const head = preferences.equipment.heads.find(({ name }) => name === run?.head);
  const levels = run?.headLevels ?? head?.levels ?? null;
  const lens = { ...lensOf(head), isUpright: levels === true };
  const measuring = useMeasuring(frozen, chosen, diameterIn, lens);
  useUnfinished(acts.change, recording, video.durationMs);
  const machine = useMachine(video, looked, measuring, looking, acts.append);

  const { seek, isPlaying } = video;
  useEffect(() => {
    if (loopMs !== null && isPlaying && video.atMs > loopMs + LOOP_MS) seek(loopMs - LOOP_MS);
  }, [loopMs, isPlaying, video.atMs, seek]);
  useEffect(() => {
    // Other screens send here to the entry that something hangs on.
    const query = new URLSearchParams(window.location.search);
    if (query.has('run')) chooseRun(query.get('run')!);
    if (query.has('entry')) setChosenId(query.get('entry'));
  }, [chooseRun]);

  const choose = (row: Row | null) => {
    setChosenId(row?.entry.id ?? null);
    const chapter = row?.chapter;
    if (chapter) seek(chapter.atMs);
    if (loopMs !== null && chapter) setLoopMs(chapter.atMs);
  };
  const goOpen = () => {
    const next = nextOpen(rows, video.atMs, chosen?.id ?? null);
    if (next) choose(next);
  };
  const measure = () => {
    setTab('measure');
    void freeze(source.url === null ? (chosen?.photoIds?.at(-1) ?? null) : null);
  };
  const select = useCallback(
    (number: number) => {
      setSelected(number);
      const finding = drawn.assessment.findings.find((one) => one.number === number);
      const row = rows.find(({ entry }) => finding?.entryIds.includes(entry.id));
      if (row) {
        setChosenId(row.entry.id);
        if (row.chapter) seek(row.chapter.atMs);
      }
    },
    [drawn.assessment, rows, seek],
  );
  const loop = () => setLoopMs(loopMs === null ? video.atMs : null);
  const still = () => void acts.addStill(chosen);
  useLookKeys(video, {
    loop,
    nextOpen: goOpen,
    mark: () => setMarking(true),
    still,
    measure,
    line: () => document.getElementById('line')?.focus(),
  });
  const addVideo = (file: File, isStored: boolean, handle: FileSystemFileHandle | null) => {
    chooseRecording(acts.addVideo(file, isStored, handle));
    source.choose(file, handle);
  };
  const saveChapters = () => {
    if (!run || !recording || knownMs === null) return;
    const at = (ms: number) => {
      const place = timeline.at(ms);
      return place ? `${place.readingFt.toFixed(1)} ft ` : '';
    };
    const text = writeChapters(chaptersOf(run, recording, timeline), knownMs, at);
    download(`${inspection.job.title} ${labelOf(run)}.vtt`, text, 'text/vtt');
  };
  const closeMeasure = () => {
    thaw();
    setTab('log');
  };

  return (
    <div className={styles['screen']}>
      <JobBar
        job={job}
        stage="look"
        light={light}
        onLight={switchLight}
        detail={
          run
            ? `from ${labelIn(inspection.accessPoints, run.accessPointId)}, facing ${run.facing}`
            : undefined
        }
        waiting={countWaiting(scope.assessment)}
      />
      <main className={styles['work']}>
        <h1 className="hidden-visually">Look again at {inspection.job.title}</h1>
        <SectionPanel
          assessment={drawn.assessment}
          headFt={here && drawn.headFt !== null ? drawn.headFt : undefined}
          selected={selected}
          onSelect={select}
          height={SECTION_HEIGHT}
        />
        {!run ? (
          <p>
            There is no run to look at yet. <a href="scope">Begin one on Scope</a>, then come back
            with its video.
          </p>
        ) : (
          <>
            <div className={styles['panels']}>
              <div className={styles['left']}>
                {measuring && (
                  <div className={styles['stage']}>
                    <MeasureStill measuring={measuring} />
                  </div>
                )}
                <LookPicture
                  isHidden={measuring !== null}
                  videoRef={videoRef}
                  video={video}
                  url={source.url}
                  instead={
                    recording === null ? (
                      <TakeVideo onAdd={addVideo} />
                    ) : (
                      <Need source={source} onFile={(file) => source.choose(file, null)} />
                    )
                  }
                  here={here}
                  isLooping={loopMs !== null}
                  hasOpen={rows.some(({ open }) => open !== null)}
                  onLoop={loop}
                  onNextOpen={goOpen}
                  onStill={still}
                  onMeasure={measure}
                  onMark={() => setMarking(true)}
                />
                {isMarking && (
                  <MarkForm
                    here={here}
                    atMs={video.atMs}
                    onMark={(readingFt, pass) => {
                      acts.mark(readingFt, pass);
                      setMarking(false);
                    }}
                    onCancel={() => setMarking(false)}
                  />
                )}
                {!measuring && knownMs !== null && source.url !== null && (
                  <TimeLine
                    timeline={timeline}
                    chapters={rows.flatMap(({ chapter }) => (chapter ? [chapter] : []))}
                    notices={machine.notices}
                    said={said}
                    durationMs={knownMs}
                    atMs={video.atMs}
                    chosenId={chosen?.id ?? null}
                    onSeek={seek}
                  />
                )}
              </div>
              <Beside
                job={job}
                run={run}
                recording={recording}
                tab={tab}
                looking={looking}
                told={told}
                acts={acts}
                machine={machine}
                measuring={measuring}
                chosen={chosen}
                hereId={hereIn(rows, video.atMs)?.entry.id ?? null}
                settings={scope.assessment.settings}
                choice={choice}
                onTab={setTab}
                onChoose={choose}
                onSeek={seek}
                onBegin={(line) => callout.current?.begin(line)}
                onMeasure={measure}
                onMeasured={closeMeasure}
                onVideo={addVideo}
                onChapters={saveChapters}
              />
            </div>
            {job.readOnly === null && (
              <CalloutLine
                key={run.id}
                ref={callout}
                scope={scope}
                scopeNow={() => scopeOf(inspection, run, standpoint)}
                inspection={inspection}
                run={run}
                place={standpoint}
                counterBy="picture"
                onPlace={() => undefined}
                onAppend={(drafts) => {
                  acts.append(drafts);
                  setChosenId(null);
                }}
                onTeach={(says, means) => void teach(says, means)}
                notTaught={notTaught}
                onTold={(facts) => job.change(...toldDoing(inspection, run, facts))}
                onView={() => setTab(tab === 'log' ? 'narration' : 'log')}
              />
            )}
          </>
        )}
      </main>
    </div>
  );
});
