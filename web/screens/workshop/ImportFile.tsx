import { counted, listed, listedShort } from '#core/units/index';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { BroughtPiece, ImportAnswer } from '../../api/answers.ts';
import { useImportFileMutation, useImportZipMutation } from '../../api/workshopApi.ts';
import { restoreCopy } from '../../app/writing/restoring.ts';
import { tellProblem } from '../../app/writing/useFacts.ts';
import { FileField } from '../../views/fields/FileField.tsx';

const MOST_BYTES = 200_000_000;

type Looked = { readonly file: File; readonly answer: ImportAnswer };

/** A file is looked at first; it says what it will change, and only then replaces everything. */
export function ImportFile() {
  const [sendText, { isLoading }] = useImportFileMutation();
  const [sendZip] = useImportZipMutation();
  const navigate = useNavigate();
  const [looked, setLooked] = useState<Looked | null>(null);
  const send = async (file: File, apply: boolean): Promise<ImportAnswer> =>
    isZip(file) ? sendZip({ zip: file, apply }).unwrap() : sendText({ text: await file.text(), apply }).unwrap();
  const look = async (file: File) => {
    if (file.size > MOST_BYTES) return void toast.error('That is larger than this program takes. A workshop file has at most 200 MB.');
    try {
      setLooked({ file, answer: await send(file, false) });
    } catch (error) {
      setLooked(null);
      tellProblem(error);
    }
  };
  const apply = async () => {
    if (!looked) return;
    try {
      const { before, piece } = await send(looked.file, true);
      if (piece) {
        toast(`${piece.name} is here now.`, { action: { label: 'Open it', onClick: () => void navigate(`/pieces/${piece.id}/survey`) } });
        setLooked(null);
        return;
      }
      toast('Imported. The plan is the file’s.', {
        ...(before ? { action: { label: 'Undo', onClick: () => void restoreCopy(before) } } : {}),
      });
      setLooked(null);
    } catch (error) {
      tellProblem(error);
    }
  };
  return (
    <div className="mt-4 border-t border-hairline pt-4">
      <FileField label="Import a file" accept=".json,.zip,application/json,application/zip" onFile={(file) => void look(file)} />
      {looked && (
        <div className="mt-3">
          {looked.answer.piece ? (
            <PieceReport piece={looked.answer.piece} />
          ) : (
            <ReplaceReport name={looked.file.name} counts={looked.answer.counts} />
          )}
          <div className="mt-3 flex gap-3">
            <button type="button" className="act" data-first="true" disabled={isLoading} onClick={() => void apply()}>
              {looked.answer.piece ? 'Bring it in' : 'Replace by the file'}
            </button>
            <button type="button" className="act" onClick={() => setLooked(null)}>
              Cancel
            </button>
          </div>
        </div>
      )}
    </div>
  );
}

/** One piece, beside what is here: which of its paints are here already, which come along. */
function PieceReport({ piece }: { piece: BroughtPiece }) {
  const { matched, brought, placesUnknown, otherCurrency } = piece;
  return (
    <>
      <p className="font-[650]">“{piece.name}” would come in beside what is here:</p>
      <ul className="mt-2 list-disc pl-5 text-small">
        <li>
          {counted(piece.entries, 'entry')} of its log and {counted(piece.pictures, 'picture')}.
        </li>
        {matched.length > 0 && <li>Here already: {listedShort(matched, 6)}.</li>}
        {brought.length > 0 && <li>Comes along, with its sheet: {listedShort(brought, 6)}.</li>}
        {placesUnknown.length > 0 && <li>Not here: {listed(placesUnknown)}. Coats laid there count as laid where things dry here.</li>}
        {otherCurrency && <li>Its money was in {otherCurrency}; the figures stay, read as yours. Correct them under Money.</li>}
      </ul>
    </>
  );
}

function ReplaceReport({ name, counts }: { name: string; counts: ImportAnswer['counts'] }) {
  const changed = Object.entries(counts).filter(([, count]) => count.now > 0 || count.file > 0);
  return (
    <>
      <p className="font-[650]">“{name}” would replace everything here:</p>
      <table className="mt-2 w-full text-small">
        <thead>
          <tr className="second text-left">
            <th className="font-[400]">What</th>
            <th className="text-right font-[400]">now</th>
            <th className="text-right font-[400]">after</th>
          </tr>
        </thead>
        <tbody>
          {changed.map(([what, count]) => (
            <tr key={what} className="border-t border-hairline">
              <td className="py-1">{what}</td>
              <td className="figure text-right">{count.now}</td>
              <td className="figure text-right">{count.file}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** With pictures the open file is a zip. */
function isZip(file: File): boolean {
  return file.name.toLowerCase().endsWith('.zip');
}
