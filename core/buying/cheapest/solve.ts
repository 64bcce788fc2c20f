/** What a solver of integer programmes answers; who it is, and where it runs, core does not know. */

export type Solved = {
  readonly status: 'optimal' | 'infeasible' | 'stopped';
  /** The best values found, by name; none where nothing was found in time. */
  readonly values: ReadonlyMap<string, number> | null;
  /** What no answer can better, in the objective; null where none was proven. */
  readonly bound: number | null;
  /** Seconds it took, where it says. */
  readonly took?: number;
};

/** @param programme in the LP format @param seconds after which it stops with the best it has */
export type Solve = (programme: string, seconds: number) => Promise<Solved>;

/** Even the last of several questions is given so many seconds. */
const LEAST_SECONDS = 0.3;

/** The same solver for a run of questions that share so many seconds. */
export function within(seconds: number, solve: Solve): (programme: string) => Promise<Solved> {
  let left = seconds;
  return async (programme) => {
    const answer = await solve(programme, Math.max(LEAST_SECONDS, left));
    left -= answer.took ?? 0;
    return answer;
  };
}
