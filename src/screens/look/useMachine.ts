import { useState } from 'react';
import { footageOf } from '#core/recording/timeline';
import type { MachineProps } from './Machine';
import { useGuess } from './useGuess';
import type { LookActs } from './useLookActs';
import type { Looking } from './useLooking';
import type { LookedThrough } from './useLookThrough';
import type { Measuring } from './useMeasuring';
import { useSwitch } from './useSwitch';
import type { Video } from './useVideo';

/** The machine's helpers on Look again, each with its switch. */
export function useMachine(
  video: Video,
  looked: LookedThrough,
  measuring: Measuring | null,
  { timeline }: Looking,
  append: LookActs['append'],
) {
  const guesses = useSwitch('guess');
  const marks = useSwitch('marks');
  const [guessed, setGuessed] = useState<string | null>(null);
  const { isGuessing, guess } = useGuess(measuring?.frozen ?? null, (found) => {
    if (!found || !measuring) {
      setGuessed('The machine sees no edge here. Touch it yourself, or go on a few pictures.');
      return;
    }
    const hasWater = measuring.what === 'fill' && found.water.length > 0;
    measuring.take({ pipe: found.pipe, vanish: found.vanish, on: hasWater ? found.water : [] });
    const water = hasWater ? ', and a line of water' : ', and no line of water';
    const more = measuring.what === 'fill' ? water : '';
    const part = Math.round(found.seen * 100);
    setGuessed(`A guess: ${part}% of the edge was seen${more}. Drag what does not sit.`);
  });
  const panel: MachineProps = {
    looked,
    canLook: video.isReady,
    marks,
    guesses,
    onNotice: ({ atMs }) => video.seek(atMs),
    onUnseen: ({ atMs, toMs, title }) => {
      const from = timeline.at(atMs);
      const toReadingFt = footageOf(timeline.at(toMs ?? atMs));
      append(
        [
          {
            kind: 'unseen',
            // Why it is so, the picture does not say.
            cause: 'other',
            note: `${title} in the recording`,
            pass: from?.pass ?? 'out',
            readingFt: footageOf(from),
            ...(toReadingFt === null ? {} : { toReadingFt }),
          },
        ],
        atMs,
      );
    },
  };
  return {
    panel,
    notices: marks[0] ? looked.notices : [],
    guess: guesses[0] ? guess : null,
    guessed: measuring ? guessed : null,
    isGuessing,
  };
}
