import type { APIContext } from 'astro';
import type { Inspection } from '#core/model/job/inspection';
import { jobRevision, loadInspection } from '../services/jobs';
import { Refusal, refuseUnknown } from './answer';

type Asked = Pick<APIContext, 'params' | 'locals'>;

/** The job id of the path, if there is such a job. */
export function requireJobId({ params, locals }: Asked): string {
  const jobId = params['jobId'] ?? '';
  if (jobRevision(locals.call, jobId) === null) throw refuseUnknown('job');
  return jobId;
}

/** The inspection of the path's job. */
export function requireInspection({ params, locals }: Asked): Inspection {
  const inspection = loadInspection(locals.call, params['jobId'] ?? '');
  if (!inspection) throw refuseUnknown('job');
  return inspection;
}

/** Answers a method that an endpoint does not have. */
export function refuseMethod(allowed: string): Refusal {
  return new Refusal(405, 'wrong-method', `Expected ${allowed} here. Nothing was stored.`);
}
