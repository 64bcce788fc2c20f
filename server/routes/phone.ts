import type { FastifyPluginAsync } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Changes } from '../changes.ts';
import type { PhoneListener } from '../phone/phoneListener.ts';
import type { Devices } from '../store/devices.ts';
import { UnknownFact } from '../store/refusals.ts';

const MOST_HOURS = 24;
const stateSchema = z
  .object({
    url: z.string().nullable(),
    until: z.string().nullable(),
    code: z.object({ code: z.string(), until: z.string() }).nullable(),
    names: z.array(z.string()),
    devices: z.array(z.object({ id: z.string(), name: z.string(), pairedAt: z.string() })),
  })
  .meta({ id: 'Phone' });

/** Opening and closing the door to phones; only from this machine. */
export function phoneRoutes(listener: PhoneListener, devices: Devices, changes: Changes): FastifyPluginAsync {
  return async (plugin) => {
    const app = plugin.withTypeProvider<ZodTypeProvider>();
    const state = () => ({ ...listener.state(), names: listener.names, devices: devices.list() });
    const answered = { response: { 200: stateSchema } };

    app.get('/api/phone', { schema: answered }, async () => state());

    app.post(
      '/api/phone/open',
      {
        schema: {
          body: z.object({
            name: z.string().max(200),
            hours: z.number().positive('Open it for some time.').max(MOST_HOURS, `At most ${MOST_HOURS} hours.`),
          }),
          ...answered,
        },
      },
      async ({ body }) => {
        await listener.open(body.name, body.hours);
        return state();
      },
    );

    app.post('/api/phone/close', { schema: answered }, async () => {
      await listener.close();
      return state();
    });

    app.post('/api/phone/code', { schema: answered }, async () => {
      listener.renewCode();
      return state();
    });

    app.delete('/api/phone/devices/:id', { schema: { params: z.object({ id: z.string().max(64) }), ...answered } }, async ({ params }) => {
      if (!devices.revoke(params.id)) throw new UnknownFact('This phone is not paired any more.');
      // Open streams hear of it and find that their phone is a stranger now.
      changes.announce(0);
      return state();
    });
  };
}
