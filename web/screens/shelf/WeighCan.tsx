import type { ShelfCan } from '#core/buying/index';
import { leftByWeight } from '#core/mixing/index';
import { type Parsed, parseQuantity, toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { useWords } from '../../app/useWords.ts';
import { SmallField } from '../../views/fields/SmallField.tsx';

const FRESH = { left: '', gross: '', empty: '' };

/** What is left in a can: by eye in mL, or by the scale, gross less empty. */
export function WeighCan({ can, onDone }: { can: ShelfCan; onDone: () => void }) {
  const { facts, workshop } = usePlan();
  const words = useWords();
  const [typed, setTyped] = useState(FRESH);
  const [problem, setProblem] = useState('');
  const product = facts.products.find(({ id }) => id === can.productId);

  const byEye = (): Parsed => {
    const left = parseQuantity(typed.left, 'volume', workshop.units.volume);
    if (!left.ok || (left.value >= 0 && left.value <= can.packMl)) return left;
    return { ok: false, mend: `Between 0 and ${words.volume(can.packMl)}: that is what the can holds.` };
  };
  const byScale = (): Parsed => {
    const [gross, empty] = [typed.gross, typed.empty].map((text) => parseQuantity(text, 'mass', 'g'));
    if (!gross.ok) return gross;
    if (!empty.ok) return empty;
    if (!product) return { ok: false, mend: 'The paint is no longer listed: type what is left.' };
    const sheet = facts.sheets.find(({ id }) => id === product.sheetId);
    const left = leftByWeight(can, product, sheet, gross.value, empty.value);
    return left.ok ? { ok: true, value: left.ml } : left;
  };
  const keep = () => {
    const by = typed.gross.trim() === '' ? 'eye' : 'scale';
    const left = by === 'eye' ? byEye() : byScale();
    if (!left.ok) return setProblem(left.mend);
    void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'weighed', canId: can.id, leftMl: left.value, by }]);
    onDone();
  };
  const field = (key: keyof typeof FRESH) => ({ value: typed[key], onText: (text: string) => setTyped({ ...typed, [key]: text }) });
  return (
    <form
      className="mt-1 w-44 space-y-2 text-left"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <SmallField label="Left, by eye" placeholder="120 mL" autoFocus {...field('left')} />
      <SmallField label="or it weighs" placeholder="310 g" {...field('gross')} />
      <SmallField label="and empty" placeholder="92 g" {...field('empty')} />
      {problem && (
        <p role="alert" className="text-small font-[650]">
          {problem}
        </p>
      )}
      <span className="flex gap-1">
        <button type="submit" className="chip">
          Keep
        </button>
        <button type="button" className="chip whitespace-nowrap" onClick={onDone}>
          Not now
        </button>
      </span>
    </form>
  );
}
