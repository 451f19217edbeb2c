import type { Inspection } from '#core/model/job/inspection';
import { hasRight, type Person } from '#core/office/roles';

/**
 * A new job as somebody's: what an inspector books or reads in is theirs, whatever its file says; the office says later
 * whose it is. Without people nothing is said.
 */
export function ownedBy(inspection: Inspection, who: Person | null): Inspection {
  if (!who || hasRight(who.role, 'log', false) || who.role === 'office') return inspection;
  return { ...inspection, job: { ...inspection.job, assignedTo: who.id } };
}
