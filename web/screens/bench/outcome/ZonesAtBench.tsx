import { type Piece, standingZones } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { listed } from '#core/units/index';
import { schematic } from '#core/zones/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { ZoneShape } from '../../../views/drawn/PartShape.tsx';
import { PartShapeTape } from '../../../views/drawn/PartShapeTape.tsx';
import { fillOf, shareOfZones, zoneLooks } from '../../../views/drawn/zoneColours.ts';

const SIZE = { wide: 300, tall: 110 };
const STAGES: readonly string[] = ['mask', 'unmask', 'coat', 'detail', 'decal'];

/** The part as it lies before one: what is under tape, and the zone this step is about. Nothing where a part is of one zone. */
export function ZonesAtBench({ step, piece }: { step: PlannedStep; piece: Piece }) {
  const { plan } = usePlan();
  const part = piece.parts.find((own) => own.id === step.on[0]?.partId);
  const stack = plan.pieces.find((own) => own.pieceId === piece.id)?.stacks[part?.id ?? ''];
  if (!part || !stack || step.on.length !== 1 || !STAGES.includes(step.stage) || standingZones(part).length < 2) return null;
  const looks = zoneLooks(part, stack);
  const about = new Set(step.on[0].zoneIds);
  if (about.size === looks.length) return null;
  const taped = step.stage === 'mask' || step.stage === 'unmask';
  const names = looks.filter((look) => about.has(look.id)).map((look) => look.name.toLowerCase());
  return (
    <svg
      viewBox={`-2 -2 ${SIZE.wide + 4} ${SIZE.tall + 4}`}
      className="mt-4 max-h-36 w-full"
      role="img"
      aria-label={`${listed(names)} ${taped ? 'under tape' : 'is what this is about'}`}
    >
      <defs>
        <pattern id="bench-tape" width="11" height="11" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
          <rect width="11" height="11" fill="#fbfbfb" fillOpacity="0.6" />
          <line x1="0" x2="0" y1="0" y2="11" stroke="#fbfbfb" strokeWidth="7" />
        </pattern>
      </defs>
      {schematic(part, shareOfZones(part)).map((zone) => {
        const own = about.has(zone.zoneId);
        const fill = own || taped ? fillOf(looks.find((look) => look.id === zone.zoneId)) : '#4a4a4a';
        return (
          <g key={zone.key}>
            <ZoneShape zone={zone} size={SIZE} look={{ fill, stroke: '#f4f4f4', strokeWidth: 1 }} />
            {taped && own && <PartShapeTape zone={zone} size={SIZE} fill="url(#bench-tape)" />}
          </g>
        );
      })}
    </svg>
  );
}
