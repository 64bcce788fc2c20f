import highsLoader from 'highs';
import { GRID } from '#core/invented/index';
import { apartOf, type Goal, type Instance, MOST_ROOM } from '#core/schedule/index';

/**
 * The proven optimum of a small problem on the 15-minute grid, by a time-indexed integer programme. It shares nothing with the search
 * it is held against but the problem itself and how far apart two of its pieces must lie.
 */

export type Optimum = {
  readonly status: 'optimal' | 'infeasible' | 'unproven';
  /** Finish; or sessions; or the least room. */
  readonly value: number;
};

type Term = readonly [factor: number, name: string];

class Programme {
  readonly rows: string[] = [];
  readonly binaries = new Set<string>();
  readonly bounds: string[] = [];

  row(terms: readonly Term[], sense: '<=' | '>=' | '=', right: number): void {
    if (terms.length > 0) this.rows.push(` c${this.rows.length}: ${sumOf(terms)} ${sense} ${right}`);
  }

  text(objective: string, maximise: boolean): string {
    return [
      maximise ? 'Maximize' : 'Minimize',
      ` obj: ${objective}`,
      'Subject To',
      ...this.rows,
      'Bounds',
      ...this.bounds,
      'Binary',
      ` ${[...this.binaries].join(' ')}`,
      'End',
    ].join('\n');
  }
}

function sumOf(terms: readonly Term[]): string {
  return terms.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ');
}

const SECONDS = 60;

export async function optimum(instance: Instance, goal: Goal): Promise<Optimum> {
  const { work, waits, kept, free, capacity } = instance;
  const programme = new Programme();
  const end = Math.max(...free.map((span) => span.to)) + work.reduce((sum, own) => sum + own.minutes, 0) + 2 * 1440;
  const slots = Math.ceil(end / GRID);
  const starts = work.map((own) =>
    Array.from({ length: slots }, (_, slot) => slot).filter((slot) => {
      const at = slot * GRID;
      if (at < (own.notBefore ?? 0) || (own.notAfter !== undefined && at + own.minutes > own.notAfter)) return false;
      return !own.attended || free.some((span) => span.from <= at && at + own.minutes <= span.to);
    }),
  );
  if (starts.some((own) => own.length === 0)) return { status: 'infeasible', value: Number.NaN };
  const x = (at: number, slot: number) => `x${at}_${slot}`;
  for (const [at, own] of starts.entries()) {
    for (const slot of own) programme.binaries.add(x(at, slot));
    programme.row(
      own.map((slot) => [1, x(at, slot)]),
      '=',
      1,
    );
  }
  const begun = (at: number): Term[] => starts[at].map((slot) => [slot * GRID, x(at, slot)]);
  // A wait: what comes after may start at a slot only if what comes before started at one that suits.
  for (const { from, to, allowed } of waits)
    for (const slot of starts[to]) {
      const suits = starts[from].filter((other) => {
        const waited = slot * GRID - other * GRID - work[from].minutes;
        return allowed.some(({ min, max }) => waited >= min && (max === null || waited <= max));
      });
      programme.row([[1, x(to, slot)], ...suits.map((other): Term => [-1, x(from, other)])], '<=', 0);
    }
  // Two that must lie apart.
  for (let one = 0; one < work.length; one++)
    for (let other = one + 1; other < work.length; other++) {
      const apart = apartOf(instance, one, other);
      if (apart === null || apart === 0) continue;
      for (const slot of starts[one]) {
        const meets = starts[other].filter((own) => {
          const [a, b] = [slot * GRID, own * GRID];
          return b < a + work[one].minutes + apart && a < b + work[other].minutes + apart;
        });
        // Only one of them is the start of the other, so together they are at most one.
        if (meets.length > 0) programme.row([[1, x(one, slot)], ...meets.map((own): Term => [1, x(other, own)])], '<=', 1);
      }
    }
  const running = (at: number, slot: number) =>
    starts[at].filter((own) => own * GRID <= slot * GRID && slot * GRID < own * GRID + work[at].minutes);
  for (let slot = 0; slot < slots; slot++) {
    const person = work.flatMap(({ attended }, at) => (attended ? running(at, slot).map((own): Term => [1, x(at, own)]) : []));
    if (person.length > 1) programme.row(person, '<=', 1);
    for (const [resource, units] of capacity) {
      const terms = work
        .flatMap(({ uses }, at) => running(at, slot).map((own): Term => [uses.get(resource) ?? 0, x(at, own)]))
        .filter(([factor]) => factor > 0);
      for (const own of kept) {
        if (own.resource !== resource) continue;
        // Held once the first has begun and until the last has ended.
        for (const at of starts[own.from]) if (at <= slot) terms.push([own.units, x(own.from, at)]);
        for (const at of starts[own.to]) if (at * GRID + work[own.to].minutes <= slot * GRID) terms.push([-own.units, x(own.to, at)]);
      }
      if (terms.length > 0) programme.row(terms, '<=', units);
    }
  }
  const { objective, maximise, big } = aim(goal, instance, programme, begun, starts, x, end);
  const solver = await highsLoader();
  const answer = solver.solve(programme.text(objective, maximise), { output_flag: false, random_seed: 1, time_limit: SECONDS });
  if (answer.Status === 'Infeasible') return { status: 'infeasible', value: Number.NaN };
  const value = answer.ObjectiveValue;
  return {
    status: answer.Status === 'Optimal' ? 'optimal' : 'unproven',
    value: big === null ? Math.round(value) : Math.floor(value / big + 1e-6),
  };
}

