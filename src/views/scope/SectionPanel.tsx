import { memo, useMemo, useState } from 'react';
import type { Derived } from '#core/derive';
import type { Interval } from '#core/base/interval';
import { buildSection, wholeView } from '#core/section/build';
import { tabulateSection } from '#core/section/table';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { ZoomBox } from '../../ui/section/ZoomBox';
import styles from './SectionPanel.module.css';

type Props = {
  readonly derived: Derived;
  readonly headFt?: number | undefined;
  readonly selected: number | null;
  readonly onSelect: (findingNumber: number) => void;
};

const HEIGHT = 206;

/** The Section over the field screen. */
export const SectionPanel = memo(function SectionPanel(props: Props) {
  const { derived, headFt, selected, onSelect } = props;
  const [width, setWidth] = useState(1248);
  const [view, setView] = useState<Interval | null>(null);
  const section = useMemo(
    () =>
      buildSection(derived, {
        width,
        height: HEIGHT,
        ...(view ? { view } : {}),
        ...(headFt === undefined ? {} : { headFt }),
      }),
    [derived, width, view, headFt],
  );
  const rows = useMemo(() => tabulateSection(derived), [derived]);

  return (
    <section aria-label="The Section">
      <ZoomBox
        shown={section.frame.view}
        whole={wholeView(derived.lateral, headFt)}
        width={width}
        height={HEIGHT}
        centerFt={headFt}
        onWidth={setWidth}
        onView={setView}
      >
        <SectionFigure
          section={section}
          rows={rows}
          id="scope"
          label="The line cut open from the side"
          selected={selected}
          onSelect={onSelect}
        />
        {derived.inspection.runs.length === 0 && (
          <p className={styles['empty']}>The line is drawn here as you log it.</p>
        )}
      </ZoomBox>
    </section>
  );
});
