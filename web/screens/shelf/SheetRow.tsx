import type { SheetField } from '#core/coats/index';
import type { Label, Sheet } from '#core/facts/index';
import { type Parsed, parseNumber, parseQuantity, typedNumber, typedTime } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import type { KeepSheet } from './keepSheet.ts';

/** As it was typed; what stands there by itself is rounded by whoever worked it out. */
function valueText(field: SheetField): string {
  if (field.value === null) return '';
  return field.unit === 'min' ? typedTime(field.value) : typedNumber(field.value);
}

function numberOf(text: string, field: SheetField): Parsed {
  const value = parseNumber(text);
  return value === null ? { ok: false, mend: `type a number in ${field.unit}.` } : { ok: true, value };
}

/** Percent on screen, a share in the facts. */
function stored(field: SheetField, typed: number): number {
  return field.key === 'solids' ? typed / 100 : typed;
}

/** One line of a label: typed it counts, emptied the family speaks again. */
export function SheetRow({
  field,
  sheet,
  beside,
  onKeep,
}: {
  field: SheetField;
  sheet: Sheet;
  beside: SheetField | null;
  onKeep: KeepSheet;
}) {
  const own = field.source === 'label';
  const shown = field.value === null ? '' : valueText(field);
  const [typed, setTyped] = useState<string | null>(null);
  const keep = async () => {
    const text = typed?.trim();
    setTyped(null);
    // Typing what is usual is saying that the label says so too.
    if (text === undefined || (own && text === shown) || (!own && text === '')) return;
    const { [field.key]: _was, ...rest } = sheet.label;
    const value = field.unit === 'min' ? parseQuantity(text, 'duration', 'min') : numberOf(text, field);
    if (text !== '' && !value.ok) return void toast.error(`${field.name}: ${value.mend}`);
    const label = text === '' || !value.ok ? (rest as Label) : { ...sheet.label, [field.key]: stored(field, value.value) };
    const kept = await onKeep({ ...sheet, label }, text === '' ? 'Back to what is usual.' : 'The label counts from now on.');
    // What could not be kept stays where it was typed.
    if (!kept) setTyped(text);
  };
  const differs = beside !== null && beside.value !== field.value;
  return (
    <tr className="border-t border-hairline">
      <td className="py-1 pr-3">{field.name}</td>
      <td className="py-1">
        <label className="flex items-center gap-2">
          <span className="sr-only">
            {field.name}, {field.unit}
          </span>
          <input
            className={`field !min-h-9 !w-28 text-right font-mono ${own ? '' : '!text-second'}`}
            inputMode="decimal"
            value={typed ?? (own ? shown : '')}
            placeholder={shown || '–'}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={() => void keep()}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
          <span className="figure w-8" aria-hidden>
            {field.unit === 'min' ? '' : field.unit}
          </span>
        </label>
      </td>
      <td className={own ? 'font-[650] text-ink' : 'second'}>
        {own ? 'the label' : field.value === null ? 'not said' : 'usual for its family'}
      </td>
      {beside && (
        <td className={`figure text-right ${differs ? 'font-[650] text-ink underline' : 'second'}`}>
          {beside.value === null ? '–' : valueText(beside)}
        </td>
      )}
    </tr>
  );
}
