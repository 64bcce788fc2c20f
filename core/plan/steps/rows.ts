import { changingMinutes } from '#core/amounts/index';
import { renamed, stepsLookedAt } from './constraint.ts';
import { type Cup, cupsTogether, cupText } from './paint/cup.ts';
import type { CoatOfStep, Step } from './step.ts';

/**
 * Steps of one piece that are the same treatment and may be done together become one row: washed together, primed together, their
 * set-up counted once. Each row is still a step, on several parts.
 */

export type RowLimits = {
  /** A row is no longer than this, minutes. */
  readonly longest: number;
  /** Rows not joined: by the ids of the steps that are to stand alone. */
  readonly alone?: ReadonlySet<string>;
};

/** Chains of parts, each in its own order, as rows in an order that keeps every chain's. */
export function joinedIntoRows(chains: readonly (readonly Step[])[], limits: RowLimits): Step[] {
  const rows: Step[][] = [];
  const rowOf = new Map<string, number>();
  const at = chains.map(() => 0);
  const last = chains.map(lastOfTreatments);
  const heads = () => chains.flatMap((chain, index) => (at[index] < chain.length ? [{ index, step: chain[at[index]] }] : []));
  for (let open = heads(); open.length > 0; open = heads()) {
    const next = open.find(({ step }) => !comesLater(step, last, at)) ?? open[0];
    const mates = open.filter(({ step }) => mayJoin(next.step, step, rowOf, limits));
    const row = withinLimit(mates.length > 0 ? mates : [next], limits.longest);
    for (const { index, step } of row) {
      rowOf.set(step.id, rows.length);
      at[index]++;
    }
    rows.push(row.map(({ step }) => step));
  }
  const leader = new Map(rows.flatMap((row) => row.map((step) => [step.id, row[0].id] as const)));
  return rows.map((row) => joined(row, (id) => leader.get(id) ?? id));
}

/** The same treatment still lies ahead in another chain: joined later, unless nothing else can go on. */
function comesLater({ treatment, stopped }: Step, last: readonly ReadonlyMap<string, number>[], at: readonly number[]): boolean {
  if (treatment === null || stopped) return false;
  return last.some((places, index) => (places.get(treatment) ?? -1) > at[index]);
}

/** The last place of each treatment in a chain. */
function lastOfTreatments(chain: readonly Step[]): ReadonlyMap<string, number> {
  const open = chain.flatMap(({ treatment, stopped }, index) => (treatment === null || stopped ? [] : [[treatment, index] as const]));
  return new Map(open);
}

function mayJoin(one: Step, other: Step, rowOf: ReadonlyMap<string, number>, { alone }: RowLimits): boolean {
  if (one === other) return true;
  if (one.treatment === null || one.treatment !== other.treatment) return false;
  if (one.stopped !== other.stopped || alone?.has(one.id) || alone?.has(other.id)) return false;
  if (one.notBefore !== other.notBefore) return false;
  return !one.tight || rowsBefore(one, rowOf) === rowsBefore(other, rowOf);
}

/** The rows that what a step shares a window with stands in. */
function rowsBefore(step: Step, rowOf: ReadonlyMap<string, number>): string {
  const before = step.constraints.flatMap((constraint) => constraint.together.map((id) => rowOf.get(id) ?? -1));
  return [...new Set(before)].sort((a, b) => a - b).join(' ');
}

/** As many as fit into one sitting; the others make the next row. */
function withinLimit<T extends { readonly step: Step }>(mates: readonly T[], longest: number): T[] {
  const row: T[] = [];
  let minutes = 0;
  for (const mate of mates) {
    const own = mate.step.minutes - (row.length > 0 ? mate.step.setup : 0);
    if (row.length > 0 && minutes + own > longest) continue;
    row.push(mate);
    minutes += own;
  }
  return row;
}

