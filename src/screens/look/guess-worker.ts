import { type GuessAsk, guessTouches } from '#core/vision/guess-touches';

addEventListener('message', ({ data }: MessageEvent<GuessAsk>) => postMessage(guessTouches(data)));
