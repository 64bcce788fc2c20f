/** One of several, as chips; the chosen one is pressed. */
export function Chips<T extends string>({
  legend,
  options,
  value,
  onChange,
  hideLegend,
}: {
  legend: string;
  options: readonly { readonly value: T; readonly label: string; readonly hint?: string }[];
  value: T | undefined;
  onChange: (value: T) => void;
  hideLegend?: boolean;
}) {
  return (
    <fieldset>
      <legend className={hideLegend ? 'sr-only' : 'mb-2 font-[650] text-ink'}>{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {options.map((option) => (
          <button
            key={option.value}
            type="button"
            className="chip !min-h-11"
            aria-pressed={value === option.value}
            onClick={() => onChange(option.value)}
          >
            {option.label}
            {option.hint && <span className="second text-small font-[400]">{option.hint}</span>}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
