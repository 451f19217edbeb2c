import type { RunCause } from './cause';

/** The run was logged as facing the other way. */
export const wrongFacing: RunCause = {
  cause: 'wrong-facing',
  alternative: (network, axis) => {
    const facing = axis.run.facing === 'downstream' ? 'upstream' : 'downstream';
    const turned = { ...axis, direction: axis.direction === 1 ? (-1 as const) : (1 as const) };
    return {
      network: { ...network, runs: new Map(network.runs).set(axis.run.id, turned) },
      tell: () => ({
        text: `Everything fits if ${axis.run.id} faced ${facing}, not ${axis.run.facing}.`,
        remedy: { do: 'turn-run', runId: axis.run.id, facing },
      }),
    };
  },
};
