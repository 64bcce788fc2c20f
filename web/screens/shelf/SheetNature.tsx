import { familyDrying } from '#core/drying/index';
import { familySchema, type Hand, plain, roleSchema, roleText, type Sheet } from '#core/facts/index';
import { HAND_NAMES } from '../../views/words/handNames.ts';
import { Chips } from '../../views/fields/Chips.tsx';
import { LabelRatios } from './LabelRatios.tsx';
import type { KeepSheet } from './keepSheet.ts';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

const BY_HAND = (['airbrush', 'gun', 'brush'] as const satisfies readonly Hand[]).map((value) => ({ value, label: HAND_NAMES[value] }));

/** What a product is and how it goes on: family, use, form, thinner, hazards and ratios. */
export function SheetNature({ sheet, onKeep }: { sheet: Sheet; onKeep: KeepSheet }) {
  const moved = 'The plan has moved.';
  const { thinner: _thinner, ...thinnedByItsOwn } = sheet;
  return (
    <FoldingSheet title="What it is" inner="space-y-3 mt-3">
      <NameSelect
        label="Family"
        value={sheet.family}
        options={familySchema.options}
        onChange={(family) => void onKeep({ ...sheet, family }, moved)}
      />
      <NameSelect
        label="Used as"
        value={sheet.role}
        options={roleSchema.options}
        text={roleText}
        onChange={(role) => void onKeep({ ...sheet, role }, moved)}
      />
      <Chips
        legend="Comes in"
        options={[
          { value: 'aerosol', label: 'aerosol can' },
          { value: 'bottle', label: 'bottle' },
          { value: 'tin', label: 'tin' },
        ]}
        value={sheet.form ?? (sheet.hand === 'aerosol' ? 'aerosol' : undefined)}
        onChange={(form) => {
          const byHand = sheet.hand === 'aerosol' ? 'airbrush' : sheet.hand;
          // What is sprayed from its can is not thinned.
          void onKeep(form === 'aerosol' ? { ...thinnedByItsOwn, form, hand: 'aerosol' } : { ...sheet, form, hand: byHand }, moved);
        }}
      />
      {sheet.hand !== 'aerosol' && (
        <Chips legend="Goes on by" options={BY_HAND} value={sheet.hand} onChange={(hand) => void onKeep({ ...sheet, hand }, moved)} />
      )}
      {sheet.hand !== 'aerosol' && (
        <label className="block">
          <span className="second block text-small">Thinned with</span>
          <select
            className="field"
            value={sheet.thinner ?? ''}
            onChange={(event) =>
              void onKeep(event.target.value ? { ...sheet, thinner: familySchema.parse(event.target.value) } : thinnedByItsOwn, moved)
            }
          >
            <option value="">{familyDrying(sheet.family).thinner}</option>
            {familySchema.options
              .filter((family) => family !== sheet.family && family !== 'unknown')
              .map((family) => (
                <option key={family} value={family}>
                  {plain(family)} thinner
                </option>
              ))}
          </select>
        </label>
      )}
      <Chips
        legend="Coats go on"
        options={[
          { value: 'mist-then-wet', label: 'mist, then wet' },
          { value: 'one-wet', label: 'one wet' },
        ]}
        value={sheet.label.pattern}
        onChange={(pattern) => void onKeep({ ...sheet, label: { ...sheet.label, pattern } }, 'Noted.')}
      />
      <Chips
        legend="Another paint after that time"
        options={[
          { value: 'scuff', label: 'scuffed first' },
          { value: 'again', label: 'from a later time again' },
          { value: 'never', label: 'never' },
        ]}
        value={sheet.label.afterwards}
        onChange={(afterwards) => void onKeep({ ...sheet, label: { ...sheet.label, afterwards } }, moved)}
      />
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="chip"
          aria-pressed={sheet.forPlastics}
          onClick={() => void onKeep({ ...sheet, forPlastics: !sheet.forPlastics }, moved)}
        >
          made for plastics
        </button>
        <button
          type="button"
          className="chip"
          aria-pressed={sheet.isocyanate}
          onClick={() => void onKeep({ ...sheet, isocyanate: !sheet.isocyanate }, 'The caution shows.')}
        >
          isocyanates
        </button>
      </div>
      <LabelRatios key={JSON.stringify([sheet.label.thinning, sheet.label.hardener])} sheet={sheet} onKeep={onKeep} />
    </FoldingSheet>
  );
}

/** One name of a closed list. */
function NameSelect<T extends string>({
  label,
  value,
  options,
  text = plain,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly T[];
  text?: (value: T) => string;
  onChange: (value: T) => void;
}) {
  return (
    <label className="block">
      <span className="second block text-small">{label}</span>
      <select className="field" value={value} onChange={(event) => onChange(event.target.value as T)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {text(option)}
          </option>
        ))}
      </select>
    </label>
  );
}
