import { counted } from '#core/units/index';
import { coatsToHide } from '#core/coats/index';
import { colourWord, hexOf, hidingShare } from '#core/colour/index';
import type { Lab } from '#core/facts/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { Why } from '../../views/Why.tsx';

const GROUNDS: readonly { readonly name: string; readonly lab: Lab }[] = [
  { name: 'white', lab: { l: 95, a: 0, b: 1 } },
  { name: 'grey', lab: { l: 62, a: 0, b: 0 } },
  { name: 'black', lab: { l: 15, a: 0, b: 0 } },
];

/** The workshop's colours and how many coats each takes over the usual primers. */
export function PaintsTable() {
  const { facts } = usePlan();
  const colours = facts.products.filter((product) => {
    const role = facts.sheets.find((sheet) => sheet.id === product.sheetId)?.role;
    return role === 'colour' || role === 'metallic';
  });
  return (
    <section className="sheet mt-5 !px-7" aria-labelledby="paints">
      <h2 id="paints">Your paints</h2>
      <p className="second mt-1">How many coats of each hide white, grey or black primer.</p>
      {colours.length === 0 && <p className="mt-4">Enter a can of colour on the paint shelf and it stands here.</p>}
      <table className="mt-4 w-full">
        <thead>
          <tr className="second text-left text-small">
            <th className="font-[400]">Colour</th>
            <th className="font-[400] max-sm:hidden">Kind</th>
            <th className="text-right font-[400] max-sm:hidden">L a b</th>
            {GROUNDS.map((ground) => (
              <th key={ground.name} className="text-right font-[400] sm:w-28">
                over {ground.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {colours.map((product) => (
            <tr key={product.id} className="border-t border-hairline">
              <td className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
                <span
                  aria-hidden
                  className="inline-block h-10 w-12 border border-black/30 sm:w-24"
                  style={{ background: hexOf(product.lab) }}
                />
                <span className="font-[650] text-ink">{product.name}</span>
              </td>
              <td className="max-sm:hidden">{product.transparent ? 'transparent' : colourWord(product.lab)}</td>
              <td className="figure text-right max-sm:hidden">
                {Math.round(product.lab.l)} {Math.round(product.lab.a)} {Math.round(product.lab.b)}
              </td>
              {GROUNDS.map((ground) => {
                const share = product.share ?? hidingShare(product.lab);
                const { coats, contrast } = coatsToHide(ground.lab, product.lab, share);
                return (
                  <td key={ground.name} className="text-right">
                    {product.transparent ? (
                      <span className="second">shows through</span>
                    ) : (
                      <Why
                        title="Coats to hide"
                        text={`Contrast ${contrast.toFixed(2)}; each coat lets ${Math.round(share * 100)} % through; hidden at 0.02.`}
                        source={product.share === undefined ? 'default' : 'own'}
                      >
                        <span className="figure">{counted(coats, 'coat')}</span>
                      </Why>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
