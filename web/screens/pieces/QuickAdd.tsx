import { type Aim, type LooksLike, looksLikeSchema, pieceSchema, plain } from '#core/facts/index';
import { type Drafted, draftPiece, type Outlook, type PlanView, type WhereNow } from '#core/plan/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents, newId, useSaving } from '../../app/useFacts.ts';
import { Chips } from '../../views/Chips.tsx';
import { Portrait } from '../../views/Portrait.tsx';
import { colourName, SwatchPicker } from '../../views/SwatchPicker.tsx';
import { planner } from '../../workers/planner.ts';
import { PriceOfIt } from './PriceOfIt.tsx';

const AIMS: readonly { value: Aim; label: string }[] = [
  { value: 'own-scheme', label: 'Own scheme' },
  { value: 'as-original', label: 'As original' },
  { value: 'serviceable', label: 'Serviceable' },
  { value: 'preserve', label: 'Preserve' },
  { value: 'aged', label: 'Aged' },
];
const WHERE: readonly { value: WhereNow; label: string }[] = [
  { value: 'untouched', label: 'Old paint on' },
  { value: 'bare', label: 'Bare' },
  { value: 'primed', label: 'Primed' },
  { value: 'coloured', label: 'Coloured' },
  { value: 'cleared', label: 'Cleared' },
];
const SINCE: readonly { value: string; label: string; days: number }[] = [
  { value: '0', label: 'today', days: 0.2 },
  { value: '1', label: 'yesterday', days: 1 },
  { value: '3', label: 'some days', days: 4 },
  { value: '14', label: 'weeks', days: 21 },
];
const DRAFT_AFTER_MS = 250;

