import type { APIContext } from 'astro';
import type { Inspection } from '#core/model/job/inspection';
import { database } from '../database';
import { loadInspection } from '../inspections';
import { findJob } from '../jobs';
import { Refusal, refuseUnknown } from './answer';

/** The job id of the path, if there is such a job. */
export function knownJobId({ params }: Pick<APIContext, 'params'>): string {
  const jobId = params['jobId'] ?? '';
  if (!findJob(database(), jobId)) throw refuseUnknown('job');
  return jobId;
}

/** The inspection of the path's job. */
export function knownInspection({ params }: Pick<APIContext, 'params'>): Inspection {
  const inspection = loadInspection(database(), params['jobId'] ?? '');
  if (!inspection) throw refuseUnknown('job');
  return inspection;
}

/** Answers a method that an endpoint does not have. */
export function refuseMethod(allowed: string): Refusal {
  return new Refusal(405, 'wrong-method', `Expected ${allowed} here. Nothing was stored.`);
}
