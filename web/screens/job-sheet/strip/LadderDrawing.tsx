import { GRAIN_UM, type Surface } from '#core/prep/index';

const WIDTH = 720;
const HEIGHT = 222;
const BASE = 136;
const GRAIN_SPACE = 105;
/** Depths are drawn larger than grains: a scratch is a fifth of its grain. */
const DEPTH_SPACE = 56;

/** Each paper's grain as a disc, and under it its scratch as a notch cut into the part, both to their own scale, with the primer's reach as a line. */
export function LadderDrawing({ surface }: { surface: Surface }) {
  if (surface.rungs.length === 0) return null;
  const grains = surface.rungs.map((rung) => GRAIN_UM[rung.grit]);
  const grainScale = Math.min(GRAIN_SPACE / Math.max(...grains), WIDTH / surface.rungs.length / Math.max(...grains));
  const deepest = Math.max(...surface.rungs.map((rung) => rung.scratchUm), surface.hidesUm ?? 0);
  const depthScale = DEPTH_SPACE / deepest;
  const column = WIDTH / surface.rungs.length;
  const reach = surface.hidesUm === null ? null : BASE + surface.hidesUm * depthScale;
  const label = `Grains and scratches of ${surface.rungs.map((rung) => `P${rung.grit}`).join(', ')}`;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="mt-2 w-full" role="img" aria-label={label}>
      <defs>
        <pattern id="ladder-part" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--hatch)" strokeWidth="0.7" />
        </pattern>
      </defs>
      <rect x="0" y={BASE} width={WIDTH} height={DEPTH_SPACE + 8} fill="url(#ladder-part)" opacity="0.5" />
      <line x1="0" x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth="1.5" />
      {surface.rungs.map((rung, index) => {
        const middle = column * (index + 0.5);
        const radius = (GRAIN_UM[rung.grit] * grainScale) / 2;
        const depth = rung.scratchUm * depthScale;
        const half = Math.max(4, depth * 0.55);
        return (
          <g key={rung.grit}>
            <circle cx={middle} cy={BASE - radius - 2} r={radius} fill="var(--quiet)" stroke="var(--ink)" />
            <path
              d={`M${middle - half} ${BASE} L${middle} ${BASE + depth} L${middle + half} ${BASE} Z`}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <text x={middle} y={BASE - 2 * radius - 10} textAnchor="middle" fontSize="13" fill="var(--text)" className="figure">
              P{rung.grit} · {GRAIN_UM[rung.grit]} µm
            </text>
            <text x={middle + half + 8} y={BASE + 16} fontSize="13" fill="var(--text)" className="figure">
              {rung.scratchUm.toFixed(1)} µm
            </text>
          </g>
        );
      })}
      {reach !== null && (
        <>
          <line x1="0" x2={WIDTH} y1={reach} y2={reach} stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="8 5" />
          <rect x="0" y={HEIGHT - 18} width={WIDTH} height="18" fill="var(--sheet)" />
          <text x="0" y={HEIGHT - 4} fontSize="13" fill="var(--text)">
            dashed: the primer fills to {surface.hidesUm?.toFixed(1)} µm, half of its {surface.primerFilmUm?.toFixed(0)} µm of dry film
          </text>
        </>
      )}
    </svg>
  );
}
