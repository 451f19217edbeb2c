import { describe, expect, it } from 'vitest';
import type { PassState } from '#core/measure/follow-pass';
import type { CounterReading } from './gear';
import { openSerialCounter, saySerialTrouble, type SerialPort } from './serial-counter';

/** A port whose reel says what it is told to. */
function simulatedPort() {
  let control!: ReadableStreamDefaultController<Uint8Array>;
  const did: string[] = [];
  const made = (): ReadableStream<Uint8Array> =>
    new ReadableStream({ start: (opened) => void (control = opened) });
  const port = {
    open: ({ baudRate }) => Promise.resolve(did.push(`open ${baudRate}`)).then(() => undefined),
    close: () => Promise.resolve(did.push('close')).then(() => undefined),
    readable: made() as ReadableStream<Uint8Array> | null,
  } satisfies SerialPort;
  const say = (text: string) => control.enqueue(new TextEncoder().encode(text));
  const fail = (next: () => ReadableStream<Uint8Array> | null) => {
    const failing = control;
    port.readable = next();
    failing.error(new Error('gone'));
  };
  return { port, did, say, pull: () => fail(() => null), garble: () => fail(made) };
}
const START: PassState = { pass: 'out', farthestFt: 0 };
const heard = (...chunks: readonly string[]) => heardFrom(START, ...chunks);
const settle = () => new Promise((resolve) => setTimeout(resolve, 5));

async function heardFrom(from: PassState, ...chunks: readonly string[]) {
  const reel = simulatedPort();
  const readings: CounterReading[] = [];
  let gone = 0;
  const counter = await openSerialCounter(
    reel.port,
    9600,
    from,
    (reading) => readings.push(reading),
    () => (gone += 1),
  );
  chunks.forEach(reel.say);
  await settle();
  return { ...reel, counter, readings, goneCount: () => gone };
}

describe('a reel on a cable', () => {
  it('tells its reading line by line, however the lines are cut', async () => {
    const { readings } = await heard('REA', 'DY\r\n00', '12.3\r\n0012.', '4\n', '0012.5');
    expect(readings.map(({ readingFt }) => readingFt)).toEqual([12.3, 12.4]);
  });
  it('is on the way back once it is pulled back well from the farthest', async () => {
    const { readings } = await heard('10\n40\n39\n37\n20\n');
    expect(readings.map(({ pass }) => pass)).toEqual(['out', 'out', 'out', 'back', 'back']);
  });
  it('stays on the pass that it was plugged in on, until new ground is reached', async () => {
    const { readings } = await heardFrom({ pass: 'back', farthestFt: 60 }, '40\n45\n61\n');
    expect(readings.map(({ pass }) => pass)).toEqual(['back', 'back', 'out']);
  });
  it('is heard on after what a wrong speed garbled', async () => {
    const { readings, goneCount, garble, say } = await heard('5\n');
    garble();
    await settle();
    say('6\n');
    await settle();
    expect(readings.map(({ readingFt }) => readingFt)).toEqual([5, 6]);
    expect(goneCount()).toBe(0);
  });
  it('is never before its zero, and noise is no reading', async () => {
    const { readings } = await heard('-0.3\n', `${'x'.repeat(300)}5\n`, '6\n');
    expect(readings.map(({ readingFt }) => readingFt)).toEqual([0, 6]);
  });
  it('is told gone once when the cable is pulled, and not when it is closed', async () => {
    const pulled = await heard('5\n');
    pulled.pull();
    await settle();
    expect(pulled.goneCount()).toBe(1);
    expect(pulled.did).toEqual(['open 9600', 'close']);
    const closed = await heard('5\n');
    await closed.counter.close();
    expect(closed.goneCount()).toBe(0);
    expect(closed.did).toEqual(['open 9600', 'close']);
  });
  it('says what to do when it does not open, and nothing when nobody chose a port', () => {
    expect(saySerialTrouble({ name: 'NotFoundError' })).toBeNull();
    expect(saySerialTrouble({ name: 'SecurityError' })).toMatch(/Allow serial ports/);
    expect(saySerialTrouble({ name: 'NetworkError' })).toMatch(/another program/);
  });
});
