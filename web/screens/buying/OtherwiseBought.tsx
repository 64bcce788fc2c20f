import type { ShoppingLine } from '#core/plan/index';
import { parseMoney } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { SmallField, SmallSelect } from '../../views/fields/SmallField.tsx';
import type { BoughtLine } from './useBought.ts';

const MOST_PACKS = 50;

/** Bought at another price, fewer or more packs than listed, or in another shade of the same kind. */
export function OtherwiseBought({ line, onBought }: { line: ShoppingLine; onBought: (bought: BoughtLine) => void }) {
  const { facts, workshop } = usePlan();
  const [typed, setTyped] = useState({ paid: '', packs: String(line.count) });
  const [shade, setShade] = useState('');
  const [problem, setProblem] = useState('');
  const shades = othersLike(line, facts);
  const keep = () => {
    const paid = parseMoney(typed.paid, workshop.currency);
    const count = Number(typed.packs);
    if (!Number.isInteger(count) || count < 1 || count > MOST_PACKS) return setProblem(`Packs are counted whole, 1 to ${MOST_PACKS}.`);
    if (!paid.ok) return setProblem(paid.mend);
    onBought({ line, count: line.of === 'parcel' ? 1 : count, paid: paid.value, ...(shade ? { productId: shade } : {}) });
  };
  const type = (change: Partial<typeof typed>) => {
    setTyped({ ...typed, ...change });
    setProblem('');
  };
  return (
    <form
      className="noprint mt-1 flex flex-wrap items-end justify-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      {line.of !== 'parcel' && (
        <SmallField label="Packs" width="!w-16" inputMode="numeric" value={typed.packs} onText={(packs) => type({ packs })} />
      )}
      {shades.length > 0 && (
        <SmallSelect
          label="of"
          width="!w-52"
          value={shade}
          options={[{ value: '', label: line.name }, ...shades.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={setShade}
        />
      )}
      <SmallField
        label={`Paid in all, ${workshop.currency}`}
        width="!w-28"
        inputMode="decimal"
        value={typed.paid}
        onText={(paid) => type({ paid })}
      />
      <button type="submit" className="act !min-h-10">
        Bought so
      </button>
      {problem && (
        <p role="alert" className="w-full text-right font-[650]">
          {problem}
        </p>
      )}
    </form>
  );
}

type Workshop = ReturnType<typeof usePlan>['facts'];

/** Paints that are laid like it: the same family, role and tool. */
function othersLike({ of, productId }: ShoppingLine, { products, sheets }: Workshop) {
  const kindOf = (sheetId: string) => {
    const sheet = sheets.find(({ id }) => id === sheetId);
    return sheet ? `${sheet.family} ${sheet.role} ${sheet.hand}` : null;
  };
  const own = products.find(({ id }) => id === productId);
  if (of !== 'paint' || !own) return [];
  return products.filter(({ id, sheetId, mix }) => id !== own.id && !mix && kindOf(sheetId) === kindOf(own.sheetId));
}
