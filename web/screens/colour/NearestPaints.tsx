import { hexOf, LIKENESS_WORDS } from '#core/colour/index';
import type { Nearest } from '#core/mixing/index';
import { counted, listed } from '#core/units/index';
import { useWords } from '../../app/useWords.ts';

/** Paints there are, nearest first: what each is off, how many coats over the ground planned, and at which price. */
export function NearestPaints({ rows, tolerance, onGround }: { rows: readonly Nearest[]; tolerance: number; onGround: boolean }) {
  const words = useWords();
  if (rows.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="min-h-9 cursor-pointer font-[650]">Nearest paints without mixing</summary>
      <table className="mt-2 w-full">
        <thead>
          <tr className="second text-left text-small">
            <th className="font-[400]">paint{onGround && ', over the ground planned'}</th>
            <th className="font-[400]">beside what is wanted</th>
            <th className="text-right font-[400]">ΔE</th>
            <th className="text-right font-[400] max-sm:hidden">coats</th>
            <th className="text-right font-[400]">price</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ product, lab, deltaE, likeness, beside, coats, owned, price, leadDays }) => (
            <tr key={product.id} className="border-t border-hairline">
              <td className="flex items-center gap-2 py-1.5">
                <span aria-hidden className="block h-6 w-9 shrink-0 border border-[#8c8c8c]" style={{ background: hexOf(lab) }} />
                {product.name}
              </td>
              <td className="text-small">
                {listed(beside) || 'hardly to be told'}; {deltaE <= tolerance ? 'near enough' : LIKENESS_WORDS[likeness]}
              </td>
              <td className="figure text-right">{deltaE.toFixed(1)}</td>
              <td className="figure text-right max-sm:hidden">{onGround ? coats : ''}</td>
              <td className="figure text-right">
                {owned ? (price === null ? 'here' : `${words.money(price, true)} of it`) : words.money(price ?? 0, true)}
                {!owned && <span className="second block text-small">in {counted(leadDays, 'day')}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
