import type { TaskKind } from '#core/facts/index';

/** Tasks there are in most restorations, with usual minutes; the rest is the person's own. */
export type ReadyTask = {
  readonly kind: TaskKind;
  readonly name: string;
  readonly minutes: number;
  /** Left alone after it, minutes. */
  readonly alone?: number;
};

const OVERNIGHT = 12 * 60;

export const READY_TASKS: readonly ReadyTask[] = [
  { kind: 'glue', name: 'Glue a part', minutes: 6, alone: OVERNIGHT },
  { kind: 'glazing', name: 'Fit glazing', minutes: 10, alone: OVERNIGHT },
  { kind: 'join', name: 'Join shells', minutes: 15, alone: OVERNIGHT },
  { kind: 'light-test', name: 'Light test', minutes: 10 },
  { kind: 'tyre', name: 'Wrap a tyre', minutes: 4 },
  { kind: 'screw', name: 'Cut a screw', minutes: 4 },
  { kind: 'seals', name: 'Fit seals', minutes: 12 },
  { kind: 'hang', name: 'Hang and align', minutes: 20 },
  { kind: 'old-glue', name: 'Clean off old glue', minutes: 12 },
  { kind: 'own', name: '', minutes: 10 },
];
