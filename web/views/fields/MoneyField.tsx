import { parseMoney } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { KeptField } from './KeptField.tsx';

/** A sum of money in the workshop's currency; empty where none is wanted. */
export function MoneyField({
  label,
  value,
  placeholder,
  hidden = false,
  onKeep,
}: {
  label: string;
  /** Minor units; undefined: none. */
  value: number | undefined;
  placeholder?: string;
  /** The label is for those who cannot see the table around it. */
  hidden?: boolean;
  /** Undefined: left empty. */
  onKeep: (value: number | undefined) => void;
}) {
  const { workshop } = usePlan();
  return (
    <KeptField
      label={label}
      labelLook={hidden ? 'sr-only' : 'second block text-small'}
      look="!min-h-9 !w-20 !px-2 text-right"
      shown={value === undefined ? '' : (value / 100).toFixed(2)}
      placeholder={placeholder}
      read={(text) => parseMoney(text, workshop.currency)}
      onKeep={onKeep}
    />
  );
}
