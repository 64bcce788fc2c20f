import { type Aim, looksLikeSchema, plain } from '#core/facts/index';
import { type Drafted, draftPiece, type Outlook, type PlanView, type QuickAnswers, type WhereNow } from '#core/plan/index';
import { localMoment } from '#core/units/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { Portrait } from '../../views/drawn/Portrait.tsx';
import { DateField } from '../../views/fields/DateField.tsx';
import { TextField } from '../../views/fields/TextField.tsx';
import { SwatchPicker } from '../../views/fields/SwatchPicker.tsx';
import { planner } from '../../workers/planner.ts';
import { LastCoat } from './LastCoat.tsx';
import { PriceOfIt } from './PriceOfIt.tsx';
import { quickAnswersSchema, type TypedAnswers } from './quickAnswers.ts';

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
const DRAFT_AFTER_MS = 250;

const FRESH: TypedAnswers = {
  name: '',
  longest: '',
  looksLike: 'cast-body',
  colours: [],
  whereNow: 'untouched',
  since: null,
  sinceEarliest: null,
  lastProductId: '',
  aim: 'own-scheme',
  scale: '',
  budget: '',
  neededBy: '',
};

/** One screen: a few answers, and a whole plan with its price stands beside them. */
export function QuickAdd() {
  const { facts, workshop } = usePlan();
  const { save } = useSaving();
  const navigate = useNavigate();
  const schema = useMemo(() => quickAnswersSchema(workshop, facts, nowMinute), [workshop, facts]);
  const form = useForm<TypedAnswers, unknown, QuickAnswers>({ resolver: zodResolver(schema), defaultValues: FRESH, mode: 'onTouched' });
  const { control, register, setValue, formState } = form;
  const typed = form.watch();
  const read = schema.safeParse({ ...typed, name: typed.name.trim() || 'New piece' });
  const draft = useDraft(read.success ? read.data : null);
  const { preview, outlook } = usePrice(draft);
  const adding = useRef(false);

  const add = form.handleSubmit(async (answers) => {
    if (adding.current || !draft) return;
    adding.current = true;
    const said = preview?.pieces.find(({ pieceId }) => pieceId === draft.piece.id);
    const expected = said && { total: said.money.total, minutes: Math.round(said.attendedMinutes) };
    const piece = { ...draft.piece, name: answers.name, ...(expected ? { expected } : {}) };
    if (await save('pieces', piece)) {
      if (draft.budget) await save('budgets', draft.budget);
      if (draft.events.length > 0) await logEvents(draft.events);
      navigate(`/pieces/${piece.id}/coats`);
    }
    adding.current = false;
  });
  const choose =
    <K extends keyof TypedAnswers>(key: K) =>
    (value: TypedAnswers[K]) =>
      setValue(key, value as never, { shouldValidate: formState.isSubmitted });
  const past = typed.neededBy !== '' && typed.neededBy < localMoment(nowMinute(), workshop.timeZone).date;
  const { errors } = formState;
  return (
    <form className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_372px]" onSubmit={add} noValidate>
      <section className="sheet space-y-4 !px-7" aria-labelledby="add">
        <h1 id="add">Add a piece</h1>
        <div className="grid gap-4 sm:grid-cols-[1fr_180px_120px]">
          <TextField label="Name" mono={false} maxLength={200} autoFocus problem={errors.name?.message} {...register('name')} />
          <TextField
            label="Longest side"
            placeholder={workshop.units.length === 'mm' ? '120 mm' : '4 3/4 in'}
            problem={errors.longest?.message}
            {...register('longest')}
          />
          <TextField label="Scale, if any" quiet placeholder="1:43" problem={errors.scale?.message} {...register('scale')} />
        </div>
        <fieldset>
          <legend className="mb-2 font-[650] text-ink">Looks like</legend>
          <div className="grid grid-cols-4 gap-2 xl:grid-cols-7">
            {looksLikeSchema.options.map((option) => (
              <button
                key={option}
                type="button"
                className="chip !flex-col !gap-1 !px-1 !py-2 text-small leading-tight"
                aria-pressed={typed.looksLike === option}
                onClick={() => choose('looksLike')(option)}
              >
                <Portrait looksLike={option} swatches={typed.looksLike === option ? typed.colours : []} className="h-[46px]" />
                {plain(option)}
              </button>
            ))}
          </div>
        </fieldset>
        <fieldset>
          <legend className="mb-2 font-[650] text-ink">
            Colours <span className="second font-[400]">none to three, the largest first</span>
          </legend>
          <SwatchPicker chosen={typed.colours} most={3} onChange={choose('colours')} />
        </fieldset>
        <Chips legend="Where is it now?" options={WHERE} value={typed.whereNow} onChange={choose('whereNow')} />
        <LastCoat
          whereNow={typed.whereNow}
          since={typed.since}
          productId={typed.lastProductId}
          earliest={typed.sinceEarliest}
          problem={errors.since?.message}
          earliestProblem={errors.sinceEarliest?.message}
          onSince={choose('since')}
          onEarliest={choose('sinceEarliest')}
          onProduct={choose('lastProductId')}
        />
        <Chips legend="Aim" options={AIMS} value={typed.aim} onChange={choose('aim')} />
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            label={`Budget in ${workshop.currency}, if any`}
            quiet
            inputMode="decimal"
            problem={errors.budget?.message}
            {...register('budget')}
          />
          <Controller
            control={control}
            name="neededBy"
            render={({ field }) => (
              <DateField
                label="Needed by, if a day is set"
                quiet
                value={field.value}
                onChange={field.onChange}
                problem={errors.neededBy?.message}
              />
            )}
          />
        </div>
        {past && <p className="font-[650]">That day has passed: the plan can only say by how much it is late.</p>}
      </section>
      <aside className="space-y-5">
        <PriceOfIt draft={draft?.piece ?? null} plan={preview} outlook={outlook} />
        <button type="submit" className="act w-full !min-h-[56px] text-lead" data-first="true" disabled={formState.isSubmitting}>
          Add it with this plan
        </button>
      </aside>
    </form>
  );
}

