import { hidingShare } from '#core/colour/index';
import type { Product, Sheet } from '#core/facts/index';
import { parseNumber } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { PaintStrip } from '../../views/drawn/paint.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** The colours of a range, how well each hides, and which of them the ground shines through. */
export function SheetColours({ sheet, onDuplicate }: { sheet: Sheet; onDuplicate: () => void }) {
  const { facts } = usePlan();
  const products = facts.products.filter((product) => product.sheetId === sheet.id);
  return (
    <FoldingSheet title="Colours of it">
      {products.length > 0 && <p className="second text-small">A coat lets through so much of what lies below, in %.</p>}
      <ul className="mt-1">
        {products.map((product) => (
          <ColourRow key={product.id} product={product} />
        ))}
      </ul>
      <p className="mt-3 flex flex-wrap items-center gap-4">
        <button type="button" className="act !min-h-10" onClick={onDuplicate}>
          Duplicate the sheet
        </button>
        <Link className="linklike" to="/shelf">
          Paint shelf
        </Link>
      </p>
    </FoldingSheet>
  );
}

function ColourRow({ product }: { product: Product }) {
  const { save } = useSaving();
  const [typed, setTyped] = useState<string | null>(null);
  const own = product.share === undefined ? '' : String(Math.round(product.share * 100));
  const keep = () => {
    const text = typed?.trim();
    setTyped(null);
    if (text === undefined || text === own) return;
    const { share: _share, ...rest } = product;
    if (text === '') return void save('products', rest, 'Back to what is usual for the colour.');
    const percent = parseNumber(text);
    if (percent === null || percent < 1 || percent > 99) return void toast.error('Hiding: type 1 to 99 %, such as 30.');
    void save('products', { ...rest, share: percent / 100 }, 'Coats are counted by it.');
  };
  return (
    <li className="flex items-center gap-2 border-b border-hairline py-1.5">
      <PaintStrip lab={product.lab} />
      <span className="min-w-0 flex-1 leading-tight">{product.name}</span>
      <button
        type="button"
        className="chip !min-h-9 !px-2"
        aria-pressed={product.transparent}
        aria-label={`${product.name}: transparent`}
        onClick={() => void save('products', { ...product, transparent: !product.transparent }, 'The plan has moved.')}
      >
        transparent
      </button>
      <input
        className={`field !min-h-9 !w-16 text-right font-mono ${own ? '' : '!text-second'}`}
        inputMode="decimal"
        aria-label={`${product.name}: a coat lets through, %`}
        value={typed ?? own}
        placeholder={String(Math.round(hidingShare(product.lab) * 100))}
        disabled={product.transparent}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </li>
  );
}
