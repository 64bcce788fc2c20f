import { isInSprayCan } from '#core/coats/index';
import { DROP_ML, hexOf } from '#core/colour/index';
import type { Product } from '#core/facts/index';
import {
  type BenchPaint,
  benchPaints,
  densityOf,
  MOST_TINT_TYPED,
  mixedPaint,
  mostTint,
  TINT_STEPS,
  type TintRow,
  tintTable,
} from '#core/mixing/index';
import { type Parsed, parseNumber, parseQuantity, toIso } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useOneAtATime } from '../../app/writing/useOneAtATime.ts';
import { useWords } from '../../app/useWords.ts';
import { SmallField, SmallSelect } from '../../views/fields/SmallField.tsx';
import { Why } from '../../views/Why.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** A whole bottle or tin tinted by weight: half a per cent to five, with what each comes to. */
export function TintTable({ product }: { product: Product }) {
  const { facts } = usePlan();
  const words = useWords();
  const paints = benchPaints(facts);
  const base = paints.find(({ id }) => id === product.id);
  const tints = paints.filter(
    (own) => own.id !== product.id && own.owned && own.sheet.family === base?.sheet.family && !isInSprayCan(own.product, own.sheet),
  );
  const [tintId, setTintId] = useState('');
  const [typedMl, setTypedMl] = useState('');
  const [typedPercent, setTypedPercent] = useState('');
  const tint = tints.find(({ id }) => id === tintId) ?? tints[0];
  if (!base) return null;
  const read = typedMl.trim() === '' ? null : pouredOf(typedMl, base.product);
  const percent = typedPercent.trim() === '' ? null : (parseNumber(typedPercent) ?? Number.NaN);
  const isShare = percent === null || (percent > 0 && percent <= MOST_TINT_TYPED);
  const ml = read?.ok ? read.value : base.ml;
  const usable = (read === null || read.ok) && ml > 0 && ml <= base.ml;
  const can = isInSprayCan(base.product, base.sheet);
  const most = mostTint(base);
  return (
    <FoldingSheet title="Tint it by weight">
      {!base.owned && <p className="second mt-1">There is none of it on the shelf to tint.</p>}
      {base.owned && can && (
        <p className="second mt-1">
          It comes in a spray can: nothing can be stirred into it. Decanted it is a paint of its own, under Colour.
        </p>
      )}
      {base.owned && !can && !tint && <p className="second mt-1">No other paint of its family is on the shelf to tint it with.</p>}
      {base.owned && !can && tint && (
        <>
          <div className="mt-2 flex flex-wrap items-end gap-3">
            <SmallSelect
              label="with"
              width="!w-56"
              value={tint.id}
              options={tints.map((own) => ({ value: own.id, label: own.product.name }))}
              onChange={setTintId}
            />
            <SmallField
              label="of it, mL or g"
              width="!w-24 font-mono"
              inputMode="decimal"
              placeholder={String(Math.round(base.ml * 10) / 10)}
              value={typedMl}
              onText={setTypedMl}
            />
            <SmallField
              label="tint, %"
              width="!w-24 font-mono"
              inputMode="decimal"
              placeholder="2.5"
              value={typedPercent}
              onText={setTypedPercent}
            />
          </div>
          {!usable && (
            <p role="alert" className="mt-2 font-[650]">
              {read !== null && !read.ok ? read.mend : `Between 0 and ${words.volume(base.ml)}: that is what there is of it.`}
            </p>
          )}
          {!isShare && (
            <p role="alert" className="mt-2 font-[650]">
              A tint is above 0 and at most {MOST_TINT_TYPED} % of the paint it goes into.
            </p>
          )}
          {usable && isShare && (
            <Rows base={base} tint={tint} ml={ml} said={read !== null} percents={percent === null ? TINT_STEPS : [percent]} />
          )}
          <p className="second mt-2 text-small">
            <Why
              title="Tint it bears"
              text="More tint than its binder can hold makes a film weak: it chalks and rubs off."
              source={most.source}
            >
              At most {most.percent} %
            </Why>{' '}
            of the paint, by weight; more weakens the film.
          </p>
        </>
      )}
    </FoldingSheet>
  );
}

/** What is tinted, in mL; weighed paint through its density. */
function pouredOf(text: string, product: Product): Parsed {
  const volume = parseQuantity(text, 'volume', 'mL');
  const mass = parseQuantity(text, 'mass', 'g');
  return !volume.ok && mass.ok ? { ok: true, value: mass.value / densityOf(product) } : volume;
}

type RowsProps = {
  readonly base: BenchPaint;
  readonly tint: BenchPaint;
  readonly ml: number;
  /** How much of it is tinted has been typed: what went in cannot be taken out again, so it is asked. */
  readonly said: boolean;
  readonly percents: readonly number[];
};

function Rows({ base, tint, ml, said, percents }: RowsProps) {
  const words = useWords();
  const { save } = useSaving();
  const { busy, once } = useOneAtATime();
  const [asked, setAsked] = useState<string | null>(null);
  const mix = async (row: TintRow) => {
    if (!said && asked !== `${row.percent}`) return setAsked(`${row.percent}`);
    setAsked(null);
    const poured = [
      { id: base.id, drops: ml / DROP_ML },
      { id: tint.id, drops: row.tintMl / DROP_ML },
    ];
    const made = mixedPaint(
      { name: `${base.product.name}, ${row.percent} % ${tint.product.name}`.slice(0, 80), poured, lab: row.lab, paints: [base, tint] },
      toIso(nowMinute()),
      newId,
    );
    if (!made || !(await save('products', made.product))) return;
    await logEvents([made.event]);
    toast(`${made.product.name}: kept as a paint of its own.`);
  };
  return (
    <>
      {asked !== null && (
        <p role="alert" className="mt-2 font-[650]">
          How much of it? Type it above, or press once more for all of it, {words.volume(ml)}.
        </p>
      )}
      <table className="mt-3 w-full">
        <thead>
          <tr className="second text-left text-small">
            <th className="font-[400]">tint</th>
            <th className="font-[400]">comes to</th>
            <th className="text-right font-[400]">add</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {tintTable(base, tint, ml, null, percents).map((row) => (
            <tr key={row.percent} className="border-t border-hairline">
              <td className="figure py-1">{row.percent} %</td>
              <td>
                <span aria-hidden className="block h-7 w-20 border border-[#8c8c8c]" style={{ background: hexOf(row.lab) }} />
              </td>
              <td className="figure text-right">
                {row.tintG.toFixed(2)} g
                <span className="second block text-small">
                  {row.enough ? `${row.tintMl.toFixed(2)} mL` : `only ${words.volume(tint.ml)} there`}
                  {row.weakens && ', weakens it'}
                </span>
              </td>
              <td className="text-right">
                <button
                  type="button"
                  className="chip !min-h-9"
                  disabled={!row.enough || busy}
                  aria-label={`Tinted with ${row.percent} %`}
                  onClick={() => once(() => mix(row))}
                >
                  tinted so
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
