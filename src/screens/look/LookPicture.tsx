import {
  Camera,
  ChevronLeft,
  ChevronRight,
  MapPin,
  Pause,
  Play,
  Repeat,
  Ruler,
  SkipForward,
} from 'lucide-react';
import type { ReactNode, RefObject } from 'react';
import { sayClock } from '#core/recording/say-moment';
import type { Standing } from '#core/recording/timeline';
import styles from './LookPicture.module.css';
import type { Video } from './useVideo';

type Props = {
  /** Put out of sight while a still of it is measured on; it stays where it is. */
  readonly isHidden: boolean;
  readonly videoRef: RefObject<HTMLVideoElement | null>;
  readonly video: Video;
  readonly url: string | null;
  /** What stands in the place of the picture while there is none. */
  readonly instead: ReactNode;
  readonly here: Standing | null;
  readonly isLooping: boolean;
  readonly hasOpen: boolean;
  readonly onLoop: () => void;
  readonly onNextOpen: () => void;
  readonly onStill: () => void;
  readonly onMeasure: () => void;
  /** Sets the footage of this moment. */
  readonly onMark: () => void;
};

/** The recording, with what moves it. */
export function LookPicture({
  isHidden,
  videoRef,
  video,
  url,
  instead,
  here,
  isLooping,
  hasOpen,
  onLoop,
  onNextOpen,
  onStill,
  onMeasure,
  onMark,
}: Props) {
  const can = url !== null && video.isReady;
  return (
    <section className={styles['picture']} aria-label="Picture" hidden={isHidden}>
      <div className={styles['screen']}>
        {url === null ? (
          <div className={styles['instead']}>{instead}</div>
        ) : (
          // eslint-disable-next-line jsx-a11y/media-has-caption -- what is said in it stands beside it as a narration, where there is one
          <video
            ref={videoRef}
            src={url}
            playsInline
            preload="auto"
            tabIndex={-1}
            aria-label="The recording"
            onClick={video.toggle}
            {...video.events}
          />
        )}
        {url !== null && (
          <p className={styles['place']}>
            <span data-reading="true">{sayClock(video.atMs)}</span>
            {here ? (
              <>
                <b data-reading="true">{here.readingFt.toFixed(1)} ft</b>
                <span data-reading="true">±{here.plusMinusFt.toFixed(1)}</span>
                <span>{here.pass === 'out' ? 'going out' : 'coming back'}</span>
              </>
            ) : (
              <span>footage not known here</span>
            )}
          </p>
        )}
      </div>
      {video.trouble && <p role="alert">{video.trouble}</p>}
      <div className={styles['controls']} role="group" aria-label="Player">
        <button type="button" disabled={!can} onClick={video.toggle} title="Space">
          {video.isPlaying ? <Pause aria-hidden="true" /> : <Play aria-hidden="true" />}
          <span className="hidden-visually">{video.isPlaying ? 'Pause' : 'Play'}</span>
        </button>
        <button type="button" disabled={!can} onClick={() => video.step(-1)} title="Comma">
          <ChevronLeft aria-hidden="true" />
          <span className="hidden-visually">One picture back</span>
        </button>
        <button type="button" disabled={!can} onClick={() => video.step(1)} title="Period">
          <ChevronRight aria-hidden="true" />
          <span className="hidden-visually">One picture on</span>
        </button>
        <button
          type="button"
          disabled={!can}
          onClick={() => video.changeRate(-1)}
          aria-label="Slower"
          title="["
        >
          −
        </button>
        <span className={styles['rate']} data-reading="true">
          {video.rate}×
        </span>
        <button
          type="button"
          disabled={!can}
          onClick={() => video.changeRate(1)}
          aria-label="Faster"
          title="]"
        >
          +
        </button>
        <button type="button" disabled={!can} aria-pressed={isLooping} onClick={onLoop} title="L">
          <Repeat size={20} aria-hidden="true" />
          <span className="hidden-visually">Loop</span>
        </button>
        <span className={styles['gap']} />
        <button type="button" disabled={!hasOpen} onClick={onNextOpen} title="N">
          <SkipForward size={20} aria-hidden="true" /> Next unsettled
        </button>
        <button type="button" disabled={!can} onClick={onMark} title="F">
          <MapPin size={20} aria-hidden="true" /> Set footage
        </button>
        <button type="button" disabled={!can} onClick={onStill} title="S">
          <Camera size={20} aria-hidden="true" /> Still
        </button>
        <button type="button" disabled={!can} onClick={onMeasure} title="M">
          <Ruler size={20} aria-hidden="true" /> Measure
        </button>
      </div>
    </section>
  );
}
