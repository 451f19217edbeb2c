import { computeLateral, type LateralModel, type LateralRequest } from '#core/section/lateral-view';

export type Asked = { readonly request: LateralRequest };
export type Answered = { readonly model: LateralModel };

/** Computes the Lateral screen off the main thread, for logs that would make it wait. */
addEventListener('message', ({ data }: MessageEvent<Asked>) => {
  const answer: Answered = { model: computeLateral(data.request) };
  postMessage(answer);
});
