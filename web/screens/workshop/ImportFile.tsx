import { useState } from 'react';
import { toast } from 'sonner';
import { type ImportAnswer, useImportFileMutation } from '../../api/workshopApi.ts';
import { tellProblem } from '../../app/useFacts.ts';

const MOST_BYTES = 20_000_000;

/** A file is looked at first; it says what it will change, and only then replaces everything. */
export function ImportFile() {
  const [send, { isLoading }] = useImportFileMutation();
  const [looked, setLooked] = useState<{ text: string; name: string; answer: ImportAnswer } | null>(null);
  const look = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) return void toast.error('That is larger than this program takes. A workshop file has at most 20 MB.');
    const text = await file.text();
    try {
      setLooked({ text, name: file.name, answer: await send({ text, apply: false }).unwrap() });
    } catch (error) {
      setLooked(null);
      tellProblem(error);
    }
  };
  const apply = async () => {
    if (!looked) return;
    try {
      await send({ text: looked.text, apply: true }).unwrap();
      toast('Imported. The plan is the file’s.');
      setLooked(null);
    } catch (error) {
      tellProblem(error);
    }
  };
  const changed = Object.entries(looked?.answer.counts ?? {}).filter(([, count]) => count.now > 0 || count.file > 0);
  return (
    <div className="mt-4 border-t border-hairline pt-4">
      <label className="block">
        <span className="mb-1 block font-[650]">Import a file</span>
        <input
          type="file"
          accept=".json,application/json"
          className="field !p-2"
          onChange={(event) => {
            void look(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </label>
      {looked && (
        <div className="mt-3">
          <p className="font-[650]">“{looked.name}” would replace everything here:</p>
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
              Leave it
            </button>
          </div>
        </div>
      )}
    </div>
  );
}
