import type { InputHTMLAttributes } from 'react';
import { SmallField } from '../fields/SmallField.tsx';

type Words<T> = { [K in keyof T]: T[K] extends string ? K : never }[keyof T] & string;

/** One line of a form that is typed: its words, and what is wrong with them under it. */
export function TypedField<T>({
  form: { typed, put, problem },
  of,
  ...field
}: {
  form: { readonly typed: T; readonly put: (changed: Partial<T>) => void; readonly problem: (key: keyof T) => string | undefined };
  of: Words<T>;
  label: string;
  width?: string;
} & Pick<InputHTMLAttributes<HTMLInputElement>, 'placeholder' | 'inputMode'>) {
  return (
    <SmallField
      value={typed[of] as string}
      problem={problem(of)}
      onText={(text) => put({ [of]: text } as unknown as Partial<T>)}
      {...field}
    />
  );
}
