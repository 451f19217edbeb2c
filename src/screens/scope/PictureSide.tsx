import { lazy, useEffect, useRef, useState } from 'react';
import { stillTarget } from '#client/actions/stills';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { Entry, EntryDraft } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import type { Equipment } from '#core/site/equipment';
import { useMedia } from '../device/useMedia';
import type { RunRecorder } from '../device/useRecorder';
import { Later } from '../shared/Later';
import { Picture } from './Picture';
import type { Cable } from './useCable';
import type { RigOnScope } from './useRigOnScope';
import type { Scope } from './useScope';
import type { Voice } from './useVoice';

// The rig and what draws its picture are loaded when it is opened, not before.
const RigPanel = lazy(() => import('../rig/RigPanel').then((it) => ({ default: it.RigPanel })));
const CameraPanel = lazy(() =>
  import('../camera/CameraPanel').then((it) => ({ default: it.CameraPanel })),
);
const RigOpener = lazy(() => import('../rig/RigOpener').then((it) => ({ default: it.RigOpener })));

type Props = {
  readonly inspection: Inspection;
  readonly run: Run;
  readonly scope: Scope;
  readonly equipment: Equipment;
  readonly rig: RigOnScope;
  readonly chosen: Entry | null;
  readonly standing: readonly Entry[];
  readonly voice: Voice;
  readonly recorder: RunRecorder;
  readonly cable: Cable;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
  readonly onStill: (still: Blob, entry: Entry | null, readingFt: number) => void;
};

/** The side of Scope that shows what the camera sees: stills of this device, or the simulated rig. */
export function PictureSide(props: Props) {
  const { inspection, run, equipment, rig, chosen, standing, voice, onAppend, onStill } = props;
  const { counterFt, pass } = rig.place;
  const url = useMedia(inspection.job.id, rig.memory ? (chosen?.photoIds?.at(-1) ?? null) : null);
  const target = stillTarget(standing, chosen, counterFt);
  const [isCamera, setCamera] = useState(false);
  const latest = useRef(standing);
  useEffect(() => {
    latest.current = standing;
  }, [standing]);
  /** By when a picture is there, something may have been logged that it belongs to. */
  const keepStill = async (taking: Promise<Blob | null>) => {
    const still = await taking;
    if (still) onStill(still, target ?? stillTarget(latest.current, null, counterFt), counterFt);
  };
  if (rig.memory) {
    return (
      <Later meanwhile={<div />}>
        <RigPanel
          inspection={inspection}
          run={run}
          equipment={equipment}
          memory={rig.memory}
          stillOf={target ? sayEntry(target).title : null}
          shown={chosen && url ? { url, title: sayEntry(chosen).title } : null}
          onReading={rig.hear}
          onAppend={onAppend}
          onStill={(still) => void keepStill(still)}
          onWait={rig.wait}
          recorder={props.recorder}
          onClose={rig.close}
        />
      </Later>
    );
  }
  if (rig.isChoosing) {
    return (
      <Later meanwhile={<div />}>
        <RigOpener
          inspection={inspection}
          run={run}
          counterFt={counterFt}
          pass={pass}
          onOpen={rig.open}
          onCancel={() => rig.choose(false)}
        />
      </Later>
    );
  }
  if (isCamera) {
    return (
      <Later meanwhile={<div />}>
        <CameraPanel
          recorder={props.recorder}
          stillOf={target ? sayEntry(target).title.toLowerCase() : null}
          counterFt={counterFt}
          cable={props.cable}
          onStill={(still) => onStill(still, target, counterFt)}
          onClose={() => setCamera(false)}
        />
      </Later>
    );
  }
  return (
    <Picture
      jobId={inspection.job.id}
      run={run}
      scope={props.scope}
      counterFt={counterFt}
      chosen={chosen}
      standing={standing}
      voice={voice}
      cable={props.cable}
      onStill={(still, entry) => onStill(still, entry, counterFt)}
      onRig={() => rig.choose(true)}
      onCamera={() => setCamera(true)}
    />
  );
}
