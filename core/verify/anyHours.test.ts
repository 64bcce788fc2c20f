import { conditionsOf } from '#core/drying/index';
import type { Facts, Part, Place, Workshop } from '#core/facts/index';
import { generatedFacts } from '#core/invented/index';
import { type Plan, plan, seededRandom } from '#core/plan/index';
import { busyTime, outsideQuiet } from '#core/schedule/index';
import { addDays, DAY, HOUR, localMoment, toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { verifyPlan } from './index.ts';

/** Workshops of any hours, air and goal: whatever is planned keeps every rule, and out of what is kept free. */

const CASES = Number(process.env.SENSE_JOBS ?? (process.env.PROOF ? 2000 : 60));
/** Most are small; the long proof has more of the large ones, up to twelve pieces. */
const SMALL = process.env.PROOF ? 2 : 5;
const GOALS = ['soonest', 'soonest', 'soonest', 'fewest-sessions', 'calmest'] as const;
/** Month ends, a leap day, and both changes of the clocks. */
const MOMENTS = [
  Date.UTC(2026, 11, 1, 18),
  Date.UTC(2026, 9, 24, 17),
  Date.UTC(2027, 2, 27, 19),
  Date.UTC(2028, 1, 28, 20),
  Date.UTC(2026, 11, 30, 21),
].map((at) => at / 60_000);

/** Its last layer is warmed: not always in a way it bears. */
function warmedPart(part: Part, pick: <T>(list: readonly T[]) => T): Part {
  const warm = { by: pick(['oven', 'oven', 'warm-room'] as const), surfaceC: pick([38, 45, 55, 75]), minutes: pick([30, 60, 150]) };
  return { ...part, layers: part.layers.map((layer, index) => (index === part.layers.length - 1 ? { ...layer, warm } : layer)) };
}

function anyWorkshop(seed: number): { readonly facts: Facts; readonly now: number } {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  const now = pick(MOMENTS);
  const facts = generatedFacts(1 + Math.floor(random() ** SMALL * 12), seed, now);
  const clock = (hour: number) => `${String(Math.floor(hour)).padStart(2, '0')}:${random() < 0.5 ? '00' : '30'}`;
  const freeHours = [1, 2, 3, 4, 5, 6, 7]
    .filter(() => random() < 0.6)
    .map((weekday) => {
      const from = 8 + Math.floor(random() * 12);
      return { weekday, from: clock(from), to: clock(Math.min(23, from + 2 + Math.floor(random() * 3))) };
    });
  const today = localMoment(now, 'Europe/Lisbon').date;
  const away = random() < 0.4 ? [{ from: addDays(today, 2), to: addDays(today, 2 + Math.floor(random() * 6)) }] : [];
  const busy = Array.from({ length: Math.floor(random() * 12) }, (_, index) => {
    const from = now + index * DAY + Math.floor(random() * 20) * HOUR;
    return { from: toIso(from), to: toIso(from + (1 + Math.floor(random() * 5)) * HOUR) };
  });
  const workshop: Workshop = {
    ...facts.workshop[0],
    freeHours,
    away,
    goal: pick(GOALS),
    ...(random() < 0.3 ? { longestStay: 45 + 15 * Math.floor(random() * 6) } : {}),
    ...(seed % 4 === 1
      ? {
          dryingPlaces: [
            { count: 2 + (seed % 9), longMm: 400 },
            { count: 2, longMm: 2500 },
          ],
        }
      : {}),
    ...(seed % 5 === 2
      ? {
          oven: { longMm: 350, wideMm: 300, highMm: 250, mostC: 90 },
          atHome: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '17:00', to: '23:00' })),
          tub: { longMm: 400, wideMm: 300, deepMm: 250 },
        }
      : {}),
    ...(random() < 0.4 ? { quietHours: [{ from: '21:00', to: '08:00' }] } : {}),
  };
  const air = (place: Place): Place => ({ ...place, meanC: 8 + random() * 18, swingC: random() * 6, meanRh: 40 + random() * 35 });
  return {
    now,
    facts: {
      ...facts,
      workshop: [workshop],
      places: facts.places.map(air),
      calendars: busy.length > 0 ? [{ id: 'busy', name: 'Busy', readAt: toIso(now), spans: busy }] : [],
      pieces: facts.pieces.map((piece) => ({
        ...piece,
        ...(seed % 5 === 2 ? { parts: piece.parts.map((part, index) => (index % 2 === 0 ? warmedPart(part, pick) : part)) } : {}),
        ...(random() < 0.15 ? { turn: pick(['first', 'last'] as const) } : {}),
        ...(random() < 0.1 ? { held: { since: toIso(now) } } : {}),
      })),
    },
  };
}

/** What the verifier of rules does not ask: hours that are kept free of all work, or of noise. */
function outOfBounds({ steps }: Plan, facts: Facts): string[] {
  const [{ quietHours, timeZone, longestStay, away }] = facts.workshop;
  const busy = busyTime(facts);
  return steps.flatMap(({ title, placed, coat, method, pieceId }) => {
    if (!placed) return [];
    const { start, end } = placed;
    const { date } = localMoment(start, timeZone);
    const loud = method === 'blast' || coat?.hand === 'airbrush' || coat?.hand === 'gun';
    return [
      ...(busy.some((span) => start < span.to - 1e-6 && end > span.from + 1e-6) ? [`${title} in busy time`] : []),
      ...(away.some((own) => own.from <= date && date <= own.to) ? [`${title} on a day away`] : []),
      ...(loud && outsideQuiet(quietHours, timeZone, start, end - start) !== start ? [`${title} in quiet hours`] : []),
      ...(longestStay !== undefined && end - start > longestStay ? [`${title} longer than a stay`] : []),
      ...(facts.pieces.find(({ id }) => id === pieceId)?.held ? [`${title} of a piece laid aside`] : []),
    ];
  });
}

describe('workshops of any hours', () => {
  it('are planned by every rule, out of all that is kept free', { timeout: 3_600_000 }, () => {
    let placed = 0;
    for (let seed = 1; seed <= CASES; seed++) {
      const { facts, now } = anyWorkshop(seed);
      const conditions = conditionsOf(facts, now);
      const result = plan({ facts, now, conditions, datesOf: [], effort: seed % 3 === 0 ? 3 : 0 });
      const broken = verifyPlan(result, facts, conditions).map(({ rule, text }) => `${rule}: ${text}`);
      expect([seed, broken, outOfBounds(result, facts)]).toEqual([seed, [], []]);
      placed += result.steps.filter((step) => step.placed).length;
    }
    expect(placed).toBeGreaterThan(10 * CASES);
  });
});
