import { useEffect, useRef } from 'react';
import type { Motion } from '#core/simulator/rig';

type Acts = {
  readonly drive: (motion: Motion, slowly?: boolean) => void;
  readonly toggleWater: () => void;
  readonly wash: () => void;
  readonly locate: () => void;
  readonly still: () => void;
  readonly zero: () => void;
  readonly wait: () => void;
};

const HELD: Readonly<Record<string, Motion>> = { PageUp: 'push', PageDown: 'pull' };
/** Keys with Alt, by where they lie: what Alt makes of a letter differs from system to system. */
const WITH_ALT = {
  KeyW: 'toggleWater',
  KeyR: 'wash',
  KeyL: 'locate',
  KeyS: 'still',
  KeyM: 'wait',
  Digit0: 'zero',
} as const satisfies Record<string, keyof Acts>;

/** The rig's keys, wherever the focus is: PageUp and PageDown held, the rest with Alt. */
export function useRigKeys(acts: Acts): void {
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const motion = HELD[event.key];
      const act = event.altKey ? WITH_ALT[event.code as keyof typeof WITH_ALT] : undefined;
      if (motion && !event.altKey && !event.ctrlKey) {
        if (!event.repeat) latest.current.drive(motion, event.shiftKey);
      } else if (act) {
        if (!event.repeat) latest.current[act]();
      } else return;
      event.preventDefault();
    };
    const onKeyUp = (event: KeyboardEvent) => {
      if (HELD[event.key]) latest.current.drive('hold');
    };
    window.addEventListener('keydown', onKeyDown);
    window.addEventListener('keyup', onKeyUp);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('keyup', onKeyUp);
    };
  }, []);
}
