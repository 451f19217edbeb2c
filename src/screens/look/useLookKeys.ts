import { useEffect } from 'react';
import type { Video } from './useVideo';

type Acts = {
  readonly loop: () => void;
  readonly nextOpen: () => void;
  readonly mark: () => void;
  readonly still: () => void;
  readonly measure: () => void;
  readonly line: () => void;
};

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Jumps by keys that nobody types with, ms. */
const PAGE_MS = 5000;

/**
 * The player's keys. Page Up and Page Down work everywhere, also while a line is typed; Escape leaves the line, and
 * then letters do.
 */
export function useLookKeys(video: Video, acts: Acts): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const anywhere: Record<string, () => void> = {
        PageUp: () => (event.shiftKey ? video.step(-1) : video.seek(video.atMs - PAGE_MS)),
        PageDown: () => (event.shiftKey ? video.step(1) : video.seek(video.atMs + PAGE_MS)),
        F2: video.toggle,
      };
      const letters: Record<string, () => void> = {
        ' ': video.toggle,
        k: video.toggle,
        ',': () => video.step(-1),
        '.': () => video.step(1),
        '[': () => video.changeRate(-1),
        ']': () => video.changeRate(1),
        l: acts.loop,
        n: acts.nextOpen,
        f: acts.mark,
        s: acts.still,
        m: acts.measure,
        '/': acts.line,
      };
      const isButton = event.target instanceof HTMLButtonElement && event.key === ' ';
      const act =
        anywhere[event.key] ??
        (isTyping(event.target) || isButton ? undefined : letters[event.key]);
      if (!act) return;
      event.preventDefault();
      act();
    };
    // A line with words on it is emptied first.
    const onEscape = (event: KeyboardEvent) => {
      const { key, target } = event;
      if (key !== 'Escape' || !(target instanceof HTMLInputElement) || target.value !== '') return;
      target.blur();
      // The line would take the focus back.
      event.stopPropagation();
    };
    window.addEventListener('keydown', onEscape, { capture: true });
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onEscape, { capture: true });
      window.removeEventListener('keydown', onKey);
    };
  });
}
