import type { FastifyPluginAsync } from 'fastify';
import { minuteNow } from '../clock.ts';
import type { CalendarPlans } from '../planning/calendarPlans.ts';
import { UnknownFact } from '../store/refusals.ts';
import type { Store } from '../store/store.ts';

/** The plan as a calendar: stays with their alarms, for another program to read or subscribe to. */
export function calendarRoutes(store: Store, plans: CalendarPlans): FastifyPluginAsync {
  return async (app) => {
    app.get('/api/calendar.ics', async (_request, reply) => {
      const { facts } = store.snapshot();
      if (facts.workshop.length === 0) throw new UnknownFact('The workshop is not set up yet: there is no plan to write.');
      const text = await plans.text(facts, store.changes, Math.floor(minuteNow()));
      return reply.type('text/calendar; charset=utf-8').send(text);
    });
  };
}
