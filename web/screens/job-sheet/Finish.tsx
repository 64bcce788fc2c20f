import { type Parcel, type Piece, plain } from '#core/facts/index';
import { fitOrder } from '#core/survey/index';
import { asSentence, counted, listed, parseNumber, toIso } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../app/PlanContext.tsx';
import { newId, useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Cautions } from '../../views/Cautions.tsx';
import type { SectionProps } from './sectionProps.ts';

/** What must have come and cured before the parts go together, and the last checks. */
export function Finish({ piece, view }: SectionProps) {
  const { plan } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [name, setName] = useState('');
  const [price, setPrice] = useState('');
  const [due, setDue] = useState('');
  const [source, setSource] = useState('');
  const [partId, setPartId] = useState('');
  const fit = plan.steps.find((step) => step.pieceId === piece.id && step.stage === 'fit');
  const parcel = (amount: number): Parcel => ({
    id: newId(),
    name: name.trim(),
    price: Math.round(amount * 100),
    arrived: false,
    ...(source.trim() ? { source: source.trim() } : {}),
    ...(due ? { due } : {}),
    ...(partId ? { holds: { partId } } : {}),
  });
  const add = () => {
    const amount = price.trim() ? parseNumber(price) : 0;
    if (!name.trim()) return void toast.error('Say what is to come: glazing, tyres, a part.');
    if (amount === null || amount < 0) return void toast.error('A price is a sum of money, such as 6,40.');
    setName('');
    setPrice('');
    setDue('');
    void save(
      'pieces',
      { ...piece, parcels: [...piece.parcels, parcel(amount)] },
      due ? 'Parcel noted.' : 'Noted: it is still to be ordered.',
    );
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="finish">
        <h2 id="finish" className="!text-title">
          {piece.finished || !fit
            ? 'Fitted together'
            : view.likely !== null
              ? `Likely together ${words.day(view.likely)}, safe ${words.day(view.safe ?? view.likely)}`
              : 'Cannot go together yet'}
        </h2>
        {fit && (
          <p className="mt-1">
            {fit.placed ? `Planned ${words.moment(fit.placed.start)} if nothing goes wrong. ` : ''}
            {asSentence((fit.placed ? (fit.notBeforeWhy ?? fit.placed.hold.text) : fit.unplacedWhy) ?? '')}
          </p>
        )}
        <h3 className="mt-4 font-[650] text-ink">Parts, in the order they go together</h3>
        <ol className="mt-1">
          {fitOrder(piece).map((part) => (
            <li key={part.id} className="flex justify-between border-b border-hairline py-2">
              <span>
                {part.name}
                {part.copies > 1 ? ` × ${part.copies}` : ''}
              </span>
              <span className="second">
                {view.stacks[part.id]?.filmUm
                  ? `${Math.round(view.stacks[part.id].filmUm)} µm on each face: check the fit`
                  : plain(part.material)}
              </span>
            </li>
          ))}
        </ol>
        <h3 className="mt-4 font-[650] text-ink">Before it leaves the bench</h3>
        <p className="mt-1">
          Rolls or turns freely. Doors and lids close. Sits level. No bare metal inside screw holes. The touch-up list is empty.
        </p>
        {view.missing.length > 0 && <p className="mt-3 font-[650]">Still missing: {listed(view.missing)}.</p>}
        {!piece.finished && (
          <button
            type="button"
            className="act mt-4"
            onClick={() => void save('pieces', { ...piece, finished: true }, `${piece.name} is finished.`)}
          >
            It is finished
          </button>
        )}
        {piece.finished && (
          <button type="button" className="act mt-4" onClick={() => void save('pieces', { ...piece, finished: false }, 'Back in hand.')}>
            Take it in hand again
          </button>
        )}
      </section>
      <aside className="space-y-5">
        <section className="sheet" aria-label="Parcels">
          <h2>Parcels</h2>
          <ul className="mt-1">
            {piece.parcels.map((parcel) => (
              <li key={parcel.id} className="flex items-center justify-between gap-3 border-b border-hairline py-2">
                <span>
                  {parcel.name}
                  <span className="second block text-small">
                    {words.money(parcel.price)}, {parcelState(parcel)}; {waitsFor(parcel, piece)}
                  </span>
                </span>
                {!parcel.arrived && !parcel.due && !parcel.orderedAt && (
                  <button
                    type="button"
                    className="chip"
                    onClick={() =>
                      void save(
                        'pieces',
                        {
                          ...piece,
                          parcels: piece.parcels.map((own) =>
                            own.id === parcel.id ? { ...own, orderedAt: toIso(plan.now).slice(0, 10) } : own,
                          ),
                        },
                        'Ordered today.',
                      )
                    }
                  >
                    ordered
                  </button>
                )}
                <button
                  type="button"
                  className="chip"
                  aria-pressed={parcel.arrived}
                  onClick={() =>
                    void save(
                      'pieces',
                      { ...piece, parcels: piece.parcels.map((own) => (own.id === parcel.id ? { ...own, arrived: !own.arrived } : own)) },
                      'Noted.',
                    )
                  }
                >
                  {parcel.arrived ? 'arrived' : 'it is here'}
                </button>
              </li>
            ))}
          </ul>
          <form
            className="mt-3 space-y-2"
            onSubmit={(event) => {
              event.preventDefault();
              add();
            }}
          >
            <label>
              <span className="second block text-small">Decals, tyres, glazing on the way</span>
              <input className="field" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
            </label>
            <div className="grid grid-cols-2 gap-2">
              <label>
                <span className="second block text-small">Price</span>
                <input className="field font-mono" inputMode="decimal" value={price} onChange={(event) => setPrice(event.target.value)} />
              </label>
              <label>
                <span className="second block text-small">Due</span>
                <input className="field font-mono" type="date" value={due} onChange={(event) => setDue(event.target.value)} />
              </label>
            </div>
            <div className="grid grid-cols-2 gap-2">
              <label>
                <span className="second block text-small">From</span>
                <input className="field" value={source} maxLength={80} onChange={(event) => setSource(event.target.value)} />
              </label>
              <label>
                <span className="second block text-small">What waits for it</span>
                <select className="field" value={partId} onChange={(event) => setPartId(event.target.value)}>
                  <option value="">the fit</option>
                  {piece.parts.map((part) => (
                    <option key={part.id} value={part.id}>
                      all work on {part.name.toLowerCase()}
                    </option>
                  ))}
                </select>
              </label>
            </div>
            <button type="submit" className="act !min-h-10">
              Expect it
            </button>
          </form>
        </section>
        <Cautions hazards={fit?.hazards ?? []} />
      </aside>
    </div>
  );
}

/** What the plan keeps back until it is here. */
function waitsFor(parcel: Parcel, piece: Piece): string {
  const part = piece.parts.find((own) => own.id === parcel.holds?.partId);
  return part ? `${part.name.toLowerCase()} waits for it` : 'the fit waits for it';
}

function parcelState(parcel: Parcel): string {
  if (parcel.arrived) return 'here';
  if (parcel.due) return `due ${parcel.due}`;
  if (parcel.orderedAt) return `ordered ${parcel.orderedAt}`;
  return parcel.leadDays === undefined ? 'not ordered yet' : `not ordered yet, ${counted(parcel.leadDays, 'day')} to come`;
}
