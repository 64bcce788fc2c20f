import { supplyKey, supplyName } from '#core/amounts/index';
import { asKept, shelfStock } from '#core/buying/index';
import type { Piece } from '#core/facts/index';
import type { PieceMoney } from '#core/plan/index';
import { parseAmount, toIso } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { supplyText } from '#core/amounts/index';
import { usePieceSave } from '../pieceChanges.ts';

type Line = PieceMoney['supplies'][number];

/** Papers by grit, tape by width, stripper and the rest, line by line: each amount can be corrected, each kind be owned. */
export function Supplies({ piece, lines }: { piece: Piece; lines: readonly Line[] }) {
  if (lines.length === 0) return <p className="second mt-2">Nothing beside paint is left to use up.</p>;
  return (
    <div className="relative overflow-x-auto">
      <table className="mt-1 w-full" aria-label="Papers, tape and the rest">
        <thead>
          <tr className="second text-left text-small">
            <th className="py-1 font-[400]">What</th>
            <th className="text-right font-[400]">Takes</th>
            <th className="text-right font-[400]">On the shelf</th>
            <th className="text-right font-[400]">To buy</th>
            <th className="text-right font-[400]">Costs</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <SupplyRow key={supplyKey(line)} piece={piece} line={line} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function SupplyRow({ piece, line }: { piece: Piece; line: Line }) {
  const { facts, plan } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const keep = usePieceSave();
  const key = supplyKey(line);
  const onList = line.toBuy > 0 && plan.wants.some((want) => want.key === key);
  const name = supplyName(line);
  const correct = (amount: number) =>
    keep({ ...piece, supplies: { ...piece.supplies, [key]: amount } }, `${name}: ${supplyText(amount, line.unit)}.`);
  const own = (left: number) => {
    const row = shelfStock(facts).find((candidate) => candidate.kind === line.kind && candidate.spec === line.spec);
    const counted = { left, leftAt: toIso(nowMinute()) };
    return save(
      'stock',
      row ? { ...asKept(row), ...counted } : { id: newId(), kind: line.kind, spec: line.spec, unit: line.unit, ...counted },
      `${name}: ${supplyText(left, line.unit)} on the shelf.`,
    );
  };
  return (
    <tr className="border-t border-hairline">
      <td className="py-1">{name}</td>
      <td className="text-right">
        <AmountField label={`${name}, takes`} unit={line.unit} shown={supplyText(line.amount, line.unit)} onAmount={correct} />
        {line.corrected && <span className="second block text-small">reckoned {supplyText(line.reckoned, line.unit)}</span>}
      </td>
      <td className="text-right">
        <AmountField
          label={`${name}, on the shelf`}
          unit={line.unit}
          shown={line.owned === null ? 'some' : supplyText(line.owned, line.unit)}
          onAmount={own}
        />
      </td>
      <td className="figure text-right">{line.toBuy > 0 ? supplyText(line.toBuy, line.unit) : 'covered'}</td>
      <td className="figure text-right">
        {onList ? <Link to="/buying">on the list</Link> : words.money(line.cost, line.source === 'default')}
      </td>
    </tr>
  );
}

/** An amount changed where it stands; what is no amount is said and the old one stays. */
function AmountField({
  label,
  unit,
  shown,
  onAmount,
}: {
  label: string;
  unit: string;
  shown: string;
  onAmount: (amount: number) => unknown;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null || typed.trim() === '' ? null : parseAmount(typed, unit);
  const amount = read?.ok ? read.value : null;
  const outside = amount !== null && (amount < 0 || amount > 100_000);
  const wrong = (read !== null && !read.ok) || outside;
  const leave = () => {
    if (wrong) return;
    if (amount !== null) void onAmount(amount);
    setTyped(null);
  };
  return (
    <>
      <input
        aria-label={label}
        aria-invalid={wrong || undefined}
        className="field figure !inline-block !w-[110px] !py-1 text-right"
        value={typed ?? shown}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => (event.key === 'Enter' ? leave() : event.key === 'Escape' ? setTyped(null) : undefined)}
      />
      {wrong && (
        <span role="alert" className="block text-small font-[650]">
          {read && !read.ok ? read.mend : 'Type an amount from 0, such as 4.'}
        </span>
      )}
    </>
  );
}
