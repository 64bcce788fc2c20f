import type { Part } from '#core/facts/index';
import type { UnderFilm } from '../stack.ts';

/** Resistance that a 30 s rub with lacquer thinner shows of unknown old paint (trade §6). */
const RUBBED: Record<NonNullable<Part['rub']>, number> = { dissolves: 2, wrinkles: 1, 'no-change': 4 };

/**
 * Old paint that is kept and scuffed, as what lies below the first coat. Baked factory enamel is cured and resists 4; household
 * and unknown paint is never cured and resists 2, until the rub says otherwise. None of it is ever fresh.
 */
export function keptPaint(part: Pick<Part, 'oldPaint' | 'rub'>): UnderFilm {
  const shared = { role: 'colour' as const, flatted: true };
  if (part.oldPaint === 'baked-enamel') return { ...shared, family: 'baked-enamel', kept: { state: 'cured' } };
  const resistance = part.rub ? RUBBED[part.rub] : undefined;
  return { ...shared, family: 'unknown', kept: { state: 'dry', ...(resistance === undefined ? {} : { resistance }) } };
}
