import { useState } from 'react';
import { toast } from 'sonner';
import { type ImportAnswer, useImportFileMutation, useImportZipMutation } from '../../api/workshopApi.ts';
import { tellProblem } from '../../app/useFacts.ts';
import { FileField } from '../../views/FileField.tsx';

const MOST_BYTES = 200_000_000;

type Looked = { readonly file: File; readonly answer: ImportAnswer };

/** A file is looked at first; it says what it will change, and only then replaces everything. */
export function ImportFile() {
  const [sendText, { isLoading }] = useImportFileMutation();
  const [sendZip] = useImportZipMutation();
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
      await send(looked.file, true);
      toast('Imported. The plan is the file’s.');
      setLooked(null);
    } catch (error) {
      tellProblem(error);
    }
  };
  const changed = Object.entries(looked?.answer.counts ?? {}).filter(([, count]) => count.now > 0 || count.file > 0);
  return (
    <div className="mt-4 border-t border-hairline pt-4">
      <FileField label="Import a file" accept=".json,.zip,application/json,application/zip" onFile={(file) => void look(file)} />
      {looked && (
        <div className="mt-3">
          <p className="font-[650]">“{looked.file.name}” would replace everything here:</p>
          <table className="mt-2 w-full text-small">
            <thead>
              <tr className="second text-left">
                <th className="font-[400]">What</th>
                <th className="text-right font-[400]">now</th>
                <th className="text-right font-[400]">after</th>
              </tr>
            </thead>
            <tbody>
              {changed.map(([name, count]) => (
                <tr key={name} className="border-t border-hairline">
                  <td className="py-1">{name}</td>
                  <td className="figure text-right">{count.now}</td>
                  <td className="figure text-right">{count.file}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="mt-3 flex gap-3">
            <button type="button" className="act" data-first="true" disabled={isLoading} onClick={() => void apply()}>
              Replace by the file
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

/** With pictures the open file is a zip. */
function isZip(file: File): boolean {
  return file.name.toLowerCase().endsWith('.zip');
}
