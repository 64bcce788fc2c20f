import { readBusy } from '#core/calendar/index';
import { expose } from 'comlink';

/** A calendar of many years is read here, away from the page. */
const api = { read: readBusy };
export type CalendarApi = typeof api;
expose(api);
