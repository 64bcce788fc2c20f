import { wrap, type Remote } from 'comlink';
import type { BuyApi } from './buy.worker.ts';

/** A question to the solver, in a worker of its own: it cannot be interrupted, so whoever drops the question ends the worker. */
export function askBuyer<T>(ask: (buyer: Remote<BuyApi>) => Promise<T>): { readonly answer: Promise<T>; readonly drop: () => void } {
  const worker = new Worker(new URL('./buy.worker.ts', import.meta.url), { type: 'module' });
  const drop = () => worker.terminate();
  return { answer: ask(wrap<BuyApi>(worker)).finally(drop), drop };
}
