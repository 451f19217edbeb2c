import type { APIRoute } from 'astro';

/** A job opens where its work is done. */
export const GET: APIRoute = ({ params, redirect }) =>
  redirect(`/jobs/${encodeURIComponent(params['jobId'] ?? '')}/scope`, 302);
