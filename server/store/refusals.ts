import type { Problem } from '#core/facts/index';

/** Why the store does not do what it was asked; nothing is changed then. */

export class StaleWrite extends Error {
  readonly current: number;
  constructor(current: number) {
    super('Another tab has changed this meanwhile.');
    this.current = current;
  }
}

export class UnknownFact extends Error {}

export class BadFact extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(problem.error);
    this.problem = problem;
  }
}
