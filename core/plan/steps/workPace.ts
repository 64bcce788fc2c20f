import type { DoneEvent, LogEvent, Piece, WorkStage } from '#core/facts/index';
import { factorFrom, type History } from '../films/index.ts';
import type { Step } from './step.ts';

/** How long work takes this person: minutes typed for a piece, else what the log has learned of each kind of work. */

/** Factor on the usual minutes of a kind of work. `treatment` tells one go at it from another. */
export type WorkPace = (stage: WorkStage, treatment: string | null) => number;

const LEAST_FACTOR = 0.25;
const MOST_FACTOR = 4;

/** What the log says of one kind of work: how often it was timed, and the factor on the usual minutes it comes to. */
export type LearnedWork = { readonly stage: WorkStage; readonly goes: number; readonly factor: number };

/**
 * Factor of each kind of work from the log: real minutes against the usual ones, drawn towards 1 (trade §8). What was done
 * together counts as one go. The plan of that day had what was learned until then in its minutes, so that is taken out first:
 * else a factor would only ever come half the way.
 */
export function learnedWork(events: readonly LogEvent[]): LearnedWork[] {
  const ratios = new Map<WorkStage, number[]>();
  const factors = new Map<WorkStage, number>();
  for (const { stage, minutes, expected } of timedGoes(events)) {
    const usual = expected / (factors.get(stage) ?? 1);
    const own = [...(ratios.get(stage) ?? []), Math.min(MOST_FACTOR, Math.max(LEAST_FACTOR, minutes / usual))];
    ratios.set(stage, own);
    factors.set(stage, factorFrom(own) ?? 1);
  }
  return [...ratios].map(([stage, own]) => ({ stage, goes: own.length, factor: factors.get(stage) ?? 1 }));
}

type TimedGo = { readonly stage: WorkStage; readonly minutes: number; readonly expected: number };

/** Entries with their minutes, those of one go at one kind of work on one piece together. */
function timedGoes(events: readonly LogEvent[]): TimedGo[] {
  const goes = new Map<string, TimedGo>();
  for (const event of events) {
    if (event.kind !== 'done' || !event.minutes || !event.expected) continue;
    const stage = stageOf(event);
    const key = `${event.at} ${event.pieceId} ${stage}`;
    const { minutes = 0, expected = 0 } = goes.get(key) ?? {};
    goes.set(key, { stage, minutes: minutes + event.minutes, expected: expected + event.expected });
  }
  return [...goes.values()];
}

/** The pace that the log shows; 1 where it says nothing. Worked out once for a history: every piece asks. */
export function learnedPace(history: Pick<History, 'events'>): WorkPace {
  const known = paces.get(history) ?? paceFrom(history.events);
  paces.set(history, known);
  return known;
}

const paces = new WeakMap<Pick<History, 'events'>, WorkPace>();

function paceFrom(events: readonly LogEvent[]): WorkPace {
  const factors = new Map(learnedWork(events).map(({ stage, factor }) => [stage, factor]));
  return (stage) => factors.get(stage) ?? 1;
}

function stageOf({ stepKeys }: DoneEvent): WorkStage {
  return stepKeys[0].split('.')[2] as WorkStage;
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
