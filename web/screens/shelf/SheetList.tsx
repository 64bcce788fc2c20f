import { sheetsFromCsv, sheetsToCsv } from '#core/coats/index';
import { plain } from '#core/facts/index';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { FileField } from '../../views/fields/FileField.tsx';

/** Every product sheet, and all of them as CSV out and in. */
export function SheetList() {
  const { facts } = usePlan();
  const { save } = useSaving();
  const take = async (file: File) => {
    const read = sheetsFromCsv(await file.text(), facts.sheets, newId);
    if (!read.ok) return void toast.error(`${read.problem.error} (${read.problem.at}). ${read.problem.mend}`);
    for (const sheet of read.sheets) if (!(await save('sheets', sheet))) return;
    toast(`${read.sheets.length} sheets taken.`);
  };
  const csv = `data:text/csv;charset=utf-8,${encodeURIComponent(sheetsToCsv(facts.sheets))}`;
  return (
    <section className="sheet mt-5" aria-label="Product sheets">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2>Product sheets</h2>
        <a className="linklike min-h-9" href={csv} download="product-sheets.csv">
          All as CSV
        </a>
      </div>
      <ul className="mt-2 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {facts.sheets.map((sheet) => {
          const said = Object.keys(sheet.label).length;
          return (
            <li key={sheet.id} className="border-b border-hairline py-1.5">
              <Link className="font-[650] text-ink underline-offset-4 hover:underline" to={`/shelf/sheets/${sheet.id}`}>
                {sheet.name}
              </Link>
              <span className="second block text-small">
                {plain(sheet.family)}; {said === 0 ? 'all usual figures' : `${said} from the label`}
              </span>
            </li>
          );
        })}
      </ul>
      <div className="mt-3 max-w-md">
        <FileField label="Sheets from a CSV file" accept=".csv,text/csv" onFile={(file) => void take(file)} />
      </div>
    </section>
  );
}
