import { type Fault } from '../../base/fault';
import { FORMAT, FORMAT_VERSION, type Inspection } from './inspection';
import { type Job } from './job';
import { DEFAULT_JUDGEMENT, type Judgement } from './judgement';
import type { Property } from './property';

/** What it takes to book a scope. The form and the server check it by the same schema. */
export type Booking = {
  readonly id: string;
  readonly address: string;
  readonly client: string;
  readonly inspector: string;
  readonly scheduledFor: string;
  readonly inspectionPeriodEndsOn?: string;
  readonly scope: Job['scope'];
  readonly responsibility: Job['responsibility'];
  /** The account of the one whose job it is. */
  readonly assignedTo?: string;
  readonly position?: Property['position'];
  readonly fee?: string;
};

/** The period may not end before the day of the scope. */
export function periodFault({
  inspectionPeriodEndsOn,
  scheduledFor,
}: Pick<Job, 'inspectionPeriodEndsOn' | 'scheduledFor'>): Fault | null {
  const scopedOn = scheduledFor.slice(0, 10);
  if (inspectionPeriodEndsOn === undefined || inspectionPeriodEndsOn >= scopedOn) return null;
  return {
    path: 'inspectionPeriodEndsOn',
    expected: `a day on or after the scope (${scopedOn})`,
    got: inspectionPeriodEndsOn,
    next: 'check both dates',
  };
}

/**
 * The inspection that a booking starts: no access, no run, and only what is known so far. It is judged as
 * the inspector judges, and keeps that when the inspector's settings change.
 */
export function startInspection(
  booking: Booking,
  { profile, settings }: Pick<Judgement, 'profile' | 'settings'> = DEFAULT_JUDGEMENT,
): Inspection {
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    job: {
      id: booking.id,
      title: booking.address,
      scope: booking.scope,
      purpose: 'purchase',
      scheduledFor: booking.scheduledFor,
      ...(booking.inspectionPeriodEndsOn
        ? { inspectionPeriodEndsOn: booking.inspectionPeriodEndsOn }
        : {}),
      inspector: booking.inspector,
      ...(booking.assignedTo ? { assignedTo: booking.assignedTo } : {}),
      ...(booking.fee ? { fee: booking.fee } : {}),
      client: booking.client,
      responsibility: booking.responsibility,
      referenceRunId: '',
      profile,
    },
    property: {
      address: booking.address,
      ...(booking.position ? { position: booking.position } : {}),
      households: 1,
      occupancy: 'unknown',
      foundation: 'unknown',
    },
    accessPoints: [],
    runs: [],
    ties: [],
    decisions: [],
    settings,
  };
}
