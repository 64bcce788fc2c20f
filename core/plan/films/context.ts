import type { Evidence } from '#core/coats/index';
import type { DryingClocks } from '#core/drying/index';
import type { Facts, Workshop } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { History } from './history.ts';

/** Everything the step builders read. */
export type PlanContext = {
  readonly facts: Facts;
  readonly workshop: Workshop;
  readonly now: Minute;
  readonly clocks: DryingClocks;
  readonly history: History;
  /** What boards and finished jobs have shown of joints. */
  readonly evidence: readonly Evidence[];
};