/** One screen: a few answers, and a whole plan with its price stands beside them. */
export function QuickAdd() {
  const { facts, workshop } = usePlan();
  const { save } = useSaving();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [looksLike, setLooksLike] = useState<LooksLike>('cast-body');
  const [longest, setLongest] = useState('');
  const [colours, setColours] = useState<string[]>([]);
  const [aim, setAim] = useState<Aim>(
    () => [...facts.pieces].sort((a, b) => b.createdAt.localeCompare(a.createdAt))[0]?.aim ?? 'own-scheme',
  );
  const [whereNow, setWhereNow] = useState<WhereNow>('untouched');
  const [since, setSince] = useState('1');
  const [scale, setScale] = useState('');
  const [budget, setBudget] = useState('');
  const [neededBy, setNeededBy] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const adding = useRef(false);

  const draft = useMemo<Drafted | string>(() => {
    const size = parseQuantity(longest, 'length', workshop.units.length);
    if (!size.ok) return longest.trim() ? size.mend : '';
    if (size.value < 5 || size.value > 3000) return 'The longest side is between 5 mm and 3 m. Check the unit.';
    const money = budget.trim() ? parseNumber(budget) : null;
    if (budget.trim() && (money === null || money < 0)) return 'A budget is a sum of money, such as 45.';
    const scaled = scale.trim() ? parseNumber(scale.replace(/^1\s*:/, '')) : null;
    if (scale.trim() && (scaled === null || scaled < 1 || scaled > 2000)) return 'A scale reads 1:43, or just 43.';
    const days = SINCE.find((option) => option.value === since)?.days ?? 1;
    const answers = {
      name: name.trim() || 'New piece',
      looksLike,
      longestMm: size.value,
      colours: colours.map((hex) => ({ name: colourName(hex), hex })),
      aim,
      whereNow,
      since: Math.floor(nowMinute() - days * 1440),
      ...(scaled ? { scale: Math.round(scaled) } : {}),
      ...(money !== null ? { budget: Math.round(money * 100) } : {}),
      ...(neededBy ? { neededBy } : {}),
    };
    const taken = facts.pieces.filter((piece) => !piece.finished).flatMap((piece) => piece.parts.flatMap((part) => part.pegs));
    const drafted = draftPiece(answers, Math.floor(nowMinute()), workshop.hands, newId, taken, workshop.dryPlaceId);
    const checked = pieceSchema.safeParse(drafted.piece);
    return checked.success ? drafted : checked.error.issues[0].message;
  }, [name, looksLike, longest, colours, aim, whereNow, since, scale, budget, neededBy, facts.pieces, workshop]);

  const [preview, setPreview] = useState<PlanView | null>(null);
  const [outlook, setOutlook] = useState<Outlook | null>(null);
  useEffect(() => {
    if (typeof draft === 'string') {
      setPreview(null);
      return;
    }
    let current = true;
    setOutlook(null);
    const timer = setTimeout(() => {
      const known = { ...facts, pieces: [...facts.pieces, draft.piece], events: [...facts.events, ...draft.events] };
      planner.plan(known, nowMinute()).then((plan) => current && setPreview(plan));
      planner.outlook(known, nowMinute(), draft.piece).then((range) => current && setOutlook(range));
    }, DRAFT_AFTER_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [draft, facts]);

  const add = async () => {
    if (adding.current) return;
    if (!name.trim()) return setProblem('Give the piece a name, so that you find it again.');
    if (typeof draft === 'string') return setProblem(draft || 'Type its longest side: everything else is guessed from it.');
    adding.current = true;
    setBusy(true);
    if (await save('pieces', draft.piece)) {
      if (draft.events.length > 0) await logEvents(draft.events);
      navigate(`/pieces/${draft.piece.id}/coats`);
    }
    adding.current = false;
    setBusy(false);
  };
  const past = neededBy !== '' && neededBy < new Date().toISOString().slice(0, 10);
  const complaint = problem || (typeof draft === 'string' ? draft : '');
  return (
    <form
      className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_372px]"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
      onChange={() => setProblem('')}
    >
      <section className="sheet space-y-4 !px-7" aria-labelledby="add">
        <h1 id="add">Add a piece</h1>
        <div className="grid gap-4 sm:grid-cols-[1fr_180px_120px]">
          <label>
            <span className="mb-1 block font-[650] text-ink">Name</span>
            <input
              className="field"
              value={name}
              maxLength={200}
              onChange={(event) => setName(event.target.value)}
              autoFocus
              autoComplete="off"
            />
          </label>
          <label>
            <span className="mb-1 block font-[650] text-ink">Longest side</span>
            <input
              className="field font-mono"
              value={longest}
              onChange={(event) => setLongest(event.target.value)}
              placeholder={workshop.units.length === 'mm' ? '120 mm' : '4 3/4 in'}
              autoComplete="off"
            />
          </label>
          <label>
            <span className="second mb-1 block">Scale, if any</span>
            <input
              className="field font-mono"
              value={scale}
              onChange={(event) => setScale(event.target.value)}
              placeholder="1:43"
              autoComplete="off"
            />
          </label>
        </div>
        <fieldset>
          <legend className="mb-2 font-[650] text-ink">Looks like</legend>
          <div className="grid grid-cols-4 gap-2 xl:grid-cols-7">
            {looksLikeSchema.options.map((option) => (
              <button
                key={option}
                type="button"
                className="chip !flex-col !gap-1 !px-1 !py-2 text-small leading-tight"
                aria-pressed={looksLike === option}
                onClick={() => setLooksLike(option)}
              >
                <Portrait looksLike={option} swatches={looksLike === option ? colours : []} className="h-[46px]" />
                {plain(option)}
              </button>
            ))}
          </div>
        </fieldset>
        <fieldset>
          <legend className="mb-2 font-[650] text-ink">
            Colours <span className="second font-[400]">none to three, the largest first</span>
          </legend>
          <SwatchPicker chosen={colours} most={3} onChange={setColours} />
        </fieldset>
        <div className="flex flex-wrap gap-x-8 gap-y-4">
          <Chips legend="Where is it now?" options={WHERE} value={whereNow} onChange={setWhereNow} />
          {whereNow !== 'untouched' && whereNow !== 'bare' && <Chips legend="Since" options={SINCE} value={since} onChange={setSince} />}
        </div>
        <Chips legend="Aim" options={AIMS} value={aim} onChange={setAim} />
        <div className="grid gap-4 sm:grid-cols-2">
          <label>
            <span className="second mb-1 block">Budget in {workshop.currency}, if any</span>
            <input
              className="field font-mono"
              inputMode="decimal"
              value={budget}
              onChange={(event) => setBudget(event.target.value)}
              autoComplete="off"
            />
          </label>
          <label>
            <span className="second mb-1 block">Needed by, if a day is set</span>
            <input className="field font-mono" type="date" value={neededBy} onChange={(event) => setNeededBy(event.target.value)} />
          </label>
        </div>
        {past && <p className="font-[650]">That day has passed: the plan can only say by how much it is late.</p>}
      </section>
      <aside className="space-y-5">
        <PriceOfIt draft={typeof draft === 'string' ? null : draft.piece} plan={preview} outlook={outlook} />
        <p role="alert" className="min-h-6 font-[650]">
          {complaint}
        </p>
        <button type="submit" className="act w-full !min-h-[56px] text-lead" data-first="true" disabled={busy}>
          Add it with this plan
        </button>
      </aside>
    </form>
  );
}
