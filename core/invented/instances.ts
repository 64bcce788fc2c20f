import { seededRandom } from '#core/plan/index';
import type { Instance, Kept, WaitBetween, Work } from '#core/schedule/index';

/** Small invented scheduling problems on a 15-minute grid: coats with windows, a booth, evenings, some that cannot be solved. */

export const GRID = 15;

/** A problem of at most so many pieces of work over three to five evenings. */
export function inventedInstance(seed: number, most = 12): Instance {
  const random = seededRandom(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const grid = (from: number, to: number) => GRID * whole(from, to);
  const count = whole(4, most);
  const free = evenings(whole(2, 4), grid, whole);
  const work: Work[] = Array.from({ length: count }, (_, at) => {
    const attended = random() < 0.85;
    const sprays = attended && random() < 0.6;
    return {
      id: `w${at}`,
      minutes: grid(1, 3),
      attended,
      uses: new Map<string, number>(sprays ? [['booth', 1]] : random() < 0.2 ? [['rack', whole(1, 2)]] : []),
      ...(sprays ? { mix: ['white', 'red', 'clear'][whole(0, 2)] } : {}),
      ...(random() < 0.12 ? { notBefore: grid(0, 60) } : {}),
      ...(random() < 0.06 ? { notAfter: grid(80, 300) } : {}),
    };
  });
  const waits: WaitBetween[] = [];
  for (let to = 1; to < count; to++) {
    if (random() < 0.25) continue;
    const from = whole(Math.max(0, to - 3), to - 1);
    waits.push({ from, to, allowed: invertedWindow(random, grid) });
    if (random() < 0.12 && to > 1) waits.push({ from: whole(0, to - 1), to, allowed: [{ min: 0, max: null }] });
  }
  const kept: Kept[] = waits
    .filter(() => random() < 0.15)
    .slice(0, 2)
    .map(({ from, to }) => ({ resource: 'rack', units: 1, from, to }));
  return {
    work,
    waits,
    kept,
    free,
    capacity: new Map([
      ['booth', whole(1, 2)],
      ['rack', whole(2, 3)],
    ]),
    changeover: new Map([['booth', random() < 0.5 ? GRID : 0]]),
  };
}

function evenings(count: number, grid: (from: number, to: number) => number, whole: (from: number, to: number) => number) {
  return Array.from({ length: count }, (_, day) => {
    const from = day * 1440 + grid(0, 6);
    return { from, to: from + grid(5, 10 + whole(0, 2)) };
  });
}

/** Open at once, after a wait, until it shuts, or shut in the middle. */
function invertedWindow(random: () => number, grid: (from: number, to: number) => number) {
  const min = grid(0, 3);
  const kind = random();
  if (kind < 0.35) return [{ min, max: null }];
  const max = min + grid(1, 8);
  if (kind < 0.6) return [{ min, max }];
  return [
    { min, max },
    { min: max + grid(8, 60), max: kind < 0.8 ? null : max + grid(90, 160) },
  ];
}
