import { oddTimes, type SheetField, sheetFields } from '#core/coats/index';
import { familySchema, type Label, plain, type Sheet, sheetSchema } from '#core/facts/index';
import { type Parsed, parseNumber, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { Lost } from '../../app/Lost.tsx';
import { usePlan } from '../../app/PlanContext.tsx';
import { newId, useSaving } from '../../app/useFacts.ts';
import { Chips } from '../../views/Chips.tsx';
import { LabelRatios } from './LabelRatios.tsx';

/** One product range from its label: what the person types wins, the family fills in the rest, each line says which it is. */
export function SheetPage() {
  const { sheetId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { facts } = usePlan();
  const { save } = useSaving();
  const navigate = useNavigate();
  const sheet = facts.sheets.find((own) => own.id === sheetId);
  const other = facts.sheets.find((own) => own.id === params.get('beside'));
  if (!sheet) return <Lost />;
  const keep = (changed: Sheet, said: string): boolean => {
    const read = sheetSchema.safeParse({ ...changed, source: Object.keys(changed.label).length > 0 ? 'label' : changed.source });
    if (!read.success) {
      toast.error(read.error.issues[0].message);
      return false;
    }
    const odd = oddTimes(read.data);
    if (odd) {
      toast.error(odd);
      return false;
    }
    void save('sheets', read.data, said);
    return true;
  };
  const duplicate = async () => {
    const copy: Sheet = { ...sheet, id: newId(), name: `${sheet.name} again`.slice(0, 80) };
    if (await save('sheets', copy, 'Duplicated: change what differs.')) void navigate(`/shelf/sheets/${copy.id}`);
  };
  const fields = sheetFields(sheet);
  const beside = other ? sheetFields(other) : null;
  const products = facts.products.filter((product) => product.sheetId === sheet.id);
  return (
    <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="sheet-name">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h1 id="sheet-name">{sheet.name}</h1>
          <label className="flex items-center gap-2 text-small">
            <span className="second">beside</span>
            <select
              className="field !min-h-9 !w-52"
              value={other?.id ?? ''}
              onChange={(event) => setParams(event.target.value ? { beside: event.target.value } : {}, { replace: true })}
            >
              <option value="">no other sheet</option>
              {facts.sheets
                .filter((own) => own.id !== sheet.id)
                .map((own) => (
                  <option key={own.id} value={own.id}>
                    {own.name}
                  </option>
                ))}
            </select>
          </label>
        </div>
        <p className="second mt-1">
          {plain(sheet.family)}, {plain(sheet.role)}, {sheet.hand}. Type what the label says; the rest is usual for this family.
        </p>
        <table className="mt-3 w-full">
          <thead>
            <tr className="second text-left text-small">
              <th className="py-1 font-[400]">At 20 °C, 50 %</th>
              <th className="font-[400]">Value</th>
              <th className="font-[400]">Rests on</th>
              {other && <th className="text-right font-[400]">{other.name}</th>}
            </tr>
          </thead>
          <tbody>
            {fields.map((field, index) => (
              <FieldRow key={field.key} field={field} sheet={sheet} beside={beside?.[index] ?? null} onKeep={keep} />
            ))}
          </tbody>
        </table>
      </section>
      <aside className="space-y-5">
        <section className="sheet space-y-3" aria-label="What it is">
          <h2>What it is</h2>
          <label className="block">
            <span className="second block text-small">Family</span>
            <select
              className="field"
              value={sheet.family}
              onChange={(event) => keep({ ...sheet, family: familySchema.parse(event.target.value) }, 'The plan has moved.')}
            >
              {familySchema.options.map((family) => (
                <option key={family} value={family}>
                  {plain(family)}
                </option>
              ))}
            </select>
          </label>
          <Chips
            legend="Coats go on"
            options={[
              { value: 'mist-then-wet', label: 'mist, then wet' },
              { value: 'one-wet', label: 'one wet' },
            ]}
            value={sheet.label.pattern}
            onChange={(pattern) => keep({ ...sheet, label: { ...sheet.label, pattern } }, 'Noted.')}
          />
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="chip"
              aria-pressed={sheet.forPlastics}
              onClick={() => keep({ ...sheet, forPlastics: !sheet.forPlastics }, 'The plan has moved.')}
            >
              made for plastics
            </button>
            <button
              type="button"
              className="chip"
              aria-pressed={sheet.isocyanate}
              onClick={() => keep({ ...sheet, isocyanate: !sheet.isocyanate }, 'The caution shows.')}
            >
              isocyanates
            </button>
          </div>
          <LabelRatios sheet={sheet} onKeep={keep} />
        </section>
        <section className="sheet" aria-label="Colours">
          <h2>Colours of it</h2>
          <ul className="mt-1">
            {products.map((product) => (
              <li key={product.id}>{product.name}</li>
            ))}
          </ul>
          <p className="mt-3 flex flex-wrap items-center gap-4">
            <button type="button" className="act !min-h-10" onClick={() => void duplicate()}>
              Duplicate the sheet
            </button>
            <Link className="linklike" to="/shelf">
              Paint shelf
            </Link>
          </p>
        </section>
      </aside>
    </div>
  );
}

/** Times as a person says them, other figures to a tenth. */
function valueText(field: SheetField): string {
  if (field.value === null) return '';
  return field.unit === 'min' ? exactTime(field.value) : String(Math.round(field.value * 10) / 10);
}

/** A label’s time without rounding: whole days or hours where it is, else minutes. */
function exactTime(minutes: number): string {
  if (minutes >= 1440 && minutes % 1440 === 0) return `${minutes / 1440} d`;
  if (minutes >= 60 && minutes % 60 === 0) return `${minutes / 60} h`;
  return `${minutes} min`;
}

function numberOf(text: string, field: SheetField): Parsed {
  const value = parseNumber(text);
  return value === null ? { ok: false, mend: `type a number in ${field.unit}.` } : { ok: true, value };
}

/** Percent on screen, a share in the facts. */
function stored(field: SheetField, typed: number): number {
  return field.key === 'solids' ? typed / 100 : typed;
}

function FieldRow({
  field,
  sheet,
  beside,
  onKeep,
}: {
  field: SheetField;
  sheet: Sheet;
  beside: SheetField | null;
  onKeep: (changed: Sheet, said: string) => boolean;
}) {
  const own = field.source === 'label';
  const shown = field.value === null ? '' : valueText(field);
  const [typed, setTyped] = useState<string | null>(null);
  const keep = () => {
    const text = typed?.trim();
    setTyped(null);
    // Typing what is usual is saying that the label says so too.
    if (text === undefined || (own && text === shown) || (!own && text === '')) return;
    const { [field.key]: _was, ...rest } = sheet.label;
    if (text === '') return void onKeep({ ...sheet, label: rest as Label }, 'Back to what is usual.');
    const value = field.unit === 'min' ? parseQuantity(text, 'duration', 'min') : numberOf(text, field);
    if (!value.ok) return void toast.error(`${field.name}: ${value.mend}`);
    onKeep({ ...sheet, label: { ...sheet.label, [field.key]: stored(field, value.value) } }, 'The label counts from now on.');
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
            onBlur={keep}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
          <span className="figure w-8">{field.unit === 'min' ? '' : field.unit}</span>
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
