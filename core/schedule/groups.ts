import type { Activity, Gap, Problem } from './model.ts';

/** Activities that share a window are placed together: which they are, and what each group waits for. */

/** Activities tied by a shared window, in the order their gaps give. */
export function groupsOf(problem: Problem, gapsTo: ReadonlyMap<string, readonly Gap[]>): Activity[][] {
  const leader = new Map<string, string>();
  const find = (id: string): string => {
    const up = leader.get(id);
    return up === undefined || up === id ? id : find(up);
  };
  for (const gap of problem.gaps) {
    for (const from of gap.together) leader.set(find(gap.to), find(from));
  }
  const groups = new Map<string, Activity[]>();
  for (const activity of inOrder(problem, gapsTo)) {
    const key = find(activity.id);
    groups.set(key, [...(groups.get(key) ?? []), activity]);
  }
  return [...groups.values()];
}

/** Topological order of all activities; the given order breaks ties. */
function inOrder({ activities }: Problem, gapsTo: ReadonlyMap<string, readonly Gap[]>): Activity[] {
  const byId = new Map(activities.map((activity) => [activity.id, activity]));
  const result: Activity[] = [];
  const seen = new Set<string>();
  const visit = (id: string) => {
    const activity = byId.get(id);
    if (!activity || seen.has(id)) return;
    seen.add(id);
    for (const gap of gapsTo.get(id) ?? []) gap.from.forEach(visit);
    result.push(activity);
  };
  for (const activity of activities) visit(activity.id);
  return result;
}

/** How many activities outside itself each group still waits for. */
export class Awaited {
  readonly #groups: readonly Activity[][];
  readonly #count = new Map<Activity[], number>();
  readonly #waitingFor = new Map<string, Activity[][]>();

  constructor(groups: readonly Activity[][], gapsTo: ReadonlyMap<string, readonly Gap[]>) {
    this.#groups = groups;
    for (const group of groups) {
      const inside = new Set(group.map(({ id }) => id));
      const before = new Set(group.flatMap(({ id }) => (gapsTo.get(id) ?? []).flatMap(({ from }) => from)).filter((id) => !inside.has(id)));
      this.#count.set(group, before.size);
      for (const id of before) this.#waitingFor.set(id, [...(this.#waitingFor.get(id) ?? []), group]);
    }
  }

  /** Groups that wait for nothing. */
  free(): Activity[][] {
    return this.#groups.filter((group) => this.#count.get(group) === 0);
  }

  /** What waits for nothing any more now that a group is placed, in the order given. */
  placed(done: readonly Activity[]): Activity[][] {
    const freed = new Set<Activity[]>();
    for (const { id } of done)
      for (const group of this.#waitingFor.get(id) ?? []) {
        const left = (this.#count.get(group) ?? 1) - 1;
        this.#count.set(group, left);
        if (left === 0) freed.add(group);
      }
    return freed.size < 2 ? [...freed] : this.#groups.filter((group) => freed.has(group));
  }
}
