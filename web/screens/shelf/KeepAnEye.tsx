import { cartridgeMinutes, type Keeping, type ShelfCan } from '#core/buying/index';
import { durationText, toIso } from '#core/units/index';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';

const SAID_FIRST: readonly Keeping['kind'][] = ['expired', 'frost', 'stale', 'expiring'];

/** What will be lost or is past its day, before it is needed; and how long the respirator has been worn. */
export function KeepAnEye({
  cans,
  keeping,
  onOpen,
}: {
  cans: readonly ShelfCan[];
  keeping: ReadonlyMap<string, readonly Keeping[]>;
  onOpen: (canId: string) => void;
}) {
  const { facts, workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const grave = cans.flatMap((can) => {
    const [first] = (keeping.get(can.id) ?? []).filter(({ kind }) => SAID_FIRST.includes(kind));
    return first ? [{ can, text: first.text }] : [];
  });
  const worn = cartridgeMinutes(facts);
  return (
    <>
      {grave.length > 0 && (
        <section className="sheet mt-4 !py-3" aria-label="Keep an eye on">
          <ul>
            {grave.map(({ can, text }) => (
              <li key={can.id} className="py-1">
                <button type="button" className="linklike font-[650] text-ink" onClick={() => onOpen(can.id)}>
                  {facts.products.find(({ id }) => id === can.productId)?.name ?? 'A can'}
                </button>{' '}
                {text}
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="second mt-2 flex flex-wrap items-baseline gap-x-3 text-small">
        <span>
          {worn === null
            ? 'Respirator: say when its cartridges were changed, and the minutes at the spray are counted.'
            : `Respirator: ${durationText(worn)} at the spray since its cartridges were changed${workshop.cartridgesSince ? ` on ${words.dayOf(workshop.cartridgesSince.slice(0, 10))}` : ''}. Their label says when they are due; smell of paint inside means now.`}
        </span>
        <button
          type="button"
          className="linklike min-h-9"
          onClick={() => void save('workshop', { ...workshop, cartridgesSince: toIso(nowMinute()) }, 'Counted from now on.')}
        >
          changed today
        </button>
      </p>
    </>
  );
}
