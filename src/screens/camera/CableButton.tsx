import { Usb } from 'lucide-react';
import type { Cable } from '../scope/useCable';

/** Speeds that reels speak at, bits a second. */
const SPEEDS = [4800, 9600, 19_200, 38_400, 115_200] as const;

/** Takes the counter from the reel over a cable, where the browser can. */
export function CableButton({ cable }: { readonly cable: Cable }) {
  const { isAble, isOpen, isSilent, baudRate, open, close, speak } = cable;
  if (!isAble) return null;
  return (
    <>
      <button type="button" aria-pressed={isOpen} data-on={isOpen} onClick={isOpen ? close : open}>
        <Usb size={20} aria-hidden="true" />{' '}
        {isOpen ? 'Counter by cable: stop' : 'Counter by cable'}
      </button>
      {isSilent && (
        <label>
          No reading heard. Speed{' '}
          <select value={baudRate} onChange={(event) => speak(Number(event.target.value))}>
            {SPEEDS.map((speed) => (
              <option key={speed} value={speed}>
                {speed}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}
