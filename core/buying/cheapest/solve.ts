/** What a solver of integer programmes answers; who it is, and where it runs, core does not know. */

export type Solved = {
  readonly status: 'optimal' | 'infeasible' | 'stopped';
  /** The best values found, by name; none where nothing was found in time. */
  readonly values: ReadonlyMap<string, number> | null;
  /** What no answer can better, in the objective; null where none was proven. */
  readonly bound: number | null;
};

/** @param programme in the LP format @param seconds after which it stops with the best it has */
export type Solve = (programme: string, seconds: number) => Promise<Solved>;
