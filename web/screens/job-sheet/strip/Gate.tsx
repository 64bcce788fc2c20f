import type { LogEvent, Part, Piece } from '#core/facts/index';
import type { Preparation, PricedWay } from '#core/plan/index';
import { counted, toIso } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { useWords } from '../../../app/useWords.ts';
import { planner } from '../../../workers/planner.ts';

/** Cleaning in order, what must not touch this material, and the list that every part passes before primer. */
export function Gate({ piece, part, preparation }: { piece: Piece; part: Part; preparation: Preparation }) {
  const { cleaning, gate } = preparation;
  return (
    <div className="mt-4 grid gap-5 lg:grid-cols-2">
      <section aria-label="Gate before primer">
        <h3 className="font-[650] text-ink">Before primer, under side light</h3>
        <ul className="mt-1">
          {gate.map((item) => (
            <GateItem key={item} piece={piece} part={part} item={item} />
          ))}
        </ul>
      </section>
      <section aria-label="Cleaning">
        <h3 className="font-[650] text-ink">Cleaning, in this order</h3>
        <ol className="mt-1 list-decimal pl-5">
          {cleaning.steps.map((step, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the order is fixed and drying stands in it twice
            <li key={`${index}${step}`} className="py-0.5">
              {step}
            </li>
          ))}
        </ol>
        {cleaning.forbidden.length > 0 && (
          <>
            <h3 className="mt-3 font-[650] text-ink">✕ Never on it</h3>
            <ul>
              {cleaning.forbidden.map(({ name, why }) => (
                <li key={name}>
                  {name}: <span className="second">{why}</span>
                </li>
              ))}
            </ul>
          </>
        )}
        <p className="second mt-3 text-small">Touched, or left over a day: the last wipe comes back.</p>
      </section>
    </div>
  );
}

/** An item that did not pass: what it costs is said before it is logged. */
function GateItem({ piece, part, item }: { piece: Piece; part: Part; item: string }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const [ways, setWays] = useState<readonly PricedWay[] | null>(null);
  const failed = (): LogEvent => ({
    id: newId(),
    at: toIso(nowMinute()),
    kind: 'failed-check',
    pieceId: piece.id,
    partIds: [part.id],
    item,
  });
  const ask = async () => {
    setWays(
      await planner.ways(
        [
          { label: 'passed', facts },
          { label: 'sent back', facts: { ...facts, events: [...facts.events, failed()] } },
        ],
        piece.id,
        plan.now,
      ),
    );
  };
  const [passed, back] = ways ?? [];
  return (
    <li className="border-b border-hairline py-1.5">
      <span className="flex items-start justify-between gap-3">
        <span className="leading-snug">{item}</span>
        <button type="button" className="linklike shrink-0 text-small" aria-label={`Not passed: ${item}`} onClick={() => void ask()}>
          It does not pass
        </button>
      </span>
      {passed && back && (
        <span className="mt-1 block border-l-4 border-ink pl-3">
          It goes back to be put right: {consequence(passed, back)}, {words.money(Math.max(0, back.money - passed.money))} more.
          <span className="mt-1 flex gap-3">
            <button
              type="button"
              className="act !min-h-10"
              onClick={() => {
                setWays(null);
                void logEvents([failed()]);
                toast('Sent back. The repair and the wipe after it are planned.');
              }}
            >
              Send it back
            </button>
            <button type="button" className="act !min-h-10" onClick={() => setWays(null)}>
              It passes
            </button>
          </span>
        </span>
      )}
    </li>
  );
}

function consequence(passed: PricedWay, back: PricedWay): string {
  const minutes = Math.max(0, back.minutes - passed.minutes);
  if (passed.likely === null || back.likely === null) return `${minutes} min`;
  const days = Math.round((back.likely - passed.likely) / 1440);
  return `${minutes} min, ${days <= 0 ? 'the same likely day' : `${counted(days, 'day')} later`}`;
}
