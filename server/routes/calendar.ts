import { setImmediate } from 'node:timers/promises';
import { calendarText } from '#core/calendar/index';
import { conditionsOf } from '#core/drying/index';
import { BetterPlan } from '#core/plan/index';
import type { FastifyPluginAsync } from 'fastify';
import { minuteNow } from '../clock.ts';
import { UnknownFact } from '../store/refusals.ts';
import type { Store } from '../store/store.ts';

/** The plan as a calendar: stays with their alarms, for another program to read or subscribe to. */
export function calendarRoutes(store: Store): FastifyPluginAsync {
  return async (app) => {
    app.get('/api/calendar.ics', async (_request, reply) => {
      const { facts } = store.snapshot();
      if (facts.workshop.length === 0) throw new UnknownFact('The workshop is not set up yet: there is no plan to write.');
      const now = Math.floor(minuteNow());
      const search = new BetterPlan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] });
      // Whoever else asks the server is answered between two rounds.
      while (search.next()) await setImmediate();
      return reply.type('text/calendar; charset=utf-8').send(calendarText(search.best(), facts));
    });
  };
}
