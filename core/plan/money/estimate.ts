import { plain } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import { counted, type Minute } from '#core/units/index';
import type { PlannedStep } from '../dates/index.ts';
import type { PieceMoney } from './money.ts';

/** What a job comes to for somebody else, on one page: price, dates and hours, each likely and safe. */

export type Estimate = {
  readonly likelyPrice: number;
  readonly safePrice: number;
  /** True while a price rests on no offer. */
  readonly about: boolean;
  readonly likely: Minute | null;
  readonly safe: Minute | null;
  readonly sessions: number;
  /** At the bench, to the half hour. */
  readonly hours: number;
  readonly work: readonly { readonly what: 'strip' | 'coats' | 'other'; readonly text: string }[];
  readonly hazards: readonly Hazard[];
};

type Planned = {
  readonly pieceId: string;
  readonly money: PieceMoney;
  readonly likely: Minute | null;
  readonly safe: Minute | null;
  readonly sessions: number;
  readonly attendedMinutes: number;
};

export function estimateOf({ pieceId, money, likely, safe, sessions, attendedMinutes }: Planned, steps: readonly PlannedStep[]): Estimate {
  const own = steps.filter((step) => step.pieceId === pieceId).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
  const likelyPrice = priceFor(money);
  return {
    likelyPrice,
    safePrice: likelyPrice + money.forecast - money.total,
    about: money.about,
    likely,
    safe,
    sessions,
    hours: Math.max(0.5, Math.round(attendedMinutes / 30) / 2),
    work: [...stripWork(own), ...coatWork(own), ...otherWork(own)],
    hazards: [...new Set(own.flatMap(({ hazards }) => hazards))],
  };
}

/** For somebody else paint out of one's own cans costs too: what it is worth, or what must be bought for it where that is more. */
function priceFor({ total, used, bought, toBuy, paintAhead }: PieceMoney): number {
  return total + Math.max(0, used - bought) + Math.max(0, paintAhead - toBuy);
}

function stripWork(steps: readonly PlannedStep[]): Estimate['work'] {
  const methods = new Set(steps.flatMap(({ method }) => (method ? [plain(method)] : [])));
  return [...methods].map((method) => ({ what: 'strip', text: `old paint: ${method}` }));
}

function coatWork(steps: readonly PlannedStep[]): Estimate['work'] {
  const coats = new Map<string, number>();
  for (const { coat } of steps) if (coat) coats.set(coat.name, Math.max(coats.get(coat.name) ?? 0, coat.of));
  return [...coats].map(([name, count]) => ({ what: 'coats', text: `${counted(count, 'coat')} of ${name}` }));
}

const OTHER: readonly (readonly [PlannedStep['stage'], string])[] = [
  ['repair', 'damage mended'],
  ['mask', 'masked between colours'],
  ['detail', 'details by hand'],
  ['decal', 'decals put on'],
  ['flat', 'flatted between coats'],
  ['warm', 'cured with warmth'],
  ['age', 'aged on purpose'],
  ['assemble', 'put together'],
];

function otherWork(steps: readonly PlannedStep[]): Estimate['work'] {
  return OTHER.flatMap(([stage, text]) => (steps.some((step) => step.stage === stage) ? [{ what: 'other' as const, text }] : []));
}
