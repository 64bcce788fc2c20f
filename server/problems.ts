import type { FastifyError, FastifyInstance, FastifyRequest } from 'fastify';
import { z } from 'zod';
import { BadSetting } from './badSetting.ts';
import { NoCalendar } from './planning/calendarPlans.ts';
import { diskTroubleOf } from './store/diskTrouble.ts';
import { BadFact, StaleWrite, UnknownFact } from './store/refusals.ts';

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
  app.setErrorHandler(async (error: FastifyError, request, reply) => {
    const details = detailsOf(error, request.routeOptions.bodyLimit ?? app.initialConfig.bodyLimit ?? 0);
    if (details.status === 500) console.error(error);
    if (details.status === 413) await heardOut(request);
    return reply.status(details.status).type('application/problem+json').send(details);
  });
}

const OUT_OF_ROOM = 507;
/** More than this is not listened to: whoever sends it is cut off. */
const MOST_HEARD_OUT = 1_000_000_000;

/** A browser that is still sending would never read the answer: what it sends is let run out first. */
async function heardOut({ raw }: FastifyRequest): Promise<void> {
  if (Number(raw.headers['content-length'] ?? 0) > MOST_HEARD_OUT) return;
  let heard = 0;
  await new Promise<void>((resolve) => {
    raw.on('data', (chunk: Buffer) => {
      heard += chunk.length;
      if (heard > MOST_HEARD_OUT) resolve();
    });
    for (const end of ['end', 'close', 'error']) raw.once(end, () => resolve());
    if (raw.readableEnded || raw.destroyed) resolve();
    raw.resume();
  });
}

function detailsOf(error: FastifyError, bodyLimit: number): ProblemDetails {
  const refused = refusalOf(error);
  if (refused) return refused;
  if (error.code === 'FST_ERR_CTP_BODY_TOO_LARGE')
    return problem(413, 'That is larger than this program takes.', `Send at most ${bodyLimit / 1e6} MB.`);
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

/** What the store or the disk said no to, or null. */
function refusalOf(error: Error): ProblemDetails | null {
  if (error instanceof StaleWrite)
    return problem(409, error.message, 'Look at the newer state, then change it again.', { current: error.current });
  if (error instanceof UnknownFact) return problem(404, error.message, 'Reload the page.');
  if (error instanceof BadFact) return problem(422, error.problem.error, error.problem.mend, { at: error.problem.at });
  if (error instanceof BadSetting) return problem(422, error.message, 'Choose another file.');
  if (error instanceof NoCalendar)
    return problem(503, error.message, 'Nothing was changed. Lay aside or take out the piece that was added last, then try again.');
  const trouble = diskTroubleOf(error);
  return trouble
    ? problem(
        OUT_OF_ROOM,
        trouble.message,
        'Nothing was changed. Make room on the disk or allow writing there, then start the program again.',
      )
    : null;
}
