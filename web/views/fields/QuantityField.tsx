import { type Dimension, parseQuantity } from '#core/units/index';
import { KeptField } from './KeptField.tsx';

/** A measure typed with or without its unit. */
export function QuantityField({
  label,
  dimension,
  unit,
  shown,
  placeholder,
  small = false,
  refused,
  onKeep,
}: {
  label: string;
  dimension: Dimension;
  /** The unit of a bare number. */
  unit: string;
  /** As it stands, in words; '' where nothing does. */
  shown: string;
  placeholder: string;
  /** One of a row of short fields. */
  small?: boolean;
  /** Why a value cannot be; null where it can. */
  refused: (value: number) => string | null;
  onKeep: (value: number | undefined) => void;
}) {
  return (
    <KeptField
      label={label}
      labelLook={small ? 'second block text-small' : 'mb-1 block font-[650] text-ink'}
      look={small ? '!min-h-9 !w-[88px] !px-2' : '!w-40'}
      shown={shown}
      placeholder={placeholder}
      read={(text) => {
        const read = parseQuantity(text, dimension, unit);
        const why = read.ok ? refused(read.value) : null;
        return why === null ? read : { ok: false, mend: why };
      }}
      onKeep={onKeep}
    />
  );
}
