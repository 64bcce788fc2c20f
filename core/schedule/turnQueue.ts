/** Whose turn is how soon: the lowest rank first, of equal ones whoever came first. What has been put again counts as put last. */
export class TurnQueue<Own, Turn extends { readonly rank: number }> {
  readonly #heap: Entry<Own, Turn>[] = [];
  readonly #newest = new Map<Own, Entry<Own, Turn>>();
  readonly #came = new Map<Own, number>();

  /** Everyone who waits, with the turn put last. */
  *turns(): Iterable<[own: Own, turn: Turn]> {
    for (const [own, { turn }] of this.#newest) yield [own, turn];
  }

  put(own: Own, turn: Turn): void {
    const came = this.#came.get(own) ?? this.#came.size;
    this.#came.set(own, came);
    const entry = { own, turn, came };
    this.#newest.set(own, entry);
    this.#heap.push(entry);
    this.#rise(this.#heap.length - 1);
  }

  /** Whoever is first leaves with its turn; null where nobody waits. */
  take(): { readonly own: Own; readonly turn: Turn } | null {
    this.#dropOld();
    const first = this.#heap[0];
    if (!first) return null;
    this.#newest.delete(first.own);
    this.#pop();
    return first;
  }

  /** The rank of who would be taken next; infinity where nobody waits. */
  get soonest(): number {
    this.#dropOld();
    return this.#heap[0]?.turn.rank ?? Number.POSITIVE_INFINITY;
  }

  /** What was put again or has left stands in the heap until it comes to the top. */
  #dropOld(): void {
    while (this.#heap.length > 0 && this.#newest.get(this.#heap[0].own) !== this.#heap[0]) this.#pop();
  }

  #pop(): void {
    const last = this.#heap.pop();
    if (!last || this.#heap.length === 0) return;
    this.#heap[0] = last;
    this.#sink();
  }

  #rise(from: number): void {
    const heap = this.#heap;
    for (let at = from; at > 0; ) {
      const above = (at - 1) >> 1;
      if (!comesBefore(heap[at], heap[above])) return;
      [heap[at], heap[above]] = [heap[above], heap[at]];
      at = above;
    }
  }

  #sink(): void {
    const heap = this.#heap;
    for (let at = 0; ; ) {
      const left = 2 * at + 1;
      const right = left + 1;
      let soonest = left < heap.length && comesBefore(heap[left], heap[at]) ? left : at;
      if (right < heap.length && comesBefore(heap[right], heap[soonest])) soonest = right;
      if (soonest === at) return;
      [heap[at], heap[soonest]] = [heap[soonest], heap[at]];
      at = soonest;
    }
  }
}

type Entry<Own, Turn> = { readonly own: Own; readonly turn: Turn; readonly came: number };

function comesBefore<Own, Turn extends { readonly rank: number }>(one: Entry<Own, Turn>, other: Entry<Own, Turn>): boolean {
  return one.turn.rank < other.turn.rank || (one.turn.rank === other.turn.rank && one.came < other.came);
}
