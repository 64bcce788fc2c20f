/**
 * A change made on what the screen showed, put onto what is newest: quick edits one after the other lose nothing. What the
 * change touched wins, everything else stays as it is now. Lists of things with ids are followed by id.
 */
export function rebased<T>(shown: T, changed: T, newest: T): T {
  if (Object.is(changed, shown)) return newest;
  if (Object.is(newest, shown)) return changed;
  if (isList(shown) && isList(changed) && isList(newest)) return rebasedList(shown, changed, newest) as T;
  if (isRecord(shown) && isRecord(changed) && isRecord(newest)) return rebasedRecord(shown, changed, newest) as T;
  return changed;
}

type Item = { readonly id: string };
type Bag = Readonly<Record<string, unknown>>;

function isRecord(value: unknown): value is Bag {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isList(value: unknown): value is readonly Item[] {
  return Array.isArray(value) && value.every((item) => isRecord(item) && typeof item.id === 'string');
}

function rebasedRecord(shown: Bag, changed: Bag, newest: Bag): Bag {
  const keys = new Set([...Object.keys(changed), ...Object.keys(newest)]);
  const entries = [...keys].flatMap((key) => {
    const untouched = Object.is(changed[key], shown[key]);
    const value = untouched ? newest[key] : rebased(shown[key], changed[key], newest[key]);
    return value === undefined ? [] : [[key, value] as const];
  });
  return Object.fromEntries(entries);
}

function rebasedList(shown: readonly Item[], changed: readonly Item[], newest: readonly Item[]): readonly Item[] {
  const find = (list: readonly Item[], id: string) => list.find((item) => item.id === id);
  const kept = changed.flatMap((item) => {
    const [before, now] = [find(shown, item.id), find(newest, item.id)];
    if (!before) return [item];
    if (!now) return Object.is(item, before) ? [] : [item];
    return [rebased(before, item, now)];
  });
  const addedMeanwhile = newest.filter((item) => !find(shown, item.id) && !find(changed, item.id));
  return [...kept, ...addedMeanwhile];
}
