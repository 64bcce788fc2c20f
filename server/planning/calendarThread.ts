import { parentPort, workerData } from 'node:worker_threads';
import { calendarText } from '#core/calendar/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { BetterPlan } from '#core/plan/index';

/** A thread of its own that plans once and writes the calendar: who else asks the server is answered meanwhile. */

export type CalendarWanted = { readonly facts: Facts; readonly now: number; readonly searchMs: number };

const { facts, now, searchMs } = workerData as CalendarWanted;
const search = new BetterPlan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [] });
const until = Date.now() + searchMs;
while (Date.now() < until && search.next());
parentPort?.postMessage(calendarText(search.best(), facts));
