import { type InputHTMLAttributes, type Ref, useId } from 'react';

/** A labelled line to type in; what is wrong with it stands under it. */
export function TextField({
  label,
  problem,
  quiet,
  mono = true,
  ref,
  ...input
}: {
  label: string;
  problem?: string;
  /** Of second rank: it may stay empty. */
  quiet?: boolean;
  mono?: boolean;
  ref?: Ref<HTMLInputElement>;
} & InputHTMLAttributes<HTMLInputElement>) {
  const problemId = useId();
  return (
    <div>
      <label className="block">
        <span className={`mb-1 block ${quiet ? 'second' : 'font-[650]'}`}>{label}</span>
        <input
          ref={ref}
          autoComplete="off"
          className={`field ${mono ? 'font-mono' : ''}`}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? problemId : undefined}
          {...input}
        />
      </label>
      {problem && (
        <p id={problemId} role="alert" className="mt-1 font-[650]">
          {problem}
        </p>
      )}
    </div>
  );
}
