import type { Mesh, Part } from '#core/facts/index';
import { facesOfMesh, meshInMm, type MeshMeasure, type MeshUnit } from '#core/survey/index';
import { proxy, wrap } from 'comlink';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { newId } from '../../../../app/writing/newId.ts';
import { useWords } from '../../../../app/useWords.ts';
import { FileField } from '../../../../views/fields/FileField.tsx';
import type { MeshApi } from '../../../../workers/mesh.worker.ts';

const UNITS: readonly MeshUnit[] = ['mm', 'cm', 'in', 'm'];
type Measured = { readonly name: string; readonly hash: string; readonly measure: MeshMeasure };

/** A part's area from an STL or OBJ file: measured in a worker, its unit and its inside asked for, never guessed. */
export function MeshFile({ part, onChange }: { part: Part; onChange: (fields: Partial<Part>, said: string) => void }) {
  const words = useWords();
  const [share, setShare] = useState<number | null>(null);
  const [measured, setMeasured] = useState<Measured | null>(null);
  const [unit, setUnit] = useState<MeshUnit | null>(null);
  const worker = useRef<Worker | null>(null);
  const cancel = () => {
    worker.current?.terminate();
    setShare(null);
  };
  const read = async (file: File) => {
    setMeasured(null);
    setUnit(null);
    setShare(0);
    const own = new Worker(new URL('../../../../workers/mesh.worker.ts', import.meta.url), { type: 'module' });
    worker.current = own;
    const answer = await wrap<MeshApi>(own).measure(file, proxy(setShare));
    own.terminate();
    setShare(null);
    if (answer.ok) setMeasured({ name: file.name.slice(0, 120), hash: answer.hash, measure: answer.measure });
    else toast.error(`${answer.error} ${answer.mend}`);
  };
  const use = (insideToo: boolean) => {
    if (!measured || !unit) return;
    const { areaMm2, extentsMm } = meshInMm(measured.measure, unit);
    const face = facesOfMesh(areaMm2, extentsMm, insideToo ? 2 : 1);
    const mesh: Mesh = {
      name: measured.name,
      unit,
      triangles: measured.measure.triangles,
      areaMm2,
      extentsMm,
      hash: measured.hash,
      insideToo,
    };
    if (face.longMm > 5000 || face.longMm < 0.1) return void toast.error('That is not between 0.1 mm and 5 m: another unit?');
    onChange({ mesh, faces: [{ ...face, id: newId(), zoneId: part.zones[0].id, seen: true }] }, 'Measured from the mesh.');
    setMeasured(null);
  };
  const longest = measured ? Math.max(...measured.measure.extents) : 0;
  return (
    <div className="mt-3">
      <FileField label="or a mesh file (STL, OBJ)" accept=".stl,.obj" className="!w-80" onFile={(file) => void read(file)} />
      {share !== null && (
        <p className="mt-2 flex items-center gap-3" role="status">
          <progress max={1} value={share} className="w-60" aria-label="Measuring" /> Measuring, {Math.round(share * 100)} %
          <button type="button" className="linklike min-h-11" onClick={cancel}>
            Stop
          </button>
        </p>
      )}
      {measured && (
        <div className="mt-3 space-y-2 border-l-4 border-ink pl-3">
          <p>
            {measured.measure.triangles.toLocaleString('en')} triangles.{' '}
            {measured.measure.openEdges > 0 &&
              `It is not closed: ${measured.measure.openEdges} edges are open, so its area counts one skin as drawn. `}
            How long is it really?
          </p>
          <div className="flex flex-wrap gap-2">
            {UNITS.map((own) => (
              <button key={own} type="button" className="chip !min-h-11" aria-pressed={own === unit} onClick={() => setUnit(own)}>
                {words.length(meshInMm(measured.measure, own).extentsMm.reduce((a, b) => Math.max(a, b)))}
                <span className="second text-small">
                  if {longest.toFixed(1)} is {own}
                </span>
              </button>
            ))}
          </div>
          {unit && (
            <p className="flex flex-wrap items-center gap-3">
              Is its inside painted too?
              <button type="button" className="act !min-h-10" onClick={() => use(false)}>
                Outside only
              </button>
              <button type="button" className="act !min-h-10" onClick={() => use(true)}>
                Inside too
              </button>
            </p>
          )}
        </div>
      )}
    </div>
  );
}
