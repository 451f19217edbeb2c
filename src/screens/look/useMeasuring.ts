import { useMemo, useState } from 'react';
import {
  measuresFor,
  moved,
  NO_TOUCHES,
  touched,
  type Touches,
  untouched,
} from '#client/actions/measuring';
import type { Entry } from '#core/model/log/entry';
import type { Lens, StillMeasure, StillMeasureKind, Touch } from '#core/model/log/still-measure';
import { type Measured, measureStill, type NotMeasured } from '#core/still/measure';

/** A picture that stands still to be measured on. */
export type Frozen = {
  readonly url: string;
  readonly blob: Blob | null;
  /** The still's id where it is kept already. */
  readonly photoId: string | null;
  readonly aspect: number;
};

export type Measuring = {
  readonly frozen: Frozen;
  readonly what: StillMeasureKind;
  readonly kinds: readonly StillMeasureKind[];
  readonly needsBottom: boolean;
  readonly part: keyof Touches;
  readonly touches: Touches;
  readonly chosen: number | null;
  readonly measure: StillMeasure;
  readonly result: Measured | NotMeasured;
  readonly setWhat: (what: StillMeasureKind) => void;
  readonly setPart: (part: keyof Touches) => void;
  readonly touch: (at: Touch) => void;
  readonly move: (index: number, at: Touch) => void;
  readonly choose: (index: number | null) => void;
  readonly takeOut: () => void;
  readonly begin: () => void;
  /** Takes touches that somebody else proposes; an empty list leaves what is there. */
  readonly take: (proposed: Omit<Touches, 'bottom'>) => void;
};

/** What is being measured on a still picture, touch by touch. */
export function useMeasuring(
  frozen: Frozen | null,
  entry: Entry | null,
  diameterIn: number | null,
  head: Lens & { readonly isUpright: boolean },
): Measuring | null {
  const { isUpright, fieldDeg, distortion } = head;
  const usual = measuresFor(entry, fieldDeg !== undefined);
  const [chosenWhat, setWhat] = useState<StillMeasureKind | null>(null);
  const what = chosenWhat ?? usual[0] ?? 'fill';
  const [part, setPart] = useState<keyof Touches>('pipe');
  const [touches, setTouches] = useState<Touches>(NO_TOUCHES);
  const [chosen, choose] = useState<number | null>(null);
  const measure = useMemo(
    (): StillMeasure => ({
      photoId: frozen?.photoId ?? 'new',
      what,
      aspect: frozen?.aspect ?? 1.6,
      pipe: touches.pipe,
      on: touches.on,
      ...(touches.vanish[0] ? { vanish: touches.vanish[0] } : {}),
      ...(touches.bottom[0] ? { bottom: touches.bottom[0] } : {}),
      ...(fieldDeg === undefined ? {} : { fieldDeg }),
      ...(distortion === undefined ? {} : { distortion }),
    }),
    [frozen, what, touches, fieldDeg, distortion],
  );
  // A head that hangs as it likes, or that nobody told of, turns the clock with it.
  const needsBottom = what === 'clock' && !isUpright;
  const result = useMemo(
    () =>
      needsBottom && !measure.bottom
        ? { trouble: 'This head may be turned: touch the bottom of the pipe.' }
        : measureStill(measure, diameterIn),
    [measure, diameterIn, needsBottom],
  );
  if (!frozen) return null;
  return {
    frozen,
    what,
    kinds: usual,
    needsBottom,
    part,
    touches,
    chosen,
    measure,
    result,
    setWhat: (next) => {
      setWhat(next);
      setTouches((now) => ({ ...now, on: [] }));
      setPart(touches.pipe.length >= 3 ? 'on' : 'pipe');
      choose(null);
    },
    setPart: (next) => {
      setPart(next);
      choose(null);
    },
    touch: (at) => {
      setTouches((now) => touched(now, part, at, what));
      choose(null);
    },
    move: (index, at) => setTouches((now) => moved(now, part, index, at)),
    choose,
    takeOut: () => {
      const index = chosen ?? touches[part].length - 1;
      if (index >= 0) setTouches((now) => untouched(now, part, index));
      choose(null);
    },
    take: ({ pipe, vanish, on }) => {
      setTouches((now) => ({
        pipe: pipe.length > 0 ? pipe : now.pipe,
        vanish: vanish.length > 0 ? vanish : now.vanish,
        bottom: now.bottom,
        on: on.length > 0 ? on : now.on,
      }));
      setPart(on.length > 0 ? 'pipe' : 'on');
      choose(null);
    },
    begin: () => {
      setTouches(NO_TOUCHES);
      setPart('pipe');
      choose(null);
      setWhat(null);
    },
  };
}
