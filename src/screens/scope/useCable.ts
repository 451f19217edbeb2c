import { useCallback, useEffect, useRef, useState } from 'react';
import type { CounterReading } from '#client/gear/gear';
import {
  openSerialCounter,
  saySerialTrouble,
  type SerialCounter,
  serialOf,
  type SerialPort,
  USUAL_BAUD,
} from '#client/gear/serial-counter';
import type { PassState } from '#core/measure/follow-pass';

/** A reel that was opened and tells nothing for so long speaks at another speed, ms. */
const SILENT_MS = 3000;

export type Cable = {
  /** Whether this browser has serial ports. */
  readonly isAble: boolean;
  readonly isOpen: boolean;
  /** Open, and nothing was heard: another speed may be the reel's. */
  readonly isSilent: boolean;
  readonly baudRate: number;
  readonly trouble: string | null;
  readonly open: () => void;
  readonly close: () => void;
  readonly speak: (baudRate: number) => void;
};

/**
 * A reel's counter over a cable: what it tells turns the counter, until it is closed or pulled.
 *
 * @param from which pass the camera is on, and how far it has been.
 */
export function useCable(
  from: PassState,
  onReading: (reading: CounterReading) => void,
  onEnd: () => void,
): Cable {
  const [isAble, setAble] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const [isHeard, setHeard] = useState(false);
  const [isSilent, setSilent] = useState(false);
  const [baudRate, setBaudRate] = useState(USUAL_BAUD);
  const [trouble, setTrouble] = useState<string | null>(null);
  const port = useRef<SerialPort | null>(null);
  const counter = useRef<SerialCounter | null>(null);
  const told = useRef({ from, onReading, onEnd });
  useEffect(() => {
    told.current = { from, onReading, onEnd };
  });
  useEffect(() => setAble(serialOf(navigator) !== null), []);
  useEffect(() => () => void counter.current?.close(), []);
  useEffect(() => {
    setSilent(false);
    if (!isOpen || isHeard) return;
    const timer = setTimeout(() => setSilent(true), SILENT_MS);
    return () => clearTimeout(timer);
  }, [isOpen, isHeard, baudRate]);

  const end = useCallback((why: string | null) => {
    counter.current = null;
    setOpen(false);
    setTrouble(why);
    told.current.onEnd();
  }, []);
  const listen = async (chosen: SerialPort, speed: number) => {
    setHeard(false);
    setTrouble(null);
    counter.current = await openSerialCounter(
      chosen,
      speed,
      told.current.from,
      (reading) => {
        setHeard(true);
        told.current.onReading(reading);
      },
      () =>
        end(
          'The cable went away. The counter stays where it was: set it by hand, or plug in again.',
        ),
    );
    setOpen(true);
  };
  const open = async () => {
    const serial = serialOf(navigator);
    if (!serial) return;
    try {
      port.current = await serial.requestPort();
      await listen(port.current, baudRate);
    } catch (error) {
      setTrouble(saySerialTrouble(error));
    }
  };
  const close = async () => {
    const closing = counter.current;
    end(null);
    await closing?.close();
  };
  const speak = async (speed: number) => {
    setBaudRate(speed);
    await counter.current?.close();
    counter.current = null;
    try {
      if (port.current) await listen(port.current, speed);
    } catch (error) {
      end(saySerialTrouble(error));
    }
  };
  return {
    isAble,
    isOpen,
    isSilent,
    baudRate,
    trouble,
    open: () => void open(),
    close: () => void close(),
    speak: (speed) => void speak(speed),
  };
}
