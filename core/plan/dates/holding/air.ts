import { airAt, airVerdict, type Conditions, familyDrying, SprayHours, sprayRange, type SprayRange } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { CoatOfStep } from '../../steps/index.ts';

/** Minutes before a coat at which the air that held it is looked at. */
const JUST_BEFORE = 15;

/** The air of the spray place as coats meet it, reckoned once for all paints of the same range. */
export class SprayAir {
  readonly #place: Conditions[string] | undefined;
  readonly #now: Minute;
  readonly #facts: Facts;
  readonly #known = new Map<string, SprayHours>();

  constructor(conditions: Conditions, placeId: string, now: Minute, facts: Facts) {
    this.#place = conditions[placeId];
    this.#now = now;
    this.#facts = facts;
  }

  /** The next moment from `from` on at which the air lets the coat on; null if it never does. */
  next(coat: CoatOfStep): (from: Minute) => Minute | null {
    const place = this.#place;
    if (!place) return (from) => from;
    const range = this.#range(coat);
    const key = `${range.minC} ${range.maxC} ${range.maxRh}`;
    const hours = this.#known.get(key) ?? new SprayHours(place, range, this.#now);
    this.#known.set(key, hours);
    return (from) => hours.next(from);
  }

  /** What was wrong with the air just before a coat that waited for it. */
  whyNotSooner(coat: CoatOfStep, start: Minute): string {
    if (!this.#place) return 'the air is not right sooner';
    const { verdict, because } = airVerdict(airAt(this.#place, start - JUST_BEFORE), this.#range(coat));
    return verdict === 'stop' ? `the air is not right sooner: ${because.replace(/\.$/, '')}` : 'the air is not right sooner';
  }

  /** Why a coat would not go on then; null where the air lets it. */
  stops(coat: CoatOfStep, at: Minute): string | null {
    if (!this.#place) return null;
    const { verdict, because } = airVerdict(airAt(this.#place, at), this.#range(coat));
    return verdict === 'stop' ? because : null;
  }

  #range({ family, productId }: CoatOfStep): SprayRange {
    const product = this.#facts.products.find((candidate) => candidate.id === productId);
    const sheet = this.#facts.sheets.find((candidate) => candidate.id === product?.sheetId);
    const drying = familyDrying(family);
    return sprayRange(drying.early ?? drying.mechanism, family, sheet?.label);
  }
}
