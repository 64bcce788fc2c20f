import type { DoneEvent, Piece, WorkStage } from '#core/facts/index';
import { factorFrom, type History } from '../films/index.ts';
import type { Step } from './step.ts';

/** How long work takes this person: minutes typed for a piece, else what the log has learned of each kind of work. */

/** Factor on the usual minutes of a kind of work. `treatment` tells one go at it from another. */
export type WorkPace = (stage: WorkStage, treatment: string | null) => number;

const LEAST_FACTOR = 0.25;
const MOST_FACTOR = 4;

/** Factor of each stage from the log: real minutes against those the plan had given, drawn towards 1 (BRIEF §8). */
export function learnedPace({ events }: Pick<History, 'events'>): WorkPace {
  const ratios = new Map<string, number[]>();
  for (const event of events) {
    if (event.kind !== 'done' || !event.minutes || !event.expected) continue;
    const stage = stageOf(event);
    const ratio = Math.min(MOST_FACTOR, Math.max(LEAST_FACTOR, event.minutes / event.expected));
    ratios.set(stage, [...(ratios.get(stage) ?? []), ratio]);
  }
  const factors = new Map([...ratios].map(([stage, own]) => [stage, factorFrom(own) ?? 1]));
  return (stage) => factors.get(stage) ?? 1;
}

function stageOf({ stepKeys }: DoneEvent): string {
  return stepKeys[0].split('.')[2] ?? '';
}

/**
 * What the person has typed for a piece comes before all else: one go at a kind of work then takes so long over all its parts,
 * its set-up once. `usual` are the steps as they come without it.
 */
export function typedPace(piece: Piece, usual: readonly Step[], learned: WorkPace): WorkPace {
  const { minutes } = piece;
  if (!minutes) return learned;
  const goes = new Map<string, { work: number; setup: number }>();
  for (const step of usual) {
    const key = goOf(step.stage, step.treatment);
    const { work, setup } = goes.get(key) ?? { work: 0, setup: 0 };
    goes.set(key, { work: work + step.minutes - step.setup, setup: Math.max(setup, step.setup) });
  }
  return (stage, treatment) => {
    const typed = minutes[stage];
    const go = goes.get(goOf(stage, treatment));
    if (typed === undefined || !go || go.work === 0) return learned(stage, treatment);
    return (Math.max(1, typed - go.setup) / go.work) * learned(stage, treatment);
  };
}

/** One go at a kind of work: its treatment without the sitting and the moment it was tied to. */
function goOf(stage: WorkStage, treatment: string | null): string {
  return `${stage} ${(treatment ?? '').replace(/ (sitting \d+ of \d+|@\d+|patch \d+ of \d+)/g, '')}`;
}
