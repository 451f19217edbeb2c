import { useEffect, useRef, useState } from 'react';

/** The longest voice note, ms. */
const LONGEST_MS = 10_000;

export type Voice = {
  readonly isAble: boolean;
  readonly isOn: boolean;
  readonly isRecording: boolean;
  readonly trouble: string | null;
  readonly toggle: () => void;
  /** Records up to ten seconds; resolves with the sound, or `null` when there is none. */
  readonly record: () => Promise<Blob | null>;
  readonly stop: () => void;
};

const KEY = 'chert:voice';

/** A few words spoken with a flag, where the browser allows. */
export function useVoice(): Voice {
  const [isAble, setAble] = useState(false);
  const [isOn, setOn] = useState(false);
  const [isRecording, setRecording] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);

  useEffect(() => {
    setAble('MediaRecorder' in window && 'mediaDevices' in navigator);
    setOn(window.localStorage.getItem(KEY) === 'on');
    return () => recorder.current?.stop();
  }, []);

  const record = async (): Promise<Blob | null> => {
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const made = new MediaRecorder(stream);
      recorder.current = made;
      const parts: Blob[] = [];
      const ended = new Promise<void>((resolve) => {
        made.ondataavailable = ({ data }) => parts.push(data);
        made.onstop = () => resolve();
      });
      made.start();
      setRecording(true);
      const timer = window.setTimeout(() => made.stop(), LONGEST_MS);
      await ended;
      window.clearTimeout(timer);
      stream.getTracks().forEach((track) => track.stop());
      const sound = new Blob(parts, { type: made.mimeType });
      return sound.size > 0 ? sound : null;
    } catch {
      setTrouble('The browser does not allow the microphone. The flag is logged without a voice.');
      return null;
    } finally {
      recorder.current = null;
      setRecording(false);
    }
  };
  return {
    isAble,
    isOn,
    isRecording,
    trouble,
    record,
    stop: () => recorder.current?.state === 'recording' && recorder.current.stop(),
    toggle: () => {
      const next = !isOn;
      setOn(next);
      setTrouble(null);
      window.localStorage.setItem(KEY, next ? 'on' : 'off');
    },
  };
}
