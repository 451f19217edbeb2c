import { memo, useMemo, useState } from 'react';
import type { Interval } from '#core/base/interval';
import type { Assessment } from '#core/judge/assessment';
import { buildSection, wholeView } from '#core/section/build';
import { tabulateSection } from '#core/section/table';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { ZoomBox } from '../../ui/section/ZoomBox';
import styles from './SectionPanel.module.css';

type Props = {
  readonly assessment: Assessment;
  readonly headFt?: number | undefined;
  readonly selected: number | null;
  readonly onSelect: (findingNumber: number) => void;
  /** Pixels. */
  readonly height?: number;
};

const HEIGHT = 206;

/** The Section over the field screen. */
export const SectionPanel = memo(function SectionPanel(props: Props) {
  const { assessment, headFt, selected, onSelect, height = HEIGHT } = props;
  const [width, setWidth] = useState(1248);
  const [view, setView] = useState<Interval | null>(null);
  const section = useMemo(
    () =>
      buildSection(assessment, {
        width,
        height,
        ...(view ? { view } : {}),
        ...(headFt === undefined ? {} : { headFt }),
      }),
    [assessment, width, height, view, headFt],
  );
  const rows = tabulateSection(assessment);

  return (
    <section aria-label="The Section">
      <ZoomBox
        shown={section.frame.view}
        whole={wholeView(assessment.lateral, headFt)}
        width={width}
        height={height}
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
        {assessment.inspection.runs.length === 0 && (
          <p className={styles['empty']}>The line is drawn here as you log it.</p>
        )}
      </ZoomBox>
    </section>
  );
});