/** The objective of each goal: the first term alone is compared. */
function aim(
  goal: Goal,
  { work, waits, free }: Instance,
  programme: Programme,
  begun: (at: number) => Term[],
  starts: readonly (readonly number[])[],
  x: (at: number, slot: number) => string,
  end: number,
): { readonly objective: string; readonly maximise: boolean; readonly big: number | null } {
  if (goal === 'soonest') {
    programme.bounds.push(` 0 <= finish <= ${end}`);
    for (const [at, own] of work.entries())
      programme.row([[1, 'finish'], ...begun(at).map(([factor, name]): Term => [-factor, name])], '>=', own.minutes);
    return { objective: 'finish', maximise: false, big: null };
  }
  if (goal === 'fewest-sessions') {
    for (const [index, span] of free.entries()) {
      programme.binaries.add(`z${index}`);
      for (const [at, own] of work.entries()) {
        if (!own.attended) continue;
        const inside = starts[at].filter((slot) => span.from <= slot * GRID && slot * GRID + own.minutes <= span.to);
        programme.row([...inside.map((slot): Term => [1, x(at, slot)]), [-1, `z${index}`]], '<=', 0);
      }
    }
    return { objective: sumOf(free.map((_, index): Term => [1, `z${index}`])), maximise: false, big: null };
  }
  programme.bounds.push(` 0 <= room <= ${MOST_ROOM}`);
  const much = 2 * end + MOST_ROOM;
  for (const [index, { from, to, allowed }] of waits.entries()) {
    const chosen = allowed.map((_, own) => `y${index}_${own}`);
    for (const name of chosen) programme.binaries.add(name);
    programme.row(
      chosen.map((name): Term => [1, name]),
      '=',
      1,
    );
    const waited: Term[] = [...begun(to), ...begun(from).map(([factor, name]): Term => [-factor, name])];
    for (const [own, { min, max }] of allowed.entries()) {
      programme.row([...waited, [-much, chosen[own]]], '>=', min + work[from].minutes - much);
      if (max === null) continue;
      programme.row([...waited, [much, chosen[own]]], '<=', max + work[from].minutes + much);
      programme.row([...waited, [1, 'room'], [much, chosen[own]]], '<=', max + work[from].minutes + much);
    }
  }
  return { objective: 'room', maximise: true, big: null };
}
