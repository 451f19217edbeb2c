import { useEffect } from 'react';
import { SEVERITIES, type Severity } from '#core/catalogue/severity/grade';

type Keys = {
  readonly onMove: (by: 1 | -1) => void;
  readonly onGrade: (severity: Severity) => void;
  readonly onConfirm: () => void;
  readonly onNext: () => void;
  readonly onHelp: () => void;
};

export const FINDING_KEYS: readonly (readonly [string, string])[] = [
  ['Arrow up, Arrow down', 'the finding before, the next one'],
  ['1, 2, 3, 4', 'your grade: slight, moderate, major, failed; then the reason'],
  ['C', 'confirms it'],
  ['N', 'on to the next open one'],
  ['?', 'shows or hides this'],
];

/** Where keys are typed and not pressed. */
const TYPED_IN = 'input, textarea, select, [contenteditable], [role="slider"]';

/** The keys of the Findings screen, wherever the focus is but in a field. */
export function useFindingKeys({ onMove, onGrade, onConfirm, onNext, onHelp }: Keys): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof Element && event.target.closest(TYPED_IN)) return;
      const severity = SEVERITIES[Number(event.key) - 1];
      const act =
        event.key === 'ArrowDown'
          ? () => onMove(1)
          : event.key === 'ArrowUp'
            ? () => onMove(-1)
            : event.key === 'c'
              ? onConfirm
              : event.key === 'n'
                ? onNext
                : event.key === '?'
                  ? onHelp
                  : severity
                    ? () => onGrade(severity)
                    : null;
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [onMove, onGrade, onConfirm, onNext, onHelp]);
}
