import type { Span } from '#core/model/job/inspection';
import type { LateralModel } from '#core/section/lateral-view';
import { Panel } from '../shared/Panel';
import { AddTie } from './AddTie';
import styles from './Lateral.module.css';
import { Suggestions } from './Suggestions';
import { TapeList } from './TapeList';
import { TieList } from './TieList';
import type { TieWork } from './useTies';

type Props = {
  readonly model: LateralModel;
  readonly spans: readonly Span[];
  readonly work: TieWork;
};

/** Ties and tapes: those there are, those that do not fit, those that Chert offers, and a line to add one. */
export function TiesPanel({ model, spans, work }: Props) {
  const [first, second] = model.runs;
  const example = `${first?.name ?? 'R1'} 27.5 = ${second?.name ?? 'R2'} 14, kitchen tee`;
  return (
    <Panel id="ties" title="Ties" count={model.ties.length + spans.length}>
      <AddTie example={example} onLine={work.type} />
      {model.ties.length + spans.length === 0 && (
        <p className={styles['hint']}>
          A tie is one thing that two runs saw: a tee, a change of pipe, the property line. Drag
          from one run to the other, or type both footages. Three ties and Chert can tell a wrong
          one. Two accesses that share nothing are joined by a tape: A to B 3.5.
        </p>
      )}
      <TieList
        ties={model.ties}
        misfits={model.misfits}
        before={work.before}
        chosen={work.chosen}
        readingOf={work.readingOf}
        onChoose={work.choose}
        onDrop={work.drop}
        onRemedy={work.remedy}
      />
      <TapeList spans={spans} onDrop={work.dropTape} />
      <Suggestions
        suggestions={model.suggestions}
        readingOf={work.readingOf}
        onAccept={work.accept}
        onRefuse={work.refuse}
      />
    </Panel>
  );
}
