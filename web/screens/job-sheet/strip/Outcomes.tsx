import { eventSchema, type Part, type Piece, plain, type StripMethod, type StripOutcome } from '#core/facts/index';
import { dwells } from '#core/strip/index';
import { parseQuantity, toIso } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { SmallField } from '../../../views/fields/SmallField.tsx';
import { useWords } from '../../../app/useWords.ts';

const OUTCOMES: readonly { readonly outcome: StripOutcome; readonly label: string }[] = [
  { outcome: 'clean', label: 'It came off clean' },
  { outcome: 'most', label: 'Most came off' },
  { outcome: 'little', label: 'Hardly anything' },
];

/** What was tried and what came of it; at the desk an outcome can be entered afterwards, with its dwell. */
export function Outcomes({
  piece,
  part,
  method,
  tried,
}: {
  piece: Piece;
  part: Part;
  method: StripMethod | null;
  tried: readonly { readonly at: string; readonly text: string }[];
}) {
  const { facts } = usePlan();
  const words = useWords();
  const [dwell, setDwell] = useState('');
  const [problem, setProblem] = useState('');
  if (!method || method === 'scuff') return null;
  const log = (outcome: StripOutcome) => {
    const minutes = dwells(method) ? parseQuantity(dwell, 'duration', 'min') : ({ ok: true, value: 0 } as const);
    setProblem(minutes.ok ? '' : `Say how long it was on first. ${minutes.mend}`);
    if (!minutes.ok) return;
    const before = facts.events.filter(
      (event) => event.kind === 'stripped' && event.pieceId === piece.id && event.partIds.includes(part.id) && event.method === method,
    ).length;
    const event = eventSchema.safeParse({
      id: newId(),
      at: toIso(nowMinute()),
      kind: 'stripped',
      pieceId: piece.id,
      partIds: [part.id],
      method,
      application: before + 1,
      outcome,
      dwellMinutes: minutes.value,
    });
    if (!event.success) return void toast.error(event.error.issues[0].message);
    void logEvents([event.data]);
    toast('Logged. The plan goes on from what is left.');
    setDwell('');
  };
  return (
    <section className="mt-4 border-t border-hairline pt-2" aria-label="What was tried">
      <h3 className="font-[650] text-ink">What was tried</h3>
      <ol>
        {tried.map((own) => (
          <li key={own.at + own.text} className="flex gap-3">
            <span className="figure second">{words.moment(Date.parse(own.at) / 60_000)}</span> {own.text}
          </li>
        ))}
      </ol>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        {dwells(method) && (
          <SmallField
            label={`${plain(method)} was on for`}
            width="!w-32 font-mono"
            value={dwell}
            placeholder="40 min"
            problem={problem || undefined}
            onText={setDwell}
          />
        )}
        {OUTCOMES.map(({ outcome, label }) => (
          <button key={outcome} type="button" className="chip !min-h-10" onClick={() => log(outcome)}>
            {label}
          </button>
        ))}
      </div>
    </section>
  );
}
