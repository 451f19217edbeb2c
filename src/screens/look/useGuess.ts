import { useState } from 'react';
import type { Guessed } from '#core/vision/guess-touches';
import type { Frozen } from './useMeasuring';

/** The machine looks at a picture so many points high: more only costs time. */
const HEIGHT = 200;

async function pixelsOf({ url, aspect }: Frozen) {
  const image = new Image();
  image.src = url;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.height = HEIGHT;
  canvas.width = Math.round(HEIGHT * aspect);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const { data: rgba, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { rgba, width, height };
}

/** A first guess of the machine at a picture that is to be measured on; it proposes, and nothing more. */
export function useGuess(frozen: Frozen | null, onGuess: (guessed: Guessed | null) => void) {
  const [isGuessing, setGuessing] = useState(false);
  const guess = async () => {
    if (!frozen) return;
    const pixels = await pixelsOf(frozen);
    if (!pixels) return;
    setGuessing(true);
    const worker = new Worker(new URL('./guess-worker.ts', import.meta.url), {
      type: 'module',
    });
    const end = (guessed: Guessed | null) => {
      worker.terminate();
      setGuessing(false);
      onGuess(guessed);
    };
    worker.onmessage = ({ data }: MessageEvent<Guessed | null>) => end(data);
    worker.onerror = () => end(null);
    worker.postMessage(pixels, [pixels.rgba.buffer]);
  };
  return { isGuessing, guess: () => void guess() };
}
