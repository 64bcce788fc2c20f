import { Worker } from 'node:worker_threads';
import type { Facts } from '#core/facts/index';
import type { CalendarWanted } from './calendarThread.ts';

/** The plan as a calendar could not be worked out, and why. */
export class NoCalendar extends Error {}

type Made = { readonly changes: number; readonly now: number; readonly text: Promise<string> };

/** A better plan is looked for so long at most. */
const SEARCH_MS = 20_000;
/** A thread that has not answered by then never will. */
const MOST_MS = 180_000;

/** Calendars of the workshop, each planned in a thread of its own; whoever asks for the same one meanwhile waits for that. */
export class CalendarPlans {
  readonly #mostMs: number;
  #newest: Made | null = null;
  readonly #running = new Set<Worker>();

  constructor(mostMs = MOST_MS) {
    this.#mostMs = mostMs;
  }

  /** @param changes how many writes these facts have seen @throws NoCalendar where the planner fails or never ends */
  text(facts: Facts, changes: number, now: number): Promise<string> {
    if (this.#newest?.changes === changes && this.#newest.now === now) return this.#newest.text;
    const text = this.#planned({ facts, now, searchMs: SEARCH_MS });
    const made = { changes, now, text };
    this.#newest = made;
    // What failed is tried anew by the next who asks.
    text.catch(() => {
      if (this.#newest === made) this.#newest = null;
    });
    return text;
  }

  async close(): Promise<void> {
    await Promise.all([...this.#running].map((thread) => thread.terminate()));
  }

  #planned(workerData: CalendarWanted): Promise<string> {
    const thread = startThread(workerData);
    this.#running.add(thread);
    return new Promise<string>((resolve, reject) => {
      const timer = setTimeout(() => {
        reject(new NoCalendar('The plan took too long to work out.'));
        void thread.terminate();
      }, this.#mostMs);
      thread.once('message', resolve);
      thread.once('error', (error) => {
        console.error(error);
        reject(new NoCalendar('The plan could not be worked out.'));
      });
      thread.once('exit', () => {
        clearTimeout(timer);
        this.#running.delete(thread);
        reject(new NoCalendar('The plan was not finished.'));
      });
    });
  }
}

/** In dist/ the thread lies bundled beside the server; in the repository it is read as it is written, compiled on the way. */
function startThread(workerData: CalendarWanted): Worker {
  if (!import.meta.url.endsWith('.ts')) return new Worker(new URL('./calendarThread.js', import.meta.url), { workerData });
  const { href } = new URL('./calendarThread.ts', import.meta.url);
  const compiled = `import('tsx/esm/api').then(({ register }) => { register(); return import('${href}'); })`;
  return new Worker(compiled, { eval: true, workerData });
}
