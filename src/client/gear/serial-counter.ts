import { followPass, type PassState } from '#core/measure/follow-pass';
import { readCounterLine } from '#core/recording/counter-line';
import type { CounterReading } from './gear';

/** A serial port as browsers have it; only some do. */
export type SerialPort = {
  readonly open: (options: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
};
type Serial = { readonly requestPort: () => Promise<SerialPort> };

/** What reels speak at, as a rule, bits a second. */
export const USUAL_BAUD = 9600;
/** A line longer than this is noise of a wrong speed. */
const LONGEST_LINE = 200;

/** The browser's serial ports; `null` where it has none. */
export const serialOf = (navigator: Navigator): Serial | null =>
  (navigator as { serial?: Serial }).serial ?? null;

/** A reel that tells its reading over a cable. */
export type SerialCounter = { readonly close: () => Promise<void> };

/**
 * Listens to a reel: lines of text, each with its reading. A line that tells none is passed over.
 *
 * @param from which pass the camera is on, and how far it has been: the reel tells neither.
 * @param onGone told once, when the cable is pulled.
 * @throws what the browser says: another program holds the port.
 */
export async function openSerialCounter(
  port: SerialPort,
  baudRate: number,
  from: PassState,
  onReading: (reading: CounterReading) => void,
  onGone: () => void,
): Promise<SerialCounter> {
  await port.open({ baudRate });
  let reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
  let isClosed = false;
  let pass = from;
  let rest = '';
  const text = new TextDecoder();

  function hear(chunk: Uint8Array): void {
    const lines = (rest + text.decode(chunk, { stream: true })).split(/[\r\n]+/);
    rest = (lines.pop() ?? '').slice(-LONGEST_LINE);
    for (const line of lines) {
      const readingFt = line.length > LONGEST_LINE ? null : readCounterLine(line);
      if (readingFt === null) continue;
      pass = followPass(pass, readingFt);
      onReading({ readingFt: Math.max(0, readingFt), pass: pass.pass });
    }
  }
  /** Reads a stream to its end; what a wrong speed garbles ends it too, and the port has another one then. */
  async function listenTo(stream: ReadableStream<Uint8Array>): Promise<void> {
    const reading = stream.getReader();
    reader = reading;
    try {
      for (let part = await reading.read(); !part.done; part = await reading.read())
        hear(part.value);
    } catch {
      // Told by the port, which has no stream once the cable is out.
    } finally {
      reading.releaseLock();
    }
  }
  const shut = () => port.close().catch(() => undefined);
  async function listen(): Promise<void> {
    let last: ReadableStream<Uint8Array> | null = null;
    for (let now = port.readable; now && now !== last && !isClosed; now = port.readable) {
      last = now;
      await listenTo(now);
    }
    if (isClosed) return;
    await shut();
    onGone();
  }
  const listening = listen();
  return {
    close: async () => {
      isClosed = true;
      await reader?.cancel().catch(() => undefined);
      await listening;
      await shut();
    },
  };
}

/** What to say when a reel is not heard. */
export function saySerialTrouble(error: unknown): string | null {
  const { name } = error as { name?: string };
  // Nobody chose a port: that is an answer, and no trouble.
  if (name === 'NotFoundError') return null;
  if (name === 'SecurityError')
    return 'The browser was not allowed the cable. Allow serial ports beside the address, then press again.';
  return 'The cable did not open: another program may hold it. Close it there, then press again.';
}
