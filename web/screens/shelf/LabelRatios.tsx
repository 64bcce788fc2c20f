import { isTwoPart } from '#core/drying/index';
import type { Sheet } from '#core/facts/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { ratioAnswersSchema, type SaidRatios, typedMix, typedRatios } from './ratioAnswers.ts';
import { TextField } from '../../views/fields/TextField.tsx';
import type { KeepSheet } from './keepSheet.ts';

/** Thinning and hardener as parts to one part of paint, by volume. */
export function LabelRatios({ sheet, onKeep }: { sheet: Sheet; onKeep: KeepSheet }) {
  const { hardener } = sheet.label;
  const [mix, setMix] = useState('');
  const [mixProblem, setMixProblem] = useState('');
  const { register, handleSubmit, setValue, formState } = useForm<z.input<typeof ratioAnswersSchema>, unknown, SaidRatios>({
    resolver: zodResolver(ratioAnswersSchema),
    defaultValues: typedRatios(sheet.label),
  });
  const { errors } = formState;
  const keep = handleSubmit((said) => {
    const { thinning: _thinning, hardener: _hardener, ...rest } = sheet.label;
    void onKeep({ ...sheet, label: { ...rest, ...said } }, 'Mixes are reckoned by it.');
  });
  const spread = () => {
    const mixed = typedMix(mix, hardener !== undefined || isTwoPart(sheet.family));
    setMixProblem(mixed ? '' : 'A mix reads 4:1 or, with hardener, 12:1:1: paint, hardener, reducer.');
    if (!mixed) return;
    if (mixed.usual !== undefined) setValue('usual', mixed.usual);
    if (mixed.hardener !== undefined) setValue('hardener', mixed.hardener);
    setMix('');
  };
  return (
    <form className="border-t border-hairline pt-2" onSubmit={keep} noValidate>
      <p className="font-[650] text-ink">Reducer and hardener to paint</p>
      <div className="mt-1 flex items-end gap-2">
        <span className="flex-1">
          <TextField
            label="the mix as the label says it"
            quiet
            placeholder="12:1:1"
            value={mix}
            problem={mixProblem || undefined}
            onChange={(event) => setMix(event.target.value)}
          />
        </span>
        <button type="button" className="act !min-h-10 !px-2" onClick={spread}>
          Take it
        </button>
      </div>
      <div className="mt-2 grid grid-cols-3 items-start gap-2">
        <TextField label="reducer, least" quiet problem={errors.least?.message} {...register('least')} />
        <TextField label="usual" quiet problem={errors.usual?.message} {...register('usual')} />
        <TextField label="most" quiet problem={errors.most?.message} {...register('most')} />
        <TextField label="hardener" quiet problem={errors.hardener?.message} {...register('hardener')} />
        <TextField label="gloss at most" quiet inputMode="decimal" problem={errors.gloss?.message} {...register('gloss')} />
        <button type="submit" className="act self-end !min-h-10 !px-2">
          Keep
        </button>
      </div>
    </form>
  );
}
