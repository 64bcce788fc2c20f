import { cautionsFor, DEFER, type Hazard } from '#core/safety/index';
import { TriangleAlert } from 'lucide-react';

/** Cautions once, beside the work, never behind a click. */
export function Cautions({ hazards, heading = 'Keep in mind' }: { hazards: readonly Hazard[]; heading?: string }) {
  const cautions = cautionsFor(hazards);
  if (cautions.length === 0) return null;
  return (
    <section className="sheet !p-4" aria-label={heading}>
      <h2 className="flex items-center gap-2">
        <TriangleAlert size={18} aria-hidden /> {heading}
      </h2>
      <ul className="mt-1 space-y-1 leading-snug">
        {cautions.map(({ hazard, text }) => (
          <li key={hazard}>{text}</li>
        ))}
      </ul>
      <p className="second mt-2 text-small">{DEFER}</p>
    </section>
  );
}
