import { wrap, type Remote } from 'comlink';
import type { BuyApi } from './buy.worker.ts';

type Buyer = { readonly thread: Worker; readonly api: Remote<BuyApi> };

/** The one that has answered waits for the next question: its solver is read in already. */
let idle: Buyer | null = null;

function hired(): Buyer {
  const thread = new Worker(new URL('./buy.worker.ts', import.meta.url), { type: 'module' });
  return { thread, api: wrap<BuyApi>(thread) };
}

/** A question to the solver, in a worker beside the page: it cannot be interrupted, so whoever drops an open question ends the worker. */
export function askBuyer<T>(ask: (buyer: Remote<BuyApi>) => Promise<T>): { readonly answer: Promise<T>; readonly drop: () => void } {
  const buyer = idle ?? hired();
  idle = null;
  let open = true;
  const drop = () => {
    if (open) buyer.thread.terminate();
    open = false;
  };
  const answer = ask(buyer.api).then(
    (found) => {
      if (open && idle === null) idle = buyer;
      else buyer.thread.terminate();
      open = false;
      return found;
    },
    (error: unknown) => {
      drop();
      throw error;
    },
  );
  return { answer, drop };
}
