import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useState } from 'react';

export type SortColumn<K extends string> = { readonly by: K; readonly name: string; readonly right?: boolean };

/** Headings of a table that sort it when pressed; pressed again, the other way round. */
export function SortHead<K extends string>({ columns, sort }: { columns: readonly SortColumn<K>[]; sort: Sorting<K> }) {
  return columns.map(({ by, name, right }) => (
    <th
      key={by}
      className={`py-1 pr-3 font-[400] ${right ? 'text-right' : ''}`}
      aria-sort={sort.by !== by ? 'none' : sort.down ? 'descending' : 'ascending'}
    >
      <button type="button" className="inline-flex items-center gap-1" onClick={() => sort.press(by)}>
        {name}
        {sort.by === by && (sort.down ? <ArrowDown size={13} aria-hidden /> : <ArrowUp size={13} aria-hidden />)}
      </button>
    </th>
  ));
}

export type Sorting<K extends string> = { readonly by: K; readonly down: boolean; readonly press: (by: K) => void };

/** Rows in the order of the heading that was pressed last. */
export function useSorted<K extends string, R extends Readonly<Record<K, string | number>>>(
  rows: readonly R[],
  first: K,
): { readonly sorted: readonly R[]; readonly sort: Sorting<K> } {
  const [{ by, down }, setSort] = useState<{ by: K; down: boolean }>({ by: first, down: false });
  const sorted = useMemo(() => [...rows].sort((a, b) => compare(a[by], b[by]) * (down ? -1 : 1)), [rows, by, down]);
  return { sorted, sort: { by, down, press: (next) => setSort({ by: next, down: by === next && !down }) } };
}

function compare(one: string | number, other: string | number): number {
  return typeof one === 'number' && typeof other === 'number'
    ? one - other
    : String(one).localeCompare(String(other), 'en', { numeric: true });
}
