import { canFact, type Keeping, readShelf, type ShelfCan, shelfToCsv } from '#core/buying/index';
import { plain, type Product } from '#core/facts/index';
import { counted, toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useWords } from '../../app/useWords.ts';
import { PaintStrip } from '../../views/drawn/paint.tsx';
import { type SortColumn, SortHead, useSorted } from '../../views/SortHead.tsx';
import { TableBothWays } from '../../views/TableBothWays.tsx';

type SortBy = 'paint' | 'kind' | 'left' | 'share' | 'opened' | 'expires' | 'place';
type Row = Readonly<Record<SortBy, string | number>> & {
  readonly can: ShelfCan;
  readonly product: Product;
  readonly keeping: readonly Keeping[];
};

const COLUMNS: readonly SortColumn<SortBy>[] = [
  { by: 'paint', name: 'Paint' },
  { by: 'kind', name: 'Kind' },
  { by: 'left', name: 'Left', right: true },
  { by: 'share', name: 'Full', right: true },
  { by: 'opened', name: 'Open since' },
  { by: 'expires', name: 'Good until' },
  { by: 'place', name: 'Stands in' },
];

/** Every can in a row: looked for by anything that is on it, sorted by any column, and the whole as a table for a spreadsheet. */
export function ShelfTable({
  cans,
  keeping,
  onOpen,
}: {
  cans: readonly ShelfCan[];
  keeping: ReadonlyMap<string, readonly Keeping[]>;
  onOpen: (canId: string) => void;
}) {
  const { facts } = usePlan();
  const words = useWords();
  const [looked, setLooked] = useState('');
  const all = cans.flatMap((can): Row[] => {
    const product = facts.products.find(({ id }) => id === can.productId);
    const sheet = facts.sheets.find(({ id }) => id === product?.sheetId);
    if (!product || !sheet) return [];
    const fact = canFact(can.id, facts);
    return [
      {
        can,
        product,
        keeping: keeping.get(can.id) ?? [],
        paint: product.name,
        kind: `${plain(sheet.family)}, ${plain(sheet.role)}`,
        left: can.leftMl,
        share: Math.round((can.leftMl / can.packMl) * 100),
        opened: can.openedAt ?? 0,
        expires: fact?.expires ?? '',
        place: facts.places.find(({ id }) => id === fact?.placeId)?.name ?? '',
      },
    ];
  });
  const wordsLooked = looked.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter(({ paint, kind, place, product, keeping: own }) => {
    const text = [paint, kind, place, product.code ?? '', ...own.map((each) => each.text)].join(' ').toLowerCase();
    return wordsLooked.every((word) => text.includes(word));
  });
  const { sorted, sort } = useSorted<SortBy, Row>(found, 'paint');
  return (
    <section className="sheet mt-4" aria-label="Cans as a table">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <label className="block w-full max-w-sm">
          <span className="second block text-small">Look for a paint, a kind, a code, a place, or what is wrong with it</span>
          <input className="field !min-h-10" type="search" value={looked} onChange={(event) => setLooked(event.target.value)} />
        </label>
        <span className="second">
          {found.length === all.length ? counted(all.length, 'can') : `${found.length} of ${counted(all.length, 'can')}`}
        </span>
      </div>
      <div className="relative overflow-x-auto">
        <table className="mt-3 w-full">
          <thead>
            <tr className="second text-left text-small">
              <SortHead columns={COLUMNS} sort={sort} />
            </tr>
          </thead>
          <tbody>
            {sorted.map((row) => (
              <tr key={row.can.id} className="border-t border-hairline">
                <td className="py-1.5 pr-3">
                  <span className="flex items-center gap-2">
                    <PaintStrip lab={row.product.lab} className="h-6 w-[10px]" />
                    <button type="button" className="linklike text-left" onClick={() => onOpen(row.can.id)}>
                      {row.paint}
                    </button>
                    {row.product.code && <span className="second text-small">{row.product.code}</span>}
                  </span>
                  {row.keeping.map(({ kind, text }) => (
                    <span key={kind} className="block text-small font-[650]">
                      {text}
                    </span>
                  ))}
                </td>
                <td className="second pr-3 text-small">{row.kind}</td>
                <td className="figure pr-3 text-right">{words.volume(row.can.leftMl)}</td>
                <td className="figure pr-3 text-right">{row.share} %</td>
                <td className="figure pr-3">
                  {row.can.openedAt === null ? (row.can.opened ? 'open' : 'closed') : words.date(row.can.openedAt)}
                </td>
                <td className="figure pr-3">{row.expires === '' ? '–' : words.dayOf(String(row.expires))}</td>
                <td className="second">{row.place || '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {found.length === 0 && <p className="second mt-2">Nothing of that kind stands here.</p>}
      <div className="mt-4 border-t border-hairline pt-2">
        <TableBothWays
          collection="cans"
          what="can"
          fileName="shelf.csv"
          text={shelfToCsv(facts)}
          read={(text) => {
            const { cans: rows, wrong } = readShelf(text, facts, newId, toIso(nowMinute()));
            return { rows, wrong };
          }}
          taken="plans use them first."
        />
      </div>
    </section>
  );
}
