import type { Action, Reason } from '../catalogue/severity/grade';
import type { Cause, Finding } from './finding';
import { type Concluded, pick } from './rules/conclusion';

/** Actions from the one that asks least to the one that asks most. */
const WEIGHT: Record<Action, number> = {
  none: 0,
  monitor: 1,
  upkeep: 2,
  'look-again': 3,
  repair: 4,
  urgent: 5,
};

/** The causes that rules name, each once: the first way to tell stands. */
function listCauses(all: readonly Concluded[]): Cause[] {
  const causes = new Map<string, Cause>();
  for (const { cause, settledBy } of pick(all, 'cause'))
    if (!causes.has(cause)) causes.set(cause, { cause, settledBy });
  return [...causes.values()];
}

/** The action once rules have spoken, with the reason that changed it; `null` where nothing did. */
function turn(
  { action, ourDoing }: Finding,
  all: readonly Concluded[],
  causes: readonly Cause[],
): { readonly action: Action; readonly why: Reason } | null {
  if (ourDoing || action === 'urgent' || action === 'look-again') return null;
  if (causes.length > 1) {
    const names = causes.map(({ cause }) => cause).join(', ');
    const text = `more than one cause is possible (${names}): look again before deciding`;
    return { action: 'look-again', why: { rule: 'causes-compete', text } };
  }
  const [raised] = pick(all, 'action')
    .filter((one) => WEIGHT[one.action] > WEIGHT[action])
    .sort((a, b) => WEIGHT[b.action] - WEIGHT[a.action]);
  if (raised) return { action: raised.action, why: { rule: raised.rule, text: raised.text } };
  const [none] = pick(all, 'no-action');
  if (none && action === 'monitor')
    return { action: 'none', why: { rule: none.rule, text: none.text } };
  return null;
}

/** A finding with its causes, and the action that they and the rules leave it. */
export function settleAction(finding: Finding, all: readonly Concluded[]): Finding {
  // Most findings are turned by nothing.
  if (all.length === 0) return finding;
  const causes = listCauses(all);
  const turned = turn(finding, all, causes);
  const action = turned?.action ?? finding.action;
  return {
    ...finding,
    action,
    computed: { severity: finding.severity, action },
    because: turned ? [...finding.because, turned.why] : finding.because,
    causes,
  };
}
