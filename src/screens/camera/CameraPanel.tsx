import { Camera, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import {
  type CameraDevice,
  listCameras,
  openCamera,
  recallCamera,
  rememberCamera,
  sayCameraTrouble,
} from '#client/gear/camera';
import { stillOf } from '#client/recording/still-of';
import type { RunRecorder } from '../device/useRecorder';
import type { Cable } from '../scope/useCable';
import { CableButton } from './CableButton';
import styles from './CameraPanel.module.css';
import { RecordButton } from './RecordButton';

type Props = {
  readonly recorder: RunRecorder;
  readonly stillOf: string | null;
  readonly counterFt: number;
  readonly cable: Cable;
  readonly onStill: (still: Blob) => void;
  readonly onClose: () => void;
};

/** The picture of a camera that the browser offers: looked at, recorded, and stills taken of it. */
export function CameraPanel(props: Props) {
  const { recorder, counterFt, cable, onStill, onClose } = props;
  const video = useRef<HTMLVideoElement>(null);
  const [choice, setChoice] = useState(recallCamera);
  const [devices, setDevices] = useState<readonly CameraDevice[]>([]);
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { deviceId, hasSound } = choice;
  const { isRecording, stop } = recorder;

  useEffect(() => {
    let opened: MediaStream | null = null;
    let isOver = false;
    setTrouble(null);
    openCamera({ deviceId, hasSound })
      .then(async (made) => {
        opened = made;
        if (isOver) {
          made.getTracks().forEach((track) => track.stop());
          return;
        }
        setStream(made);
        rememberCamera({ deviceId, hasSound });
        setDevices(await listCameras());
      })
      .catch((error: unknown) => {
        if (!isOver) setTrouble(sayCameraTrouble(error));
      });
    return () => {
      isOver = true;
      setStream(null);
      opened?.getTracks().forEach((track) => track.stop());
    };
  }, [deviceId, hasSound]);
  useEffect(() => {
    if (video.current) video.current.srcObject = stream;
  }, [stream]);
  useEffect(() => {
    // A camera that is unplugged ends its recording; what was recorded is kept.
    const [track] = stream?.getVideoTracks() ?? [];
    const onGone = () => {
      stop();
      setTrouble('The camera went away. What was recorded is kept; plug it in and open it again.');
    };
    track?.addEventListener('ended', onGone);
    return () => track?.removeEventListener('ended', onGone);
  }, [stream, stop]);

  const still = async () => {
    const taken = await stillOf(video.current);
    if (taken) onStill(taken);
  };
  return (
    <section className={styles['panel']} aria-label="Picture">
      <div className={styles['screen']}>
        <video ref={video} autoPlay muted playsInline aria-label="What the camera sees" />
        {isRecording && <p className={styles['on']}>recording</p>}
      </div>
      {(trouble ?? cable.trouble ?? recorder.trouble) && (
        <p role="alert">{trouble ?? cable.trouble ?? recorder.trouble}</p>
      )}
      <div className={styles['acts']}>
        <RecordButton
          recorder={recorder}
          stream={stream}
          source="camera"
          counterFt={cable.isOpen ? counterFt : null}
        />
        <CableButton cable={cable} />
        <button type="button" disabled={!stream} onClick={() => void still()}>
          <Camera size={20} aria-hidden="true" />
          {props.stillOf === null
            ? `Still at ${counterFt.toFixed(1)}`
            : `Still of ${props.stillOf}`}
        </button>
        {!isRecording && (
          <>
            {devices.length > 1 && (
              <select
                aria-label="Camera"
                value={deviceId ?? devices[0]!.id}
                onChange={(event) => setChoice({ ...choice, deviceId: event.target.value })}
              >
                {devices.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            )}
            <label className={styles['sound']}>
              <input
                type="checkbox"
                checked={hasSound}
                onChange={(event) => setChoice({ ...choice, hasSound: event.target.checked })}
              />
              With sound
            </label>
            <button type="button" onClick={onClose}>
              <X size={20} aria-hidden="true" /> Close the camera
            </button>
          </>
        )}
      </div>
    </section>
  );
}
