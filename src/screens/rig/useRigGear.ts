import { useEffect, useState } from 'react';
import { loadLateral } from '#client/gear/laterals';
import { type RigGear, startRig } from '#client/gear/rig-gear';
import type { RigMemory } from '#client/gear/rig-memory';
import type { Run } from '#core/model/job/run';
import type { RigSetup } from '#core/simulator/rig';
import type { Equipment } from '#core/site/equipment';

/** The rig of a run: loaded, put where it was, and taken out when the run's head or access changes. */
export function useRigGear(
  run: Run,
  equipment: Equipment,
  memory: RigMemory,
): { readonly gear: RigGear | null; readonly trouble: string | null } {
  const [gear, setGear] = useState<RigGear | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { headName, aid } = setupOf(run);
  const head = equipment.heads.find(({ name }) => name === headName) ?? equipment.heads[0]!;
  const { lateralId, seed, accessId } = memory;
  useEffect(() => {
    let isWanted = true;
    let started: RigGear | null = null;
    setTrouble(null);
    loadLateral(lateralId)
      .then((truth) => {
        if (!isWanted) return;
        const setup: RigSetup = {
          accessId,
          facing: run.facing,
          headDiameterIn: head.diameterIn,
          headLevels: head.levels,
          aid,
          equipment,
        };
        started = startRig(truth, setup, seed, memory.place);
        setGear(started);
      })
      .catch((error: unknown) => {
        if (isWanted) setTrouble(error instanceof Error ? error.message : String(error));
      });
    return () => {
      isWanted = false;
      started?.dispose();
      setGear(null);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- where the rig stood matters only when it starts
  }, [lateralId, seed, accessId, run.id, run.facing, head.name, aid, equipment]);
  return { gear, trouble };
}

/** Head and aid in force: what a later `setup` entry put on, else what the run began with. */
function setupOf(run: Run): { readonly headName: string | undefined; readonly aid: Run['aid'] } {
  const setup = run.entries.findLast((entry) => entry.kind === 'setup');
  return { headName: setup?.head ?? run.head, aid: setup?.aid ?? run.aid };
}
