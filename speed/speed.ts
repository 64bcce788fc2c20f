import { readdirSync, readFileSync, statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { conditionsOf, DryingClocks, filmTimes } from '#core/drying/index';
import { type Facts, readWorkshopText } from '#core/facts/index';
import { BetterPlan, type Plan, plan } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';
import { generatedFacts } from '#core/invented/index';
import { GOALS } from '#core/schedule/index';
import { buyingFigures, LARGE, togetherFigures } from './buying.ts';
import { gapsToOptimum } from './gap.ts';

/** One table of measured figures, fixed seeds: `npm run speed` (after a build for the bytes). */

type Row = { readonly what: string; readonly figure: string };
const rows: Row[] = [];
const median = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)];

function timed(runs: number, work: () => void): number {
  work();
  return median(
    Array.from({ length: runs }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

const read = readWorkshopText(readFileSync(new URL('../demo/breakwater.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problem.error);
const now = toMinute(read.value.writtenAt);
const conditions = conditionsOf(read.value.facts, now);
const demo = plan({ facts: read.value.facts, now, conditions });
const demoMs = timed(15, () => plan({ facts: read.value.facts, now, conditions }));
const firstMs = timed(15, () => plan({ facts: read.value.facts, now, conditions, datesOf: [] }));
rows.push({
  what: 'plan of the demo, median of 15',
  figure: `${demoMs.toFixed(0)} ms, without its dates ${firstMs.toFixed(0)} ms, ${demo.steps.length} steps`,
});

const sizes = [5, 20, 80];
const times = sizes.map((pieces) => {
  const facts = generatedFacts(pieces, 7, now);
  const air = conditionsOf(facts, now);
  const steps = plan({ facts, now, conditions: air }).steps.length;
  const ms = timed(3, () => plan({ facts, now, conditions: air, datesOf: [] }));
  const dated = timed(3, () => plan({ facts, now, conditions: air }));
  rows.push({
    what: `first plan of a generated workshop of ${pieces} pieces`,
    figure: `${ms.toFixed(0)} ms, with its dates ${dated.toFixed(0)} ms, ${steps} steps`,
  });
  return ms;
});
rows.push({ what: 'growth exponent 5 to 80 pieces', figure: (Math.log(times[2] / times[0]) / Math.log(sizes[2] / sizes[0])).toFixed(2) });

for (const [what, facts] of [
  ['the demo', read.value.facts],
  ['a generated workshop of 10 pieces', generatedFacts(10, 3, now)],
] as const) {
  const air = conditionsOf(facts, now);
  const figures = (result: Plan) => {
    const attended = result.sessions.reduce((sum, { attendedMinutes }) => sum + attendedMinutes, 0);
    const setUps = result.steps.filter(({ setup, placed }) => setup > 0 && placed?.saved === 0).length;
    const ends = result.pieces.flatMap(({ planned }) => (planned === null ? [] : [planned - now]));
    const days = ends.reduce((sum, end) => sum + end, 0) / ends.length / 1440;
    return `${result.sessions.length} sessions, ${setUps} set-ups, ${attended} min, pieces end after ${days.toFixed(1)} d`;
  };
  const base = { facts, now, conditions: air, datesOf: [] };
  rows.push({ what: `${what}, part by part`, figure: figures(plan({ ...base, partByPart: true })) });
  rows.push({ what: `${what}, in batches`, figure: figures(plan(base)) });
  const search = new BetterPlan(base);
  const start = performance.now();
  while (search.next());
  const seconds = ((performance.now() - start) / 1000).toFixed(1);
  rows.push({ what: `${what}, after ${search.of} rounds`, figure: `${figures(search.best())}; ${seconds} s` });
}

/** Steps in another stay when the first one is ten minutes late: with nothing agreed, agreed, and agreed and looked at again. */
const moved = { all: 0, loose: 0, agreed: 0, looked: 0 };
for (let seed = 1; seed <= 25; seed++) {
  const facts = generatedFacts(3, seed, now);
  const before = plan({ facts, now, conditions: conditionsOf(facts, now), datesOf: [], effort: 6 });
  const starts = new Map(before.steps.flatMap(({ id, placed }) => (placed ? [[id, placed.start]] : [])));
  const agreed = { id: 'agreed' as const, at: toIso(now), starts: Object.fromEntries([...starts].map(([id, at]) => [id, toIso(at)])) };
  const late = Math.min(...starts.values()) + 10;
  const away = (own: Facts, effort: number) => {
    const after = plan({ facts: own, now: late, conditions: conditionsOf(own, late), datesOf: [], effort });
    return after.steps.filter(({ id, placed }) => Math.abs((placed?.start ?? Number.POSITIVE_INFINITY) - (starts.get(id) ?? 0)) > 720)
      .length;
  };
  moved.all += starts.size;
  moved.loose += away(facts, 0);
  moved.agreed += away({ ...facts, agreed: [agreed] }, 0);
  moved.looked += away({ ...facts, agreed: [agreed] }, 60);
}
rows.push({
  what: 'ten minutes late in 25 workshops of 3 pieces',
  figure: `of ${moved.all} steps ${moved.loose} moved half a day with nothing agreed, ${moved.agreed} agreed, ${moved.looked} after 60 rounds`,
});

const CASES = 150;
for (const goal of GOALS) {
  const { compared, mean, worst, equal, infeasible, missed, unproven, millis } = await gapsToOptimum(goal, CASES);
  const off = goal === 'soonest' ? `mean ${(100 * mean).toFixed(2)} %, worst ${(100 * worst).toFixed(2)} %` : `worst ${worst} off`;
  rows.push({
    what: `${goal}, ${CASES} small problems beside their optimum`,
    figure: `${compared} compared, ${equal} equal, ${off}; ${infeasible} without a schedule, ${missed} missed, ${unproven} unproven; ${millis.toFixed(0)} ms each`,
  });
}

const year = {
  room: {
    start: now,
    tempC: Array.from({ length: 8760 }, (_, hour) => 15 + 6 * Math.cos(hour / 3.8)),
    rh: Array.from({ length: 8760 }, () => 55),
    rests: '',
    measured: false,
  },
};
const filmsMs = timed(5, () => {
  const clocks = new DryingClocks(year);
  for (let index = 0; index < 500; index++) {
    filmTimes(
      {
        family: 'alkyd-enamel',
        placeId: 'room',
        firstCoatEnd: now + index * 600,
        lastCoatEnd: now + index * 600 + 20,
        coatRatio: 1,
        filmRatio: 1,
      },
      clocks,
    );
  }
});
rows.push({ what: 'buying, 20 needs of 8 products in 3 shops', figure: await buyingFigures({ needs: 20, products: 8, shops: 3 }, 20) });
rows.push({
  what: 'buying, 60 needs of 20 products in 6 shops, stopped within 5 s',
  figure: await buyingFigures(LARGE.size, LARGE.seconds),
});
rows.push({ what: 'paint of the demo', figure: await togetherFigures(read.value.facts, now, conditions) });

rows.push({ what: 'a year of hourly air and 500 films', figure: `${filmsMs.toFixed(0)} ms` });

/** Script of the first route, compressed: the entry, what it preloads, and Tonight. */
function firstLoad(): string {
  const folder = new URL('../dist/web/assets/', import.meta.url);
  const scripts = readdirSync(folder).filter((name) => name.endsWith('.js') && !name.startsWith('plan.worker'));
  const wanted = new Set<string>();
  const visit = (name: string) => {
    if (wanted.has(name)) return;
    wanted.add(name);
    const text = readFileSync(new URL(name, folder), 'utf8');
    for (const [, target] of text.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) visit(target);
  };
  for (const name of scripts.filter((script) => /^(index|Tonight)-/.test(script))) visit(name);
  const bytes = [...wanted].reduce((sum, name) => sum + gzipSync(readFileSync(new URL(name, folder))).length, 0);
  const worker = readdirSync(folder).find((name) => name.startsWith('plan.worker'));
  const workerBytes = worker ? gzipSync(readFileSync(new URL(worker, folder))).length : 0;
  return `${Math.round(bytes / 1024)} kB in ${wanted.size} files, plan worker ${Math.round(workerBytes / 1024)} kB beside it`;
}
try {
  statSync(new URL('../dist/web/assets/', import.meta.url));
  rows.push({ what: 'first route, compressed script', figure: firstLoad() });
} catch {
  rows.push({ what: 'first route, compressed script', figure: 'build first: npm run build' });
}

const width = Math.max(...rows.map((row) => row.what.length));
for (const row of rows) console.log(`${row.what.padEnd(width)}  ${row.figure}`);
