declare module 'webvtt-parser' {
  type Cue = {
    readonly id: string;
    readonly startTime: number;
    readonly endTime: number;
    readonly text: string;
  };
  export class WebVTTParser {
    parse(
      text: string,
      mode: string,
    ): { readonly cues: readonly Cue[]; readonly errors: readonly unknown[] };
  }
}
