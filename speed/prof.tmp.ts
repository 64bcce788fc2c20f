import { conditionsOf } from '#core/drying/index';
import { generatedFacts } from '#core/invented/index';
import { plan } from '#core/plan/index';
const now = Date.UTC(2026, 11, 1, 19) / 60000;
for (const n of [5, 20, 80]) {
  const facts = generatedFacts(n, 7, now);
  const air = conditionsOf(facts, now);
  for (const d of [[], undefined]) {
    let best = 1e9;
    for (let i = 0; i < 3; i++) {
      const t = performance.now();
      plan({ facts, now, conditions: air, datesOf: d as string[] });
      best = Math.min(best, performance.now() - t);
    }
    console.log(n, d ? 'feasible' : 'full', best.toFixed(0));
  }
}
