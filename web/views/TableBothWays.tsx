import type { WrongLine } from '#core/buying/index';
import { counted } from '#core/units/index';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePutTogetherMutation } from '../api/workshopApi.ts';
import { currentRevision } from '../app/writing/factWrites.ts';
import { tellProblem } from '../app/writing/useFacts.ts';
import { FileField } from './fields/FileField.tsx';

const MOST_SHOWN = 12;
type Kept = 'offers' | 'goods' | 'cans';
type Row = { readonly id: string };
type ReadTable = { readonly rows: readonly Row[]; readonly wrong: readonly WrongLine[] };

/** A table for a spreadsheet, out and in; of one with wrong lines the good ones are taken, or nothing. */
export function TableBothWays({
  collection,
  what,
  fileName,
  text,
  read,
  taken,
}: {
  collection: Kept;
  /** One row of it, such as price. */
  what: string;
  fileName: string;
  /** The table as it stands. */
  text: string;
  /** @throws Error where it is no such table */
  read: (text: string) => ReadTable;
  /** What follows from it, for the word when it is done. */
  taken: string;
}) {
  const [answer, setAnswer] = useState<ReadTable | null>(null);
  const [problem, setProblem] = useState('');
  const [put, { isLoading }] = usePutTogetherMutation();
  const bring = async (file: File) => {
    setProblem('');
    setAnswer(null);
    try {
      const found = read(await file.text());
      if (found.wrong.length > 0 || found.rows.length === 0) setAnswer(found);
      else await take(found.rows);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const take = async (rows: readonly Row[]) => {
    try {
      await put({ collection, writes: rows.map((value) => ({ value, revision: currentRevision(collection, value.id) })) }).unwrap();
      setAnswer(null);
      toast(`${counted(rows.length, what)} taken: ${taken}`);
    } catch (error) {
      tellProblem(error);
    }
  };
  return (
    <>
      <a className="act mt-2" download={fileName} href={`data:text/csv;charset=utf-8,${encodeURIComponent(text)}`}>
        <Download size={18} aria-hidden /> {plural(what)} as CSV
      </a>
      <div className="mt-3">
        <FileField label={`Bring ${plural(what).toLowerCase()} in`} accept=".csv,text/csv" onFile={(file) => void bring(file)} />
      </div>
      {problem && (
        <p role="alert" className="mt-2 font-[650]">
          {problem}
        </p>
      )}
      {answer && (
        <div role="alert" className="mt-3">
          <p className="font-[650]">
            {counted(answer.rows.length, 'good line')}, {counted(answer.wrong.length, 'wrong one')}:
          </p>
          <ul className="text-small">
            {answer.wrong.slice(0, MOST_SHOWN).map(({ line, why }) => (
              <li key={line}>
                line {line}: {why}
              </li>
            ))}
          </ul>
          {answer.wrong.length > MOST_SHOWN && <p className="second text-small">and {answer.wrong.length - MOST_SHOWN} more</p>}
          <div className="mt-2 flex gap-2">
            {answer.rows.length > 0 && (
              <button type="button" className="act !min-h-10" disabled={isLoading} onClick={() => void take(answer.rows)}>
                Take the good ones
              </button>
            )}
            <button type="button" className="act !min-h-10" onClick={() => setAnswer(null)}>
              Take nothing
            </button>
          </div>
        </div>
      )}
    </>
  );
}

/** "price" as "Prices", at the beginning of a label. */
function plural(what: string): string {
  return `${what[0].toUpperCase()}${what.slice(1)}s`;
}
