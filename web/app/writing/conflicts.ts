import { type Bag, isRecord } from './rebase.ts';

/** Where two people, or two tabs, have said different things about the same field since both saw the same. */

export type Conflict = {
  /** Where it is, in names a person knows: "Body, material". */
  readonly where: string;
  readonly mine: string;
  readonly theirs: string;
};

/** What both have changed since `shown`, and not to the same. Lists of things with ids are followed by id. */
export function conflictsBetween(shown: unknown, mine: unknown, theirs: unknown, where: readonly string[] = []): Conflict[] {
  if (same(mine, theirs) || same(mine, shown) || same(theirs, shown)) return [];
  if (isRecord(shown) && isRecord(mine) && isRecord(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return [...keys].flatMap((key) => conflictsBetween(shown[key], mine[key], theirs[key], [...where, key]));
  }
  const lists = [shown, mine, theirs].map(byId);
  const [before, own, other] = lists;
  if (before && own && other) {
    const ids = new Set([...own.keys(), ...other.keys(), ...before.keys()]);
    return [...ids].flatMap((id) =>
      conflictsBetween(before.get(id), own.get(id), other.get(id), [...where, nameOf(before.get(id) ?? own.get(id) ?? other.get(id), id)]),
    );
  }
  return [{ where: where.join(', '), mine: shownText(mine), theirs: shownText(theirs) }];
}

function byId(value: unknown): Map<string, Bag> | null {
  const list = Array.isArray(value) ? value : null;
  if (!list?.every((item) => isRecord(item) && typeof item.id === 'string')) return null;
  return new Map(list.map((item: Bag) => [String(item.id), item]));
}

function nameOf(item: Bag | undefined, id: string): string {
  return typeof item?.name === 'string' ? item.name : id;
}

function same(a: unknown, b: unknown): boolean {
  return Object.is(a, b) || JSON.stringify(a) === JSON.stringify(b);
}

const LONGEST = 120;

function shownText(value: unknown): string {
  if (value === undefined) return 'taken out';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
}
