import { type Conditions, nextSun } from '#core/drying/index';
import type { Workshop } from '#core/facts/index';
import { type Activity, type FreeInterval, freeIntervals } from '#core/schedule/index';
import { joinedSpans, type Minute } from '#core/units/index';
import { placeInTheSun } from '../../verdicts/index.ts';
import type { PlanContext } from '../../films/index.ts';
import type { Step } from '../../steps/index.ts';

/** When a warm spell may begin: an oven is on only while somebody is at home, and the sun has to shine. */
export class WarmHours {
  readonly #context: PlanContext;
  readonly #conditions: Conditions;
  readonly #free: readonly FreeInterval[];
  #home: readonly FreeInterval[] | null = null;

  constructor(context: PlanContext, conditions: Conditions, free: readonly FreeInterval[]) {
    this.#context = context;
    this.#conditions = conditions;
    this.#free = free;
  }

  of({ warm }: Step): Pick<Activity, 'nextAir' | 'neverWhy'> {
    if (warm?.by === 'oven') {
      return { nextAir: (from, minutes) => this.#attended(from, minutes + warm.minutes), neverWhy: NEVER_AT_HOME };
    }
    const air = warm?.by === 'sun' ? this.#conditions[placeInTheSun(this.#context.facts.places)?.id ?? ''] : undefined;
    return warm && air ? { nextAir: (from, minutes) => nextSun(air, from, minutes + warm.minutes), neverWhy: NEVER_SO_LONG } : {};
  }

  #attended(from: Minute, minutes: Minute): Minute | null {
    const { workshop, now } = this.#context;
    this.#home ??= joinedSpans([...this.#free, ...homeHours(workshop, now)]);
    const span = this.#home.find((own) => Math.max(from, own.from) + minutes <= own.to);
    return span ? Math.max(from, span.from) : null;
  }
}

const NEVER_AT_HOME = 'nobody is at home for as long as the oven is on: say under Workshop when somebody is, or warm it for less time';
const NEVER_SO_LONG = 'the sun does not shine for so long in the next two weeks: less time, or another warmth';

function homeHours(workshop: Workshop, now: Minute): FreeInterval[] {
  if (!workshop.atHome?.length) return [];
  return freeIntervals({ ...workshop, freeHours: workshop.atHome, extraFree: [], longestStay: undefined }, now);
}
