import { supplyName } from '#core/amounts/index';
import { asKept, shelfStock, wasBought } from '#core/buying/index';
import { capital, toIso } from '#core/units/index';
import { plain, type Stock, SUPPLY_KINDS, supplyUnitSchema } from '#core/facts/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { RemoveButton } from '../../views/fields/RemoveButton.tsx';
import { TextField } from '../../views/fields/TextField.tsx';
import { stockAnswersSchema, UNIT_OF } from './stockAnswers.ts';
import { supplyText } from '#core/amounts/index';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** Papers, tape, stripper and the rest that are owned: what stands here is used before any is bought. */
export function StockList() {
  const { facts } = usePlan();
  const { save, remove } = useSaving();
  const rows = [...shelfStock(facts)].sort((a, b) => supplyName(a).localeCompare(supplyName(b), 'en', { numeric: true }));
  const off = (row: Stock) => {
    const said = `${supplyName(row)} is off the shelf.`;
    if (wasBought(row, facts)) void save('stock', { ...asKept(row), left: 0, leftAt: toIso(nowMinute()) }, said);
    else void remove('stock', row.id, said);
  };
  return (
    <FoldingSheet title="Papers, tape and the rest" className="mt-5">
      {rows.length === 0 && <p className="second mt-2">Nothing noted yet. What you own is used first and costs a piece nothing more.</p>}
      <ul className="mt-2 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {rows.map((row) => (
          <li key={row.id} className="flex items-center justify-between gap-3 border-b border-hairline py-1">
            <span>{supplyName(row)}</span>
            <span className="flex items-center">
              <span className="figure">{row.left === undefined ? 'some' : supplyText(row.left, row.unit)}</span>
              {(row.left !== 0 || !wasBought(row, facts)) && <RemoveButton what={supplyName(row)} onRemove={() => off(row)} />}
            </span>
          </li>
        ))}
      </ul>
      <AddStock />
    </FoldingSheet>
  );
}

function AddStock() {
  const { facts } = usePlan();
  const { save } = useSaving();
  const { register, handleSubmit, formState, setValue, reset } = useForm<
    z.input<typeof stockAnswersSchema>,
    unknown,
    z.output<typeof stockAnswersSchema>
  >({
    resolver: zodResolver(stockAnswersSchema),
    defaultValues: { kind: 'paper', spec: '', left: '', unit: 'sheet' },
  });
  const add = handleSubmit(async (row) => {
    const known = shelfStock(facts).find((own) => own.kind === row.kind && own.spec.toLowerCase() === row.spec.toLowerCase());
    const counted = { ...row, id: known?.id ?? newId(), leftAt: toIso(nowMinute()) };
    if (await save('stock', counted, `${supplyName(row)} is on the shelf.`)) reset({ kind: row.kind, unit: row.unit, spec: '', left: '' });
  });
  const kind = register('kind');
  return (
    <form
      className="mt-4 grid items-end gap-3 sm:grid-cols-[180px_1fr_140px_120px_auto]"
      onSubmit={add}
      noValidate
      aria-label="Something owned"
    >
      <label className="block">
        <span className="mb-1 block font-[650]">Kind</span>
        <select
          className="field"
          {...kind}
          onChange={(event) => {
            void kind.onChange(event);
            setValue('unit', UNIT_OF[event.target.value as Stock['kind']]);
          }}
        >
          {SUPPLY_KINDS.map((own) => (
            <option key={own} value={own}>
              {capital(plain(own))}
            </option>
          ))}
        </select>
      </label>
      <TextField label="Which" mono={false} placeholder="P400" problem={formState.errors.spec?.message} {...register('spec')} />
      <TextField label="How much" quiet inputMode="decimal" problem={formState.errors.left?.message} {...register('left')} />
      <label className="block">
        <span className="second mb-1 block">Counted in</span>
        <select className="field" {...register('unit')}>
          {supplyUnitSchema.options.map((unit) => (
            <option key={unit} value={unit}>
              {unit}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="act !min-h-10" disabled={formState.isSubmitting}>
        It is here
      </button>
    </form>
  );
}
