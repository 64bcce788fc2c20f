import { type Family, familySchema, plain, type Sheet } from '#core/facts/index';
import { X } from 'lucide-react';
import type { KeepSheet } from './keepSheet.ts';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

const LISTS = [
  { key: 'over', heading: 'Named as a ground' },
  { key: 'notOver', heading: 'Forbidden below it' },
] as const;

/** What the label says of the paints below: it speaks before the table, and a board of one's own before it. */
export function SheetGrounds({ sheet, onKeep }: { sheet: Sheet; onKeep: KeepSheet }) {
  const said = { over: sheet.label.over ?? [], notOver: sheet.label.notOver ?? [] };
  /** A family stands in one of the lists at most, so that the label never contradicts itself. */
  const say = (key: 'over' | 'notOver', families: readonly Family[]) => {
    const { over: _over, notOver: _notOver, ...rest } = sheet.label;
    const lists = {
      over: said.over.filter((own) => !families.includes(own)),
      notOver: said.notOver.filter((own) => !families.includes(own)),
      [key]: [...families],
    };
    const filled = Object.fromEntries(Object.entries(lists).filter(([, own]) => own.length > 0));
    void onKeep({ ...sheet, label: { ...rest, ...filled } }, 'The joints are judged by it.');
  };
  return (
    <FoldingSheet title="What the label says of grounds" inner="space-y-3 mt-3">
      {LISTS.map(({ key, heading }) => (
        <div key={key}>
          <p className="font-[650] text-ink">{heading}</p>
          <ul className="flex flex-wrap gap-2">
            {said[key].map((family) => (
              <li key={family}>
                <button
                  type="button"
                  className="chip"
                  aria-label={`${heading}: take out ${plain(family)}`}
                  onClick={() =>
                    say(
                      key,
                      said[key].filter((own) => own !== family),
                    )
                  }
                >
                  {plain(family)} <X size={14} aria-hidden />
                </button>
              </li>
            ))}
          </ul>
          <select
            className="field mt-1 !min-h-9"
            aria-label={`${heading}: add a family`}
            value=""
            onChange={(event) => say(key, [...said[key], familySchema.parse(event.target.value)])}
          >
            <option value="">{said[key].length === 0 ? 'nothing said' : 'and …'}</option>
            {familySchema.options
              .filter((family) => !said[key].includes(family))
              .map((family) => (
                <option key={family} value={family}>
                  {plain(family)}
                </option>
              ))}
          </select>
        </div>
      ))}
    </FoldingSheet>
  );
}
