import { oddLabel, sheetFields } from '#core/coats/index';
import { plain, roleText, type Sheet, sheetSchema } from '#core/facts/index';
import { useRef } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { Lost } from '../../app/shell/Lost.tsx';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { HAND_NAMES } from '../../views/words/handNames.ts';
import type { KeepSheet } from './keepSheet.ts';
import { SheetColours } from './SheetColours.tsx';
import { SheetGrounds } from './SheetGrounds.tsx';
import { SheetNature } from './SheetNature.tsx';
import { SheetRow } from './SheetRow.tsx';

/** One product range from its label: what the person types wins, the family fills in the rest, each line says which it is. */
export function SheetPage() {
  const { sheetId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { facts } = usePlan();
  const { save } = useSaving();
  const navigate = useNavigate();
  const duplicating = useRef(false);
  const sheet = facts.sheets.find((own) => own.id === sheetId);
  const other = facts.sheets.find((own) => own.id === params.get('beside'));
  if (!sheet) return <Lost />;
  const keep: KeepSheet = async (changed, said) => {
    const read = sheetSchema.safeParse({ ...changed, source: Object.keys(changed.label).length > 0 ? 'label' : changed.source });
    const odd = read.success ? oddLabel(read.data) : read.error.issues[0].message;
    if (odd === null && read.success) return save('sheets', read.data, said);
    toast.error(odd);
    return false;
  };
  const duplicate = async () => {
    if (duplicating.current) return;
    duplicating.current = true;
    const copy: Sheet = { ...sheet, id: newId(), name: `${sheet.name} again`.slice(0, 80) };
    if (await save('sheets', copy, 'Duplicated: change what differs.')) void navigate(`/shelf/sheets/${copy.id}`);
    duplicating.current = false;
  };
  const fields = sheetFields(sheet);
  const beside = other ? sheetFields(other) : null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
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
          {plain(sheet.family)}, {roleText(sheet.role)}, {HAND_NAMES[sheet.hand]}. Type what the label says; the rest is usual for this
          family.
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
              <SheetRow key={field.key} field={field} sheet={sheet} beside={beside?.[index] ?? null} onKeep={keep} />
            ))}
          </tbody>
        </table>
      </section>
      <aside className="space-y-5">
        <SheetNature sheet={sheet} onKeep={keep} />
        <SheetGrounds sheet={sheet} onKeep={keep} />
        <SheetColours sheet={sheet} onDuplicate={() => void duplicate()} />
      </aside>
    </div>
  );
}
