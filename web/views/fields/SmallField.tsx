import { type InputHTMLAttributes, useId } from 'react';

/** Fields of a short form in a row: a small label over each, what is wrong under all of them. */

type SmallFieldProps = {
  readonly label: string;
  readonly width?: string;
  /** What is wrong with it alone; it stands under it. */
  readonly problem?: string;
  readonly onText: (text: string) => void;
} & Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'>;

export function SmallField({ label, width = '', problem, onText, ...input }: SmallFieldProps) {
  const problemId = useId();
  return (
    <div className={problem ? 'max-w-64 self-start' : 'self-start'}>
      <label className="block">
        <span className="second block text-small">{label}</span>
        <input
          autoComplete="off"
          maxLength={80}
          className={`field !min-h-10 ${width}`}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? problemId : undefined}
          onChange={(event) => onText(event.target.value)}
          {...input}
        />
      </label>
      <FieldProblem id={problemId} text={problem} />
    </div>
  );
}

function FieldProblem({ id, text }: { id?: string; text: string | undefined }) {
  return text ? (
    <p id={id} role="alert" className="mt-1 text-small font-[650]">
      {text}
    </p>
  ) : null;
}

export function SmallSelect<T extends string>({
  label,
  value,
  options,
  width = '',
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  width?: string;
  onChange: (value: T) => void;
}) {
  const id = useId();
  return (
    <div className="self-start">
      <label htmlFor={id} className="second block text-small">
        {label}
      </label>
      <select id={id} className={`field !min-h-10 ${width}`} value={value} onChange={(event) => onChange(event.target.value as T)}>
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </div>
  );
}

export function SmallCheck({ label, checked, onChange }: { label: string; checked: boolean; onChange: (checked: boolean) => void }) {
  return (
    <label className="flex min-h-10 items-center gap-2">
      <input type="checkbox" className="size-5" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  );
}

/** What is wrong with the form, and what to do. */
export function FormProblem({ text }: { text: string }) {
  if (!text) return null;
  return (
    <p role="alert" className="basis-full font-[650]">
      {text}
    </p>
  );
}

/** A form in a row, sent by its button or by Enter. */
export function SmallForm({
  label,
  className = 'flex flex-wrap items-end gap-3',
  problem = '',
  onSend,
  children,
}: {
  label: string;
  className?: string;
  /** What is wrong with it as a whole. */
  problem?: string;
  onSend: () => void;
  children: React.ReactNode;
}) {
  return (
    <form
      className={`mt-3 ${className}`}
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        onSend();
      }}
    >
      {children}
      <FormProblem text={problem} />
    </form>
  );
}
