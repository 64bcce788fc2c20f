import type { Piece } from '#core/facts/index';
import { sameCoats, withBodyOf } from '#core/survey/index';
import { listed } from '#core/units/index';
import { Chips } from '../../../views/fields/Chips.tsx';

type Factory = NonNullable<Piece['factory']>;

const SPRAYED = [
  { value: 'apart', label: 'Part by part' },
  { value: 'assembled', label: 'Assembled' },
] as const;

/** How the factory sprayed it; what it sprayed as one body goes together before its paint here too. */
export function FactoryBodies({ piece, factory, onChange }: { piece: Piece; factory: Factory; onChange: (factory: Factory) => void }) {
  const painted = piece.parts.filter(({ gone, layers, tile }) => !gone && !tile && layers.length > 0);
  const bodies = factory.bodies ?? [];
  if (painted.length < 2) return null;
  return (
    <div className="space-y-2">
      <Chips
        legend="The factory sprayed it"
        options={SPRAYED}
        value={factory.sprayed}
        onChange={(sprayed) => onChange({ ...factory, sprayed })}
      />
      {factory.sprayed === 'assembled' && (
        <ul>
          {painted.map((part) => {
            const body = bodies.find((ids) => ids.includes(part.id));
            const others = painted.filter(({ id }) => id !== part.id);
            const odd = others.filter((other) => body?.includes(other.id) && !sameCoats(other, part));
            return (
              <li key={part.id} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-hairline py-2">
                {part.name}
                <select
                  className="field !min-h-9 !w-72"
                  aria-label={`${part.name} was sprayed`}
                  value={body?.find((id) => id !== part.id) ?? ''}
                  onChange={(event) => onChange({ ...factory, bodies: withBodyOf(bodies, part.id, event.target.value || null) })}
                >
                  <option value="">by itself</option>
                  {others.map((other) => (
                    <option key={other.id} value={other.id}>
                      as one with {other.name}
                    </option>
                  ))}
                </select>
                {odd.length > 0 && (
                  <p className="second basis-full text-small">
                    Sprayed apart here: {listed(odd.map(({ name }) => name))} gets other coats. Give them the same stack to spray them as
                    one.
                  </p>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
