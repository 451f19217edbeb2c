import { Cable as CableIcon, Camera, CircleStop, Mic, Video } from 'lucide-react';
import { type ChangeEvent, lazy, useRef, useState } from 'react';
import { stillTarget } from '#client/actions/stills';
import { checkStill } from '#client/still';
import type { Run } from '#core/model/job/run';
import type { Entry } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import { CableButton } from '../camera/CableButton';
import { useMedia } from '../device/useMedia';
import { Later } from '../shared/Later';
import styles from './Picture.module.css';
import type { Cable } from './useCable';
import type { Scope } from './useScope';
import type { Voice } from './useVoice';

const RingHere = lazy(() => import('./Ring').then((it) => ({ default: it.RingHere })));

type Props = {
  readonly jobId: string;
  readonly run: Run;
  readonly scope: Scope;
  readonly counterFt: number;
  readonly chosen: Entry | null;
  readonly standing: readonly Entry[];
  readonly voice: Voice;
  readonly cable: Cable;
  /** Keeps a still for the entry, or for the place when there is none. */
  readonly onStill: (still: Blob, entry: Entry | null) => void;
  readonly onRig: () => void;
  readonly onCamera: () => void;
};

/** A still this close to the counter is shown as what the head sees, feet. */
const SHOW_WITHIN_FT = 1;

/** The still that belongs here: of what is chosen, else the nearest to the head. */
function stillAt(standing: readonly Entry[], chosen: Entry | null, counterFt: number) {
  if (chosen) return chosen.photoIds?.length ? chosen : null;
  return standing
    .filter(
      ({ photoIds, readingFt }) =>
        photoIds?.length && readingFt !== null && Math.abs(readingFt - counterFt) <= SHOW_WITHIN_FT,
    )
    .reduce<Entry | null>(
      (best, entry) =>
        best === null ||
        Math.abs(entry.readingFt! - counterFt) <= Math.abs(best.readingFt! - counterFt)
          ? entry
          : best,
      null,
    );
}

/** What the camera sees: a still for now, and the button that adds one. */
export function Picture(props: Props) {
  const { jobId, run, scope, counterFt, chosen, standing, voice, cable, onStill, onRig, onCamera } =
    props;
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const shown = stillAt(standing, chosen, counterFt);
  const url = useMedia(jobId, shown?.photoIds?.at(-1) ?? null);
  const sound = useMedia(jobId, chosen?.audioId ?? null);
  const target = stillTarget(standing, chosen, counterFt);

  const onFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    const checked = await checkStill(file);
    setTrouble('trouble' in checked ? checked.trouble : null);
    if ('still' in checked) onStill(checked.still, target);
  };

  return (
    <section className={styles['picture']} aria-label="Picture">
      {shown && url ? (
        <figure>
          <img
            src={url}
            alt={`Still at ${shown.readingFt?.toFixed(1) ?? 'no footage'} ft: ${sayEntry(shown).title}`}
          />
          <figcaption>
            {shown.readingFt?.toFixed(1)} · {sayEntry(shown).title}
          </figcaption>
        </figure>
      ) : (
        <Later meanwhile={<div className={styles['none']} />}>
          <RingHere scope={scope} run={run} counterFt={counterFt} />
        </Later>
      )}
      {sound && chosen?.audioId && (
        <audio controls src={sound} aria-label={`Voice with ${sayEntry(chosen).title}`}>
          <track kind="captions" />
        </audio>
      )}
      {(trouble ?? cable.trouble ?? voice.trouble) && (
        <p role="alert">{trouble ?? cable.trouble ?? voice.trouble}</p>
      )}
      <div className={styles['acts']}>
        <input
          ref={input}
          id="still"
          className="hidden-visually"
          type="file"
          accept="image/jpeg,image/png"
          aria-label="Choose a still"
          tabIndex={-1}
          onChange={(event) => void onFile(event)}
        />
        <button type="button" onClick={() => input.current?.click()}>
          <Camera size={20} aria-hidden="true" />
          {target
            ? `Still of ${sayEntry(target).title.toLowerCase()}`
            : `Still at ${counterFt.toFixed(1)}`}
        </button>
        <button type="button" onClick={onCamera}>
          <Video size={20} aria-hidden="true" /> Camera
        </button>
        {!cable.isOpen && (
          <button type="button" onClick={onRig}>
            <CableIcon size={20} aria-hidden="true" /> Simulated rig
          </button>
        )}
        <CableButton cable={cable} />
        {voice.isRecording ? (
          <button type="button" data-on="true" onClick={voice.stop}>
            <CircleStop size={20} aria-hidden="true" /> Stop the voice
          </button>
        ) : (
          voice.isAble && (
            <button type="button" aria-pressed={voice.isOn} onClick={voice.toggle}>
              <Mic size={20} aria-hidden="true" /> Voice with flags {voice.isOn ? 'on' : 'off'}
            </button>
          )
        )}
      </div>
    </section>
  );
}
