import type { DryingClocks } from '#core/drying/index';
import { type FreeInterval, PACK_UP_MINUTES, withStay } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import { resolveRef, tapeOffWindow } from '../../films/index.ts';
import type { Step } from '../../steps/index.ts';

/**
 * Free stretches with the stay that each masked, sprayed and still wet film asks for: whoever has sprayed it is there, and stays
 * until its tape is off, whatever the hours of the week say. Tape that is left until the next evening tears the edge.
 */
export function stayingForTape(free: readonly FreeInterval[], steps: readonly Step[], clocks: DryingClocks, now: Minute): FreeInterval[] {
  return steps
    .filter((step) => step.stopped === undefined)
    .flatMap((step) =>
      step.constraints.flatMap(({ rule }) => (rule.is === 'tape-off' && 'at' in rule.film.last ? [{ step, film: rule.film }] : [])),
    )
    .flatMap(({ step, film }) => {
      const window = tapeOffWindow(film, clocks, LOGGED);
      const from = Math.max(now, resolveRef(film.last, LOGGED));
      return window.to > now ? [{ from, to: Math.max(now, window.from) + step.minutes + PACK_UP_MINUTES + LEEWAY }] : [];
    })
    .reduce<FreeInterval[]>((stays, stay) => withStay(stays, stay), [...free]);
}

const LOGGED = () => Number.POSITIVE_INFINITY;
/** Nobody lifts tape to the second, minutes. */
const LEEWAY = 2;
