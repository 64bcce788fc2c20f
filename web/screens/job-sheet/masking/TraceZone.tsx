import { type Cut, cutSchema, type Part, type Piece, type Trace } from '#core/facts/index';
import { parseQuantity, toIso } from '#core/units/index';
import { cutRefused } from '#core/zones/index';
import { useState } from 'react';
import { pictureUrl } from '../../../api/pictures.ts';
import { newId } from '../../../app/writing/newId.ts';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';

type Point = [number, number];

/** An outline drawn on a picture: first the two ends of a length that is known, then round the zone. */
export function TraceZone({
  piece,
  part,
  zone,
  onCut,
  onCancel,
}: {
  piece: Piece;
  part: Part;
  zone: { readonly id: string; readonly name: string };
  onCut: (cut: Cut) => void;
  onCancel: () => void;
}) {
  const { workshop } = usePlan();
  const pictures = piece.pictures ?? [];
  const [pictureId, setPictureId] = useState(pictures[0]?.id ?? '');
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [length, setLength] = useState('');
  const [problem, setProblem] = useState('');
  const picture = pictures.find((own) => own.id === pictureId);
  if (!picture) return <p className="mt-3">Add a picture of this side under Survey first: the outline is drawn on it.</p>;
  const [from, to, ...outline] = points;
  const done = () => {
    const mm = parseQuantity(length, 'length', workshop.units.length);
    if (!mm.ok) return setProblem(`The known length: ${mm.mend}`);
    if (!from || !to) return setProblem('Press the two ends of the known length first.');
    const trace: Trace = { pictureId, tall: picture.height / picture.width, outline: [...outline], known: { from, to, mm: mm.value } };
    const read = cutSchema.safeParse({
      id: newId(),
      of: zone.id,
      how: 'trace',
      numbers: {},
      trace,
      at: toIso(nowMinute()),
      into: [
        { id: newId(), name: zone.name },
        { id: newId(), name: 'Traced' },
      ],
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    const refused = cutRefused(part, read.data);
    if (refused) return setProblem(refused);
    onCut(read.data);
  };
  return (
    <section className="mt-3 border-t border-hairline pt-3" aria-label={`Trace a zone of ${zone.name}`}>
      <p>{hintFor(points.length)}</p>
      {pictures.length > 1 && (
        <select
          className="field mt-2 !min-h-10 !w-56"
          aria-label="Picture"
          value={pictureId}
          onChange={(event) => {
            setPictureId(event.target.value);
            setPoints([]);
          }}
        >
          {pictures.map((own) => (
            <option key={own.id} value={own.id}>
              {own.view}, {own.when}
            </option>
          ))}
        </select>
      )}
      <div className="relative mt-2" style={{ maxWidth: `${(360 * picture.width) / picture.height}px` }}>
        <button
          type="button"
          className="block w-full cursor-crosshair"
          aria-label="Set a point on the picture"
          onClick={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            if (event.clientX === 0 && event.clientY === 0) return;
            setPoints([...points, [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]]);
          }}
        >
          <img src={pictureUrl(picture.id)} alt={`${piece.name}, ${picture.view}`} className="block h-auto w-full border border-hairline" />
        </button>
        <TracedLines from={from} to={to} outline={outline} />
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label>
          <span className="second block text-small">the known length</span>
          <input
            className="field !min-h-10 !w-32 font-mono"
            value={length}
            placeholder="120 mm"
            onChange={(event) => setLength(event.target.value)}
          />
        </label>
        <button type="button" className="act !min-h-10" data-first="true" onClick={done}>
          Divide
        </button>
        <button type="button" className="chip !min-h-10" disabled={points.length === 0} onClick={() => setPoints(points.slice(0, -1))}>
          last point back
        </button>
        <button type="button" className="chip !min-h-10" onClick={onCancel}>
          leave it
        </button>
        {problem && (
          <p role="alert" className="basis-full font-[650]">
            {problem}
          </p>
        )}
      </div>
    </section>
  );
}

function hintFor(points: number): string {
  if (points === 0) return 'Press one end of a length you know.';
  if (points === 1) return 'Press its other end.';
  return points < 5 ? 'Now press round the zone, corner by corner.' : 'Go on round, or divide: the last corner joins the first.';
}

function TracedLines({ from, to, outline }: { from: Point | undefined; to: Point | undefined; outline: readonly Point[] }) {
  const at = ([x, y]: Point) => `${x * 100},${y * 100}`;
  return (
    <svg viewBox="0 0 100 100" preserveAspectRatio="none" className="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
      {from && to && (
        <polyline points={`${at(from)} ${at(to)}`} stroke="#151515" strokeWidth="2" vectorEffect="non-scaling-stroke" fill="none" />
      )}
      {from && !to && <circle cx={from[0] * 100} cy={from[1] * 100} r="1" fill="#151515" />}
      <polygon
        points={outline.map(at).join(' ')}
        fill="#ffffff"
        fillOpacity="0.35"
        stroke="var(--accent)"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
