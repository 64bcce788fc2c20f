import { useState } from 'react';
import { ENTRY_KINDS, type EntryKind } from '#core/log/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { DateField } from '../../views/fields/DateField.tsx';
import type { LogSearch } from './useLogSearch.ts';

const KIND_NAMES: Readonly<Record<EntryKind, string>> = {
  coat: 'coats',
  work: 'other work',
  seen: 'what was seen',
  trouble: 'trouble',
  'put-off': 'put off',
  stock: 'bought and counted',
  note: 'notes',
};

type Options = readonly (readonly [value: string, name: string])[];

/** Narrows the log: words, piece, paint, kind and days. What is chosen stands in the address. */
export function LogFilters({ search }: { search: LogSearch }) {
  const { facts } = usePlan();
  const { asked, ask } = search;
  const [wide, setWide] = useState(false);
  // On a phone the log itself comes first.
  const more = wide || search.narrowed ? '' : 'hidden sm:block';
  const named = (list: readonly { readonly id: string; readonly name: string }[]): Options => list.map(({ id, name }) => [id, name]);
  const choices: readonly (readonly [name: 'piece' | 'paint' | 'kind', label: string, all: string, options: Options])[] = [
    ['piece', 'Piece', 'all pieces', named(facts.pieces)],
    ['paint', 'Paint', 'all paints', named(facts.products.filter((product) => search.paintsUsed.has(product.id)))],
    ['kind', 'Kind', 'everything', ENTRY_KINDS.map((kind) => [kind, KIND_NAMES[kind]])],
  ];
  return (
    <search className="mt-4 grid grid-cols-2 gap-3 sm:grid-cols-[minmax(0,2fr)_repeat(3,minmax(0,1fr))]" aria-label="Narrow the log">
      <label className="col-span-2 sm:col-span-1">
        <span className="second mb-1 block">Words</span>
        <input
          className="field"
          type="search"
          value={asked.q}
          onChange={(event) => ask({ q: event.target.value })}
          placeholder="paint, part, a word of a note"
        />
      </label>
      {choices.map(([name, label, all, options]) => (
        <Choice
          key={name}
          className={more}
          label={label}
          all={all}
          value={asked[name]}
          onChange={(value) => ask({ [name]: value })}
          options={options}
        />
      ))}
      <button type="button" className={`act col-span-2 sm:!hidden ${more === '' ? '!hidden' : ''}`} onClick={() => setWide(true)}>
        Piece, paint, kind or days
      </button>
      <div className={`col-span-2 flex-wrap items-end gap-3 sm:col-span-4 ${more === '' ? 'flex' : 'hidden sm:flex'}`}>
        <DateField label="From" quiet value={asked.from} onChange={(from) => ask({ from })} />
        <DateField label="To and with" quiet value={asked.to} onChange={(to) => ask({ to })} />
        {search.narrowed && (
          <button type="button" className="act !min-h-10" onClick={() => ask({ q: '', piece: '', paint: '', kind: '', from: '', to: '' })}>
            Show all
          </button>
        )}
        <p role="status" className="second ml-auto self-end pb-2">
          {search.state}
        </p>
      </div>
    </search>
  );
}

function Choice({
  className,
  label,
  all,
  value,
  options,
  onChange,
}: {
  className: string;
  label: string;
  all: string;
  value: string;
  options: Options;
  onChange: (value: string) => void;
}) {
  return (
    <label className={className}>
      <span className="second mb-1 block">{label}</span>
      <select className="field" value={value} onChange={(event) => onChange(event.target.value)}>
        <option value="">{all}</option>
        {options.map(([own, name]) => (
          <option key={own} value={own}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