/** The piece as it would be added; the same answers make the same piece. */
function useDraft(answers: QuickAnswers | null): Drafted | null {
  const { facts, workshop } = usePlan();
  const key = JSON.stringify(answers);
  return useMemo(() => {
    const asked = JSON.parse(key) as QuickAnswers | null;
    if (!asked) return null;
    const taken = facts.pieces.filter((piece) => !piece.finished).flatMap((piece) => piece.parts.flatMap((part) => part.pegs));
    return draftPiece(asked, Math.floor(nowMinute()), workshop.hands, newId, taken, workshop.dryPlaceId);
  }, [key, facts.pieces, workshop]);
}

/** What the draft would take beside all that is in hand, a moment after the last change. */
function usePrice(draft: Drafted | null): { preview: PlanView | null; outlook: Outlook | null } {
  const { facts } = usePlan();
  const [preview, setPreview] = useState<PlanView | null>(null);
  const [outlook, setOutlook] = useState<Outlook | null>(null);
  useEffect(() => {
    setOutlook(null);
    if (!draft) return setPreview(null);
    let current = true;
    const timer = setTimeout(() => {
      const known = {
        ...facts,
        pieces: [...facts.pieces, draft.piece],
        events: [...facts.events, ...draft.events],
        budgets: [...facts.budgets, ...(draft.budget ? [draft.budget] : [])],
      };
      planner.plan(known, nowMinute()).then((plan) => current && setPreview(plan));
      planner.outlook(known, nowMinute(), draft.piece).then((range) => current && setOutlook(range));
    }, DRAFT_AFTER_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [draft, facts]);
  return { preview, outlook };
}
