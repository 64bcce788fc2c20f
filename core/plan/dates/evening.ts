import type { Minute } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';
import type { Session } from './sessions.ts';

/**
 * A stay at the bench as one flow: what is done side by side is one row, with all parts of all pieces that take it; what is done
 * while a film flashes says so; and a change of paint stands where it comes.
 */

export type EveningRow = {
  readonly kind: 'work';
  readonly steps: readonly PlannedStep[];
  readonly from: Minute;
  readonly to: Minute;
  /** Minutes of work in it, waits left out. */
  readonly minutes: number;
  /** Done while a coat before it flashes for the next of the same batch. */
  readonly whileItFlashes: boolean;
  /** When what is mixed for it must be used up; null: it keeps. */
  readonly mixGoodUntil: Minute | null;
};
export type ChangeRow = { readonly kind: 'change'; readonly from: Minute; readonly minutes: number; readonly before: PlannedStep };

export type Evening = {
  readonly rows: readonly (EveningRow | ChangeRow)[];
  /** Minutes of work, changes of paint counted in, and those waited between. */
  readonly working: number;
  readonly waiting: number;
  /** Minutes the same work would take part by part, each with a set-up of its own. */
  readonly partByPart: number;
  readonly pieceIds: readonly string[];
};

export function eveningOf(
  { from, to, attendedMinutes }: Pick<Session, 'from' | 'to' | 'attendedMinutes'>,
  steps: readonly PlannedStep[],
): Evening {
  const batches = batchesOf(steps).map((own, index, all) => rowOf(own, all, index));
  const rows = batches.flatMap((row, index) => [...changeBefore(batches, index), row]);
  const working = attendedMinutes + rows.reduce((sum, row) => sum + (row.kind === 'change' ? row.minutes : 0), 0);
  return {
    rows,
    working,
    waiting: Math.max(0, Math.round(to - from - working)),
    partByPart: attendedMinutes + steps.reduce((sum, step) => sum + sparedBy(step), 0),
    pieceIds: [...new Set(steps.map(({ pieceId }) => pieceId))],
  };
}

/** Set-up that a step does without because other parts, of its own piece or of another, share it. */
function sparedBy({ keys, setup, placed }: PlannedStep): number {
  return (keys.length - 1) * setup + (placed?.saved ?? 0);
}

/** Steps of one batch that follow each other, in order. */
function batchesOf(steps: readonly PlannedStep[]): PlannedStep[][] {
  const batches: PlannedStep[][] = [];
  for (const step of steps) {
    const last = batches.at(-1);
    if (last && step.batch !== null && last[0].batch === step.batch) last.push(step);
    else batches.push([step]);
  }
  return batches;
}

function rowOf(steps: readonly PlannedStep[], all: readonly (readonly PlannedStep[])[], index: number): EveningRow {
  const ends = steps.flatMap(({ mixGoodUntil }) => mixGoodUntil ?? []);
  return {
    kind: 'work',
    steps,
    from: startOf(steps[0]),
    to: Math.max(...steps.map(({ placed }) => placed?.end ?? 0)),
    minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    whileItFlashes: liesInFlash(all, index),
    mixGoodUntil: ends.length === 0 ? null : Math.min(...ends),
  };
}

/** Between two coats of one layer on one part, the second of which is the next one sprayed. */
function liesInFlash(all: readonly (readonly PlannedStep[])[], index: number): boolean {
  if (all[index].some(({ coat }) => coat)) return false;
  const before = all.slice(0, index).findLast(([{ coat }]) => coat);
  const after = all.slice(index + 1).find(([{ coat }]) => coat);
  if (!before || !after || before[0].batch !== after[0].batch) return false;
  const laid = new Set(before.flatMap(({ on }) => on.map(({ partId }) => partId)));
  return after.some(({ on, coat }) => (coat?.number ?? 1) > 1 && on.some(({ partId }) => laid.has(partId)));
}

/** The nozzle is cleared and the paint changed where the one sprayed before in this stay was another. */
function changeBefore(rows: readonly EveningRow[], index: number): ChangeRow[] {
  const [before] = rows[index].steps;
  const last = rows.slice(0, index).findLast(({ steps }) => steps[0].coat)?.steps[0].coat;
  if (!before.coat || !last || last.mix === before.coat.mix) return [];
  const idle = startOf(before) - rows[index - 1].to;
  return [{ kind: 'change', from: startOf(before) - Math.max(0, idle), minutes: Math.max(0, Math.round(idle)), before }];
}

function startOf({ placed }: PlannedStep): Minute {
  return placed?.start ?? 0;
}
