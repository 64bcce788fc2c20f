import type { PricedSaving, Savings } from '#core/plan/index';
import { daysLater } from '#core/plan/index';
import { counted } from '#core/units/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { saveFact, useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { askBuyer } from '../../workers/buyer.ts';

/** Once the list itself is proven; nobody waits for what could be cheaper. */
const BEGIN_AFTER_MS = 500;

/** What could be done with less: each way with what it saves, what it costs in days and what is given up; taken with one press. */
export function WaysToSave() {
  const { facts, plan } = usePlan();
  const [savings, setSavings] = useState<Savings | null>(null);
  const { proven } = plan.purchases;
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked for anew when the facts have changed, not with every minute
  useEffect(() => {
    if (!proven) return;
    let drop: () => void = () => undefined;
    const timer = setTimeout(() => {
      const asked = askBuyer((buyer) => buyer.savings(facts, plan.now));
      drop = asked.drop;
      asked.answer.then(setSavings, () => setSavings({ ways: [], together: null }));
    }, BEGIN_AFTER_MS);
    return () => {
      clearTimeout(timer);
      drop();
      setSavings(null);
    };
  }, [facts, proven]);
  const over = plan.pieces.some(({ money }) => money.over > 0);
  const [taken, setTaken] = useState<readonly Taken[]>([]);
  const last = taken.at(-1);
  const keep = (own: Taken) => setTaken((before) => [...before, own]);
  const giveBack = async (own: Taken) => {
    await own.takeBack();
    setTaken((before) => before.filter((other) => other !== own));
  };
  return (
    <section className="sheet" aria-label="Ways to spend less">
      <h2>{over ? 'Ways to get under it' : 'Ways to spend less'}</h2>
      {last && (
        <p className="mt-2 flex items-center justify-between gap-3 border-l-4 border-ink bg-quiet px-4 py-2">
          <span>Taken: {last.label}.</span>
          <button type="button" className="act !min-h-9 shrink-0" onClick={() => void giveBack(last)}>
            Give it back
          </button>
        </p>
      )}
      {savings === null ? (
        <p className="second mt-2" role="status">
          Looking for ways …
        </p>
      ) : (
        <>
          {savings.ways.length === 0 && <p className="second mt-2">None that would not spoil a joint or the look.</p>}
          <ul className="mt-1">
            {savings.ways.map((way) => (
              <Way key={way.id} way={way} onTaken={keep} />
            ))}
          </ul>
          {savings.together && (
            <div className="mt-3 border-t-2 border-ink pt-1">
              <p className="font-[650] text-ink">Best together</p>
              <ul>
                <Way way={savings.together} onTaken={keep} />
              </ul>
            </div>
          )}
        </>
      )}
    </section>
  );
}

/** The way taken last: a toast is gone before a slow list is proven again, and the change of mind comes after that. */
type Taken = { readonly label: string; readonly takeBack: () => Promise<void> };

function Way({ way, onTaken }: { way: PricedSaving; onTaken: (taken: Taken) => void }) {
  const words = useWords();
  const { facts, pieceById } = usePlan();
  const [busy, setBusy] = useState(false);
  const { remove } = useSaving();
  const save = async ({ products, pieces, workshop }: PricedSaving['changes']) => {
    // A layer names its paint, so that comes first.
    for (const product of products) if (!(await saveFact('products', product))) return false;
    for (const piece of pieces) if (!(await saveFact('pieces', piece))) return false;
    return workshop ? saveFact('workshop', workshop) : true;
  };
  const take = async () => {
    if (busy) return;
    setBusy(true);
    const { changes } = way;
    const before = {
      products: [],
      pieces: facts.pieces.filter(({ id }) => changes.pieces.some((own) => own.id === id)),
      ...(changes.workshop ? { workshop: facts.workshop[0] } : {}),
    };
    const takeBack = async () => {
      if (await save(before)) for (const { id, name } of changes.products) await remove('products', id, `${name} is taken out again.`);
    };
    if (await save(changes)) onTaken({ label: way.label, takeBack });
    setBusy(false);
  };
  return (
    <li className="grid grid-cols-[1fr_auto_auto] items-center gap-x-3 border-b border-hairline py-2">
      <span>
        <span className="font-[650] text-ink">{way.label}</span>
        <span className="second block text-small">
          {way.lost}; {daysText(daysLater(way.later))}
        </span>
        {way.ofBudgets.map(({ pieceId, saved }) => (
          <span key={pieceId} className="second block text-small">
            {pieceById.get(pieceId)?.name}: {words.money(Math.abs(saved))}{' '}
            {saved < 0 ? 'dearer, for it bears more of a delivery' : 'cheaper'}
          </span>
        ))}
      </span>
      <span className="figure">− {words.money(way.saved)}</span>
      <button type="button" className="chip" disabled={busy} onClick={() => void take()}>
        Take
      </button>
    </li>
  );
}

function daysText(days: number): string {
  if (days === 0) return 'no day lost';
  return days > 0 ? `${counted(days, 'day')} later` : `${counted(-days, 'day')} sooner`;
}
