import { useEffect, useState } from 'react';
import { LATERAL_IDS, loadLateral, madeId } from '#client/gear/laterals';
import { placeFromLog, type RigMemory } from '#client/gear/rig-memory';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import { simulatedBy } from '#core/simulator/job-from-lateral';
import type { LateralTruth } from '#core/simulator/truth';
import styles from './RigPanel.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly run: Run;
  readonly counterFt: number;
  readonly pass: RigMemory['place']['pass'];
  readonly onOpen: (memory: RigMemory) => void;
  readonly onCancel: () => void;
};

/** Chooses the lateral and the way in. A job made from a lateral opens with its own. */
export function RigOpener({ inspection, run, counterFt, pass, onOpen, onCancel }: Props) {
  const own = simulatedBy(inspection.job);
  const [laterals, setLaterals] = useState<readonly LateralTruth[]>([]);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [seed, setSeed] = useState('7');
  const [trouble, setTrouble] = useState<string | null>(null);

  const open = (lateral: LateralTruth, slipSeed: number) => {
    const ways = lateral.accesses.filter((access) => access.ways.includes(run.facing));
    const access = ways.find(({ id }) => id === run.accessPointId) ?? ways[0];
    if (!access) {
      setTrouble(
        `No way into ${lateral.title} lets a camera face ${run.facing}. Start a run the other way.`,
      );
      return;
    }
    const place = placeFromLog(run, counterFt, pass, access.dropFt);
    onOpen({ lateralId: lateral.id, seed: slipSeed, accessId: access.id, place, laterMs: 0 });
  };
  useEffect(() => {
    const fail = (error: unknown) =>
      setTrouble(error instanceof Error ? error.message : String(error));
    if (own) {
      loadLateral(own.lateralId).then((lateral) => open(lateral, own.seed), fail);
      return;
    }
    Promise.all(LATERAL_IDS.map(loadLateral)).then(setLaterals, fail);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when it is shown
  }, []);
  if (own && !trouble) return <p className={styles['opener']}>The rig is being set up …</p>;
  const chosen = laterals.find(({ id }) => id === chosenId) ?? laterals[0];

  return (
    <div className={styles['opener']}>
      <h2>Simulated rig</h2>
      <p>A camera, reel and locator to try Chert with. What it sees is no real line.</p>
      <div className={styles['row']}>
        <select
          aria-label="Lateral"
          value={chosenId ?? laterals[0]?.id ?? ''}
          onChange={(event) => setChosenId(event.target.value)}
        >
          {laterals.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
          <option value="made">One made by chance, by its number</option>
        </select>
        {chosenId === 'made' && (
          <input
            aria-label="Number"
            inputMode="numeric"
            value={seed}
            onChange={(event) => setSeed(event.target.value.replace(/\D/g, ''))}
          />
        )}
      </div>
      <p>{chosenId === 'made' ? 'Nobody has seen it before.' : chosen?.about}</p>
      {trouble && <p role="alert">{trouble}</p>}
      <div className={styles['row']}>
        <button
          type="button"
          disabled={!chosen}
          onClick={() => {
            const number = Number(seed) || 1;
            if (chosenId === 'made')
              void loadLateral(madeId(number)).then((made) => open(made, number));
            else if (chosen) open(chosen, number);
          }}
        >
          Open the rig
        </button>
        <button type="button" onClick={onCancel}>
          Not now
        </button>
      </div>
    </div>
  );
}
