import highsLoader from 'highs';
import type { Solve, Solved } from '#core/buying/index';

/** The integer programmes of the core, solved by HiGHS. Its wasm is fetched with the first question. */

const PROVEN = 1e-9;

export const solveWithHighs: Solve = async (programme, seconds) => {
  const begun = performance.now();
  const said: string[] = [];
  // One solve a module: it does not come back from an error inside. What it prints holds the bound that its answer lacks.
  const solver = await highsLoader({ print: (line: string) => said.push(line), printErr: () => undefined } as object);
  const answer = solver.solve(programme, { random_seed: 1, time_limit: seconds, mip_rel_gap: PROVEN, mip_abs_gap: 0.5 });
  const values = new Map(Object.entries(answer.Columns).flatMap(([name, column]) => ('Primal' in column ? [[name, column.Primal]] : [])));
  const found = Number.isFinite(answer.ObjectiveValue) && values.size > 0 && hasSolution(answer.Status, said);
  return { status: statusOf(answer.Status), values: found ? values : null, bound: boundIn(said), took: (performance.now() - begun) / 1000 };
};

function statusOf(status: string): Solved['status'] {
  if (status === 'Optimal') return 'optimal';
  return status === 'Infeasible' ? 'infeasible' : 'stopped';
}

function hasSolution(status: string, said: readonly string[]): boolean {
  return status === 'Optimal' || said.some((line) => /Solution status\s+feasible/.test(line));
}

/** The line of its report that says how good an answer could be at best. */
function boundIn(said: readonly string[]): number | null {
  const line = said.findLast((own) => /Dual bound/.test(own));
  const bound = line === undefined ? Number.NaN : Number(/Dual bound\s+(\S+)/.exec(line)?.[1]);
  return Number.isFinite(bound) ? bound : null;
}
