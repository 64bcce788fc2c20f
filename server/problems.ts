import type { FastifyError, FastifyInstance } from 'fastify';
import { z } from 'zod';
import { BadFact, StaleWrite, UnknownFact } from './store/store.ts';

/** RFC 9457 problem details that say what to do. */
export const problemSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.int(),
    detail: z.string(),
    at: z.string().optional(),
    mend: z.string(),
    current: z.int().optional(),
  })
  .meta({ id: 'Problem' });
export type ProblemDetails = z.infer<typeof problemSchema>;

export function problem(status: number, title: string, mend: string, more: Partial<ProblemDetails> = {}): ProblemDetails {
  return { type: 'about:blank', title, status, detail: title, mend, ...more };
}

export function answerWithProblems(app: FastifyInstance): void {
  app.setErrorHandler((error: FastifyError, _request, reply) => {
    const details = detailsOf(error);
    if (details.status >= 500) app.log.error(error);
    return reply.status(details.status).type('application/problem+json').send(details);
  });
}

function detailsOf(error: FastifyError): ProblemDetails {
  if (error instanceof StaleWrite)
    return problem(409, error.message, 'Look at the newer state, then change it again.', { current: error.current });
  if (error instanceof UnknownFact) return problem(404, error.message, 'Reload the page.');
  if (error instanceof BadFact) return problem(422, error.problem.error, error.problem.mend, { at: error.problem.at });
  if (error.code === 'FST_ERR_CTP_BODY_TOO_LARGE')
    return problem(413, 'That is larger than this program takes.', 'Send a file of at most 20 MB.');
  if (error.validation)
    return problem(422, error.message, 'Correct the value named and send it again.', { at: error.validation[0]?.instancePath });
  const status = error.statusCode ?? 500;
  if (status < 500) return problem(status, error.message, 'Correct the request and send it again.');
  return problem(
    500,
    'The program met an error of its own.',
    'Nothing was changed. Try again; if it stays, export your workshop and restart.',
  );
}
