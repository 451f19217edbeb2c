import { ArrowBigLeft, ArrowBigRight } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useEffect } from 'react';
import { type Speed, SPEEDS } from '#client/gear/rig-gear';
import type { Motion } from '#core/simulator/rig';
import styles from './RigPanel.module.css';

type Props = {
  readonly onDrive: (motion: Motion) => void;
  readonly speed: Speed;
  readonly onSpeed: (speed: Speed) => void;
};

/** Pull and push, each for as long as it is held, and how fast. */
export function DriveButtons({ onDrive, speed, onSpeed }: Props) {
  useEffect(() => {
    // A finger or a key let go outside the button, or the page left: the hand rests.
    const rest = () => onDrive('hold');
    window.addEventListener('blur', rest);
    document.addEventListener('visibilitychange', rest);
    return () => {
      window.removeEventListener('blur', rest);
      document.removeEventListener('visibilitychange', rest);
    };
  });
  const held = (motion: Motion) => ({
    onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      onDrive(motion);
    },
    onPointerUp: () => onDrive('hold'),
    onPointerCancel: () => onDrive('hold'),
    onContextMenu: (event: { preventDefault: () => void }) => event.preventDefault(),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key === ' ' || event.key === 'Enter') {
        event.preventDefault();
        onDrive(motion);
      }
    },
    onKeyUp: () => onDrive('hold'),
    onBlur: () => onDrive('hold'),
  });
  return (
    <>
      <button type="button" className={styles['drive']} {...held('pull')}>
        <ArrowBigLeft size={22} aria-hidden="true" /> Pull
      </button>
      <button type="button" className={styles['drive']} {...held('push')}>
        Push <ArrowBigRight size={22} aria-hidden="true" />
      </button>
      <select
        aria-label="Speed"
        value={speed}
        onChange={(event) => onSpeed(event.target.value as Speed)}
      >
        {Object.entries(SPEEDS).map(([name, feet]) => (
          <option key={name} value={name}>
            {name}, {feet} ft/s
          </option>
        ))}
      </select>
    </>
  );
}
