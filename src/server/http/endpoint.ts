import type { APIContext, APIRoute } from 'astro';
import { answerError, Refusal } from './answer';

/** Wraps an endpoint: refusals become the one error shape, and nothing inside ever leaks out. */
export function endpoint(handle: (context: APIContext) => Promise<Response> | Response): APIRoute {
  return async (context) => {
    try {
      return await handle(context);
    } catch (error) {
      if (error instanceof Refusal) return answerError(error);
      console.error(error);
      return answerError(
        new Refusal(
          500,
          'unexpected',
          'Something went wrong in Chert. Nothing was stored; what you typed is kept here. Try again.',
        ),
      );
    }
  };
}
