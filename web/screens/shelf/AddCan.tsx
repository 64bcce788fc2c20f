import { plain } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { Sheet } from '../../views/Sheet.tsx';
import { SwatchPicker } from '../../views/fields/SwatchPicker.tsx';
import { TextField } from '../../views/fields/TextField.tsx';
import { SmallSelect } from '../../views/fields/SmallField.tsx';
import { type CanAnswers, canAnswersSchema, canFacts, type TypedCan } from './canAnswers.ts';
import { CAN_KINDS, HANDS_OF_CANS, THINNERS } from '../../views/paintKinds.ts';

const FRESH: TypedCan = {
  sameAs: '',
  kind: 'colour',
  hand: 'aerosol',
  thinner: '',
  swatch: [],
  volume: '',
  left: '',
  paid: '',
  name: '',
};

/** A can in three presses and a volume: what it says it is, what it is thinned or cleaned with, colour; or the same as another. */
export function AddCan() {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <button type="button" className="act" data-first="true">
          <Plus size={18} aria-hidden /> Enter a can
        </button>
      </Dialog.Trigger>
      <Sheet title="Enter a can" closes={false}>
        <CanForm onKept={() => setOpen(false)} />
      </Sheet>
    </Dialog.Root>
  );
}

function CanForm({ onKept }: { onKept: () => void }) {
  const { facts, workshop } = usePlan();
  const { save } = useSaving();
  const schema = useMemo(() => canAnswersSchema(workshop, facts.sheets), [workshop, facts.sheets]);
  const { register, setValue, watch, handleSubmit, formState } = useForm<TypedCan, unknown, CanAnswers>({
    resolver: zodResolver(schema),
    defaultValues: FRESH,
  });
  const typed = watch();
  const { errors, isSubmitted } = formState;
  const kind = CAN_KINDS.find(({ value }) => value === typed.kind);
  const same = facts.sheets.find(({ id }) => id === typed.sameAs);
  const isClear = same ? same.role === 'clear' : kind?.clear === true;
  const choose =
    <K extends keyof TypedCan>(key: K) =>
    (value: TypedCan[K]) =>
      setValue(key, value as never, { shouldValidate: isSubmitted });
  const add = handleSubmit(async (answers) => {
    const { sheet, product, can } = canFacts(answers, newId, toIso(nowMinute()));
    const kept =
      (!sheet || (await save('sheets', sheet))) &&
      (await save('products', product)) &&
      (await save('cans', can, `${product.name} stands on the shelf.`));
    if (kept) onKept();
  });
  return (
    <form className="mt-4 space-y-4" onSubmit={add} noValidate>
      <SmallSelect
        label="Same as another, new colour"
        width="!w-full max-w-md"
        value={typed.sameAs}
        options={[
          { value: '', label: 'no: by what is on it' },
          ...facts.sheets.map(({ id, name, family, hand }) => ({ value: id, label: `${name} (${plain(family)}, ${hand})` })),
        ]}
        onChange={choose('sameAs')}
      />
      {typed.sameAs === '' && (
        <>
          <Chips legend="1 What does it say it is?" options={CAN_KINDS} value={typed.kind} onChange={choose('kind')} />
          <Chips legend="How does it come?" options={HANDS_OF_CANS} value={typed.hand} onChange={choose('hand')} hideLegend />
          {!kind?.family && (
            <Chips legend="2 Thinned or cleaned with" options={THINNERS} value={typed.thinner} onChange={choose('thinner')} />
          )}
          <Problem text={errors.thinner?.message} />
        </>
      )}
      {!isClear && (
        <fieldset>
          <legend className="mb-2 font-[650] text-ink">3 Colour</legend>
          <SwatchPicker chosen={typed.swatch} most={1} onChange={choose('swatch')} />
        </fieldset>
      )}
      <Problem text={errors.swatch?.message} />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField label="Volume" placeholder="400 mL" problem={errors.volume?.message} {...register('volume')} />
        <TextField label="Left, if not full" quiet problem={errors.left?.message} {...register('left')} />
        <TextField label={`Paid, ${workshop.currency}`} quiet inputMode="decimal" problem={errors.paid?.message} {...register('paid')} />
      </div>
      <TextField
        label="Name on the label, if you like"
        quiet
        mono={false}
        maxLength={80}
        problem={errors.name?.message}
        {...register('name')}
      />
      <div className="flex gap-3">
        <button type="submit" className="act" data-first="true" disabled={formState.isSubmitting}>
          Put it on the shelf
        </button>
        <Dialog.Close asChild>
          <button type="button" className="act">
            Not now
          </button>
        </Dialog.Close>
      </div>
    </form>
  );
}

function Problem({ text }: { text: string | undefined }) {
  return text ? (
    <p role="alert" className="font-[650]">
      {text}
    </p>
  ) : null;
}
