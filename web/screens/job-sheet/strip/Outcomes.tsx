import { eventSchema, type Part, type Piece, plain, type StripMethod, type StripOutcome, stripMethodSchema } from '#core/facts/index';
import { dwells } from '#core/strip/index';
import { parseQuantity, toIso } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { SmallField, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { useWords } from '../../../app/useWords.ts';

/** What takes old paint off; scuffing keeps it. */
const REMOVING = stripMethodSchema.options.filter((method) => method !== 'scuff');
type Outcome = StripOutcome | 'harmed';
const OUTCOMES: readonly { readonly outcome: Outcome; readonly label: string; readonly onlyPatch?: true }[] = [
  { outcome: 'clean', label: 'It came off clean' },
  { outcome: 'most', label: 'Most came off' },
  { outcome: 'little', label: 'Hardly anything' },
  { outcome: 'harmed', label: 'It harmed the part', onlyPatch: true },
];
const WHERE = [
  { value: 'part', label: 'the whole part' },
  { value: 'patch', label: 'a patch on a hidden spot' },
] as const;

/** What was tried and what came of it; at the desk an outcome can be entered afterwards, planned or not, with its dwell. */
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
  const [other, setOther] = useState<StripMethod | null>(null);
  const [where, setWhere] = useState<(typeof WHERE)[number]['value']>('part');
  const [dwell, setDwell] = useState('');
  const [problem, setProblem] = useState('');
  const chosen = other ?? (method && method !== 'scuff' ? method : REMOVING[0]);
  const log = (outcome: Outcome) => {
    const minutes = dwells(chosen) ? parseQuantity(dwell, 'duration', 'min') : ({ ok: true, value: 0 } as const);
    setProblem(minutes.ok ? '' : `Say how long it was on first. ${minutes.mend}`);
    if (!minutes.ok) return;
    const shared = {
      id: newId(),
      at: toIso(nowMinute()),
      pieceId: piece.id,
      partIds: [part.id],
      method: chosen,
      outcome,
      dwellMinutes: minutes.value,
    };
    const before = facts.events.filter(
      (event) => event.kind === 'stripped' && event.pieceId === piece.id && event.partIds.includes(part.id) && event.method === chosen,
    ).length;
    const event = eventSchema.safeParse(
      where === 'patch' ? { ...shared, kind: 'patch' } : { ...shared, kind: 'stripped', application: before + 1 },
    );
    if (!event.success) return void toast.error(event.error.issues[0].message);
    void logEvents([event.data]);
    toast('Logged. The plan goes on from what is left.');
    setDwell('');
    setOther(null);
    setWhere('part');
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
        <SmallSelect
          label="tried, asked for or not"
          value={chosen}
          options={REMOVING.map((value) => ({ value, label: plain(value) }))}
          onChange={setOther}
        />
        <SmallSelect label="on" value={where} options={WHERE} onChange={setWhere} />
        {dwells(chosen) && (
          <SmallField
            label={`${plain(chosen)} was on for`}
            width="!w-32 font-mono"
            value={dwell}
            placeholder="40 min"
            problem={problem || undefined}
            onText={setDwell}
          />
        )}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        {OUTCOMES.filter(({ onlyPatch }) => !onlyPatch || where === 'patch').map(({ outcome, label }) => (
          <button key={outcome} type="button" className="chip !min-h-10" onClick={() => log(outcome)}>
            {label}
          </button>
        ))}
      </div>
    </section>
  );
}
