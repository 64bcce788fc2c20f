import { counted } from '#core/units/index';
import { coatsToHide, knownPaint, PRIMER_SHADES } from '#core/coats/index';
import { colourWord, hexOf } from '#core/colour/index';
import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { Why } from '../../views/Why.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** The workshop's colours and how many coats each takes over the usual primers. */
export function PaintsTable() {
  const { facts } = usePlan();
  const colours = facts.products.filter((product) => {
    const role = facts.sheets.find((sheet) => sheet.id === product.sheetId)?.role;
    return role === 'colour' || role === 'metallic';
  });
  return (
    <FoldingSheet title="Your paints" className="mt-5 !px-7">
      <p className="second mt-1">
        How many coats of each hide white, grey or black primer. Behind each name: its colour as read, what its films have shown, and
        tinting by weight.
      </p>
      {colours.length === 0 && <p className="mt-4">Enter a can of colour on the paint shelf and it stands here.</p>}
      <table className="mt-4 w-full">
        <thead>
          <tr className="second text-left text-small">
            <th className="font-[400]">Colour</th>
            <th className="font-[400] max-sm:hidden">Kind</th>
            <th className="text-right font-[400] max-sm:hidden">L a b</th>
            {PRIMER_SHADES.map((ground) => (
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
                <Link className="font-[650] text-ink underline underline-offset-4" to={`/colour/paints/${product.id}`}>
                  {product.name}
                </Link>
              </td>
              <td className="max-sm:hidden">{product.transparent ? 'transparent' : colourWord(product.lab)}</td>
              <td className="figure text-right max-sm:hidden">
                {Math.round(product.lab.l)} {Math.round(product.lab.a)} {Math.round(product.lab.b)}
              </td>
              {PRIMER_SHADES.map((ground) => {
                const { lab, share, source } = knownPaint(product, facts);
                const { coats, contrast } = coatsToHide(ground.lab, lab, share);
                return (
                  <td key={ground.name} className="text-right">
                    {product.transparent ? (
                      <span className="second">shows through</span>
                    ) : (
                      <Why
                        title="Coats to hide"
                        text={`Contrast ${contrast.toFixed(2)}; each coat hides ${100 - Math.round(share * 100)} % of what shows of the ground; once 2 % is left nobody sees it.`}
                        source={source}
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
    </FoldingSheet>
  );
}
