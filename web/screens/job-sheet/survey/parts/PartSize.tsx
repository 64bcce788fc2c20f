import { faceSchema, type Part } from '#core/facts/index';
import { facesOfShape, resized, type Shape, SHAPE_SIZES, SHAPES, type ShapeFace } from '#core/survey/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { newId } from '../../../../app/writing/newId.ts';
import { MeshFile } from './MeshFile.tsx';

const NAMES: Record<Shape, string> = {
  body: 'Body of this length',
  box: 'Box',
  cylinder: 'Cylinder',
  cone: 'Cone',
  sphere: 'Sphere',
  tube: 'Tube',
  sheet: 'Sheet',
  wire: 'Wire or cage',
};

/** The size of a part: a simple body by its measures, holes through it, or a mesh file. */
export function PartSize({ part, onChange }: { part: Part; onChange: (fields: Partial<Part>, said: string) => void }) {
  const { workshop } = usePlan();
  const [shape, setShape] = useState<Shape>('body');
  const [sizes, setSizes] = useState<readonly string[]>([]);
  const put = (faces: readonly ShapeFace[]) => {
    const made = resized(part, faces, newId);
    const tooLarge = made.faces.some((face) => face.longMm > 5000 || face.shortMm < 0.1);
    if (tooLarge) return toast.error('A face is between 0.1 mm and 5 m. Check the unit.');
    onChange({ ...made, mesh: undefined }, part.zones.length > 1 ? 'Sized: each zone keeps its share.' : 'Sized.');
    setSizes([]);
  };
  const measure = () => {
    const read = SHAPE_SIZES[shape].map((name, index) => ({
      name,
      size: parseQuantity(sizes[index] ?? '', 'length', workshop.units.length),
    }));
    const wrong = read.find(({ size }) => !size.ok);
    if (wrong && !wrong.size.ok) return void toast.error(`${wrong.name}: ${wrong.size.mend}`);
    try {
      put(
        facesOfShape(
          shape,
          read.map(({ size }) => (size.ok ? size.value : 0)),
        ),
      );
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <fieldset className="mt-2">
      <legend className="sr-only">Size</legend>
      <div className="flex flex-wrap gap-1.5">
        {SHAPES.map((own) => (
          <button key={own} type="button" className="chip" aria-pressed={own === shape} onClick={() => setShape(own)}>
            {NAMES[own]}
          </button>
        ))}
      </div>
      <form
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          measure();
        }}
      >
        {SHAPE_SIZES[shape].map((name, index) => (
          <label key={name}>
            <span className="second block text-small">{name}</span>
            <input
              className="field !w-32 font-mono"
              value={sizes[index] ?? ''}
              placeholder={workshop.units.length === 'in' ? '3 1/2 in' : '90 mm'}
              onChange={(event) => setSizes(Object.assign([...sizes], { [index]: event.target.value }))}
            />
          </label>
        ))}
        <button type="submit" className="act !min-h-10">
          Use it
        </button>
      </form>
      <Holes part={part} onChange={onChange} />
      <MeshFile part={part} onChange={onChange} />
    </fieldset>
  );
}

/** Perforated sheet: hole walls are painted too, and old paint hides in them. */
function Holes({ part, onChange }: { part: Part; onChange: (fields: Partial<Part>, said: string) => void }) {
  const { workshop } = usePlan();
  const known = part.faces.find((face) => face.holes)?.holes;
  const [count, setCount] = useState('');
  const [across, setAcross] = useState('');
  const [thick, setThick] = useState('');
  const largest = part.faces.reduce((a, b) => (b.longMm * b.shortMm > a.longMm * a.shortMm ? b : a));
  const put = () => {
    const [size, wall, number] = [
      parseQuantity(across, 'length', workshop.units.length),
      parseQuantity(thick, 'length', workshop.units.length),
      parseNumber(count),
    ];
    if (!size.ok || !wall.ok || number === null) return void toast.error('Type how many holes, how wide, and how thick the sheet is.');
    // Both faces of a sheet share the wall of each hole.
    const perforated = faceSchema.safeParse({
      ...largest,
      holes: { count: number, acrossMm: size.value, wallMm: largest.count % 2 === 0 ? wall.value / 2 : wall.value },
    });
    if (!perforated.success) return void toast.error(perforated.error.issues[0].message);
    onChange({ faces: part.faces.map((face) => (face.id === largest.id ? perforated.data : face)) }, 'Hole walls are counted.');
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        put();
      }}
    >
      {(
        [
          ['holes through its largest face', count, setCount],
          ['each across', across, setAcross],
          ['sheet thick', thick, setThick],
        ] as const
      ).map(([label, value, set]) => (
        <label key={label}>
          <span className="second block text-small">{label}</span>
          <input className="field !w-32 font-mono" value={value} onChange={(event) => set(event.target.value)} />
        </label>
      ))}
      <button type="submit" className="act !min-h-10">
        Perforated
      </button>
      {known && (
        <button
          type="button"
          className="linklike min-h-10 text-small"
          onClick={() => onChange({ faces: part.faces.map(({ holes: _holes, ...face }) => face) }, 'No holes.')}
        >
          {known.count} holes of {known.acrossMm} mm: take them out
        </button>
      )}
    </form>
  );
}
