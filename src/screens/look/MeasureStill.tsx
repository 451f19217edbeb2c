import { type CSSProperties, type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { Touch } from '#core/model/log/still-measure';
import { StillMarks } from '#ui/StillMarks';
import styles from './MeasureStill.module.css';
import type { Measuring } from './useMeasuring';

/** A touch this near to one that is there takes hold of it, pixels. */
const HOLD_PX = 16;
/** An arrow moves a touch by this share of the picture's height; with Shift a tenth of it. */
const NUDGE = 0.01;

const PARTS = {
  pipe: 'Touch the edge of one joint.',
  vanish: 'Touch where the pipe vanishes.',
  bottom: 'Touch the bottom of the pipe.',
  on: 'Touch the thing.',
};

const clampShare = (value: number) => Math.min(1, Math.max(0, value));

/** The picture to be measured on: touches are put with a pointer or by keys, and dragged until they sit. */
export function MeasureStill({ measuring }: { readonly measuring: Measuring }) {
  const { frozen, part, touches, chosen, measure } = measuring;
  const box = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const here = touches[part];

  const placeOf = (event: PointerEvent): Touch => {
    const { left, top, width, height } = box.current!.getBoundingClientRect();
    return [clampShare((event.clientX - left) / width), clampShare((event.clientY - top) / height)];
  };
  const nearest = (event: PointerEvent): number | null => {
    const { left, top, width, height } = box.current!.getBoundingClientRect();
    const apart = here.map(([x, y]) =>
      Math.hypot(left + x * width - event.clientX, top + y * height - event.clientY),
    );
    const least = Math.min(...apart);
    return least <= HOLD_PX ? apart.indexOf(least) : null;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.shiftKey ? NUDGE / 10 : NUDGE;
    const shift = {
      ArrowLeft: [-by / frozen.aspect, 0],
      ArrowRight: [by / frozen.aspect, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    }[event.key];
    const touch = chosen === null ? undefined : here[chosen];
    if (shift && touch) {
      measuring.move(chosen!, [clampShare(touch[0] + shift[0]!), clampShare(touch[1] + shift[1]!)]);
    } else if (event.key === ' ' || event.key === 'Enter') {
      // By keys alone a touch begins in the middle, and is moved from there.
      measuring.touch([0.5, 0.5]);
      measuring.choose(here.length);
    } else if (event.key === 'Delete' || event.key === 'Backspace') measuring.takeOut();
    else if (event.key === '[' || event.key === ']') {
      const count = here.length;
      const from = chosen ?? (event.key === ']' ? -1 : count);
      if (count > 0) measuring.choose((from + (event.key === ']' ? 1 : -1) + count) % count);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- a picture that is touched, by a pointer or by keys, is an application of its own
    <div
      ref={box}
      className={styles['box']}
      style={{ aspectRatio: String(frozen.aspect), '--aspect': frozen.aspect } as CSSProperties}
      role="application"
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- keys put and move touches on it
      tabIndex={0}
      aria-label={`${PARTS[part]} Space puts a touch in the middle, arrows move it, brackets choose another.`}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const near = nearest(event);
        if (near === null) {
          measuring.touch(placeOf(event));
          setHeld(null);
        } else {
          measuring.choose(near);
          setHeld(near);
        }
      }}
      onPointerMove={(event) => held !== null && measuring.move(held, placeOf(event))}
      onPointerUp={() => setHeld(null)}
    >
      <img src={frozen.url} alt="" draggable={false} />
      <StillMarks measures={[measure]} />
      {(['pipe', 'vanish', 'bottom', 'on'] as const).map((of) =>
        touches[of].map(([x, y], index) => (
          <span
            key={`${of} ${index}`}
            className={styles['touch']}
            data-of={of}
            data-chosen={of === part && index === chosen}
            style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
          />
        )),
      )}
    </div>
  );
}
