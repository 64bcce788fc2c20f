import { SmallField } from '../../../views/fields/SmallField.tsx';
import type { NumberField } from './divisions.ts';

export type TypedCut = Readonly<Record<string, string>>;

/** The numbers of a division, each with what is wrong with it. */
export function CutFields({
  fields,
  typed,
  problems,
  onTyped,
}: {
  fields: readonly NumberField[];
  typed: TypedCut;
  problems: TypedCut;
  onTyped: (typed: TypedCut) => void;
}) {
  return fields.map(({ key, label }) => (
    <SmallField
      key={key}
      label={label}
      width="!w-32 font-mono"
      inputMode={key === 'count' ? 'numeric' : 'decimal'}
      value={typed[key]}
      problem={problems[key]}
      onText={(text) => onTyped({ ...typed, [key]: text })}
    />
  ));
}