function joined(row: readonly Step[], rowOf: (id: string) => string): Step {
  const [first] = row;
  const ids = new Set(row.map((step) => step.id));
  const all = row.flatMap((step) =>
    step.constraints.filter((own) => !stepsLookedAt(own).some((id) => ids.has(id))).map((own) => renamed(own, rowOf)),
  );
  if (row.length === 1) return { ...first, constraints: all };
  const constraints = unique(all);
  const setup = Math.max(...row.map((step) => step.setup));
  const checks = [...new Set(row.flatMap((step) => step.checks ?? []))];
  const inspects = row.flatMap((step) => step.inspects ?? []);
  const cup = first.cup && cupOf(row);
  return {
    ...first,
    keys: row.flatMap((step) => step.keys),
    on: row.flatMap((step) => step.on),
    pegs: row.flatMap((step) => step.pegs),
    minutes: setup + row.reduce((sum, step) => sum + step.minutes - step.setup, 0) + loadsJoined(row),
    setup,
    scuffMinutes: row.reduce((sum, step) => sum + step.scuffMinutes, 0),
    hazards: [...new Set(row.flatMap((step) => step.hazards))],
    detail: detailOf(row),
    supplies: first.cup ? first.supplies : row.flatMap((step) => step.supplies),
    constraints,
    ...(cup ? { cup, detail: cupText(cup) } : {}),
    ...(first.coat ? { coat: coatOf(row), title: titleOfCoat(row) } : {}),
    ...(checks.length > 0 ? { checks } : {}),
    ...(inspects.length > 0 ? { inspects } : {}),
  };
}

/** Parts sprayed side by side fill loads of the booth together: what that adds to the loads each has by itself, minutes. */
function loadsJoined(row: readonly Step[]): number {
  const shares = row.map(({ coat }) => coat?.boothShare ?? 0);
  const together = changingMinutes(shares.reduce((sum, share) => sum + share, 0));
  return together - shares.reduce((sum, share) => sum + changingMinutes(share), 0);
}

/** One cup for parts of one piece, which keeps one touch-up jar. */
function cupOf(row: readonly Step[]): Cup {
  const cups = row.flatMap((step) => step.cup ?? []);
  return { ...cupsTogether(cups), keptMl: Math.max(...cups.map(({ keptMl }) => keptMl)) };
}

/** What is said of each step, once. */
function detailOf(row: readonly Step[]): string {
  const details = [...new Set(row.map((step) => step.detail).filter(Boolean))];
  return details.length <= 1 ? (details[0] ?? '') : details[0];
}

function coatOf(row: readonly Step[]): CoatOfStep {
  const coats = row.map((step) => step.coat as CoatOfStep);
  const sum = (of: (coat: CoatOfStep) => number) => coats.reduce((total, coat) => total + of(coat), 0);
  return {
    ...coats[0],
    ml: sum((coat) => coat.ml),
    paintMl: sum((coat) => coat.paintMl),
    reducerMl: sum((coat) => coat.reducerMl),
    hardenerMl: sum((coat) => coat.hardenerMl),
    filmMl: sum((coat) => coat.filmMl),
    sweepsMl: sum((coat) => coat.sweepsMl),
    boothShare: sum((coat) => coat.boothShare),
    holds: sum((coat) => coat.sweepsMl) > sum((coat) => coat.filmMl) ? 'sweeps' : 'film',
  };
}

/** "Coat 1 of 2" where all have as many; "coat 1" where they differ. */
function titleOfCoat(row: readonly Step[]): string {
  const [first] = row;
  const of = [...new Set(row.map((step) => step.coat?.of))];
  const { name = '', number = 1 } = first.coat ?? {};
  return of.length === 1 ? first.title : `Coat ${number}, ${name}`;
}

function unique<T>(list: readonly T[]): T[] {
  const seen = new Map<string, T>();
  for (const item of list) {
    const key = JSON.stringify(item);
    if (!seen.has(key)) seen.set(key, item);
  }
  return [...seen.values()];
}
