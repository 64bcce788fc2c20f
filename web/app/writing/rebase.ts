/**
 * A change made on what the screen showed, put onto what is newest: quick edits one after the other lose nothing. What the
 * change touched wins, everything else stays as it is now. Lists of things with ids are followed by id, lists of names by name.
 */
export function rebased<T>(shown: T, changed: T, newest: T, names: Names = 'together'): T {
  if (Object.is(changed, shown)) return newest;
  if (Object.is(newest, shown)) return changed;
  if (isList(shown) && isList(changed) && isList(newest)) return rebasedList(shown, changed, newest, names) as T;
  if (names === 'together' && isNames(changed) && isNames(newest)) return rebasedNames(shown, changed, newest) as T;
  if (isRecord(shown) && isRecord(changed) && isRecord(newest)) return rebasedRecord(shown, changed, newest, names) as T;
  return changed;
}

/** What becomes of a list of names that both have changed: put together, or as the change has it where a person chose that. */
type Names = 'together' | 'as-changed';
type Item = { readonly id: string };
export type Bag = Readonly<Record<string, unknown>>;

export function isRecord(value: unknown): value is Bag {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isList(value: unknown): value is readonly Item[] {
  return Array.isArray(value) && value.every((item) => isRecord(item) && typeof item.id === 'string');
}

function isNames(value: unknown): value is readonly string[] {
  return Array.isArray(value) && value.length > 0 && value.every((name) => typeof name === 'string');
}

/** Names that came and went on either side; where the screen showed “all” instead of a list, both only took away from it. */
function rebasedNames(shown: unknown, changed: readonly string[], newest: readonly string[]): readonly string[] {
  const before = Array.isArray(shown) ? shown : shown === undefined ? [] : [...changed, ...newest];
  const kept = changed.filter((name) => newest.includes(name) || !before.includes(name));
  const all = [...kept, ...newest.filter((name) => !changed.includes(name) && !before.includes(name))];
  return all.length > 0 ? all : changed;
}

function rebasedRecord(shown: Bag, changed: Bag, newest: Bag, names: Names): Bag {
  const keys = new Set([...Object.keys(changed), ...Object.keys(newest)]);
  const entries = [...keys].flatMap((key) => {
    const untouched = Object.is(changed[key], shown[key]);
    const value = untouched ? newest[key] : rebased(shown[key], changed[key], newest[key], names);
    return value === undefined ? [] : [[key, value] as const];
  });
  return Object.fromEntries(entries);
}

function rebasedList(shown: readonly Item[], changed: readonly Item[], newest: readonly Item[], names: Names): readonly Item[] {
  const find = (list: readonly Item[], id: string) => list.find((item) => item.id === id);
  const merged = ({ id }: Item): Item | undefined => {
    const [before, item, now] = [find(shown, id), find(changed, id), find(newest, id)];
    if (!item) return before ? undefined : now;
    if (!before) return item;
    if (!now) return Object.is(item, before) ? undefined : item;
    return rebased(before, item, now, names);
  };
  const [first, second] = inSameOrder(shown, changed) ? [newest, changed] : [changed, newest];
  return interleaved(first, second).flatMap((item) => merged(item) ?? []);
}

/** Nothing was moved: what both lists have stands in the one as in the other. */
function inSameOrder(one: readonly Item[], other: readonly Item[]): boolean {
  const common = (list: readonly Item[], of: readonly Item[]) => list.filter(({ id }) => of.some((item) => item.id === id));
  return common(one, other).every(({ id }, index) => common(other, one)[index].id === id);
}

/** One list with what only the other has, each behind the one it follows there: a colour stays below its clear. */
function interleaved(first: readonly Item[], second: readonly Item[]): readonly Item[] {
  const all = [...first];
  for (const [index, item] of second.entries()) {
    if (all.some(({ id }) => id === item.id)) continue;
    all.splice(all.findIndex(({ id }) => id === second[index - 1]?.id) + 1, 0, item);
  }
  return all;
}
