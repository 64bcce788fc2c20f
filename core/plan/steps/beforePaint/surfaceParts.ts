import { FLATTING_TAKES_UM, finestRelief, type ResolvedLayer, resolveLayer } from '#core/coats/index';
import type { Part, Piece } from '#core/facts/index';
import { isCast, ownedGrits, type MendScope, type Surface, surfaceOf } from '#core/prep/index';
import type { Hazard } from '#core/safety/index';
import { FLASH_RUSTING, stripQuestionOf } from '#core/strip/index';
import { partAreaCm2 } from '#core/survey/index';
import { listed } from '#core/units/index';
import type { PlanContext } from '../../films/index.ts';
import type { StripChoice } from '../../verdicts/index.ts';

/** What the makers of steps before paint ask of a part. */

/** The old paint stays under the new: scuffed, not stripped. */
export function keepsPaint(part: Part, choice: StripChoice): boolean {
  return choice.method === 'scuff' && part.finish !== 'bare';
}

const FINE_RELIEF_UM = 300;
const SMALL_CASTING_MM = 150;

/** A casting or moulding with relief finer than 300 µm, or on a piece under 150 mm long: no coarse paper goes over its faces (trade §4). */
export function hasFineFaces(part: Part, piece: Pick<Piece, 'scale' | 'longestMm'>): boolean {
  const relief = finestRelief(piece.scale);
  return isCast(part.material) && ((relief !== null && relief < FINE_RELIEF_UM) || piece.longestMm < SMALL_CASTING_MM);
}

/** Grits, scratches and what the planned primer makes of them. */
export function surfaceOfPart(
  part: Part,
  piece: Pick<Piece, 'scale' | 'longestMm'>,
  keeps: boolean,
  context: Pick<PlanContext, 'facts'>,
): Surface {
  const first = part.layers[0] && resolveLayer(part.layers[0], context.facts);
  const primer = first && (first.role.endsWith('primer') || first.role === 'primer') ? first : undefined;
  return surfaceOf(part, {
    keepsPaint: keeps,
    stripped: part.finish !== 'bare' && !keeps,
    fine: hasFineFaces(part, piece),
    first,
    primerFilmUm: primer ? filmLeft(primer) : null,
    owned: ownedGrits(context.facts),
  });
}

/** Dry film a primer set has left after flatting, µm. */
function filmLeft(primer: ResolvedLayer): number {
  const taken = primer.layer.flatAfter === undefined ? 0 : FLATTING_TAKES_UM;
  return Math.max(0, primer.layer.coats * primer.filmUm - taken);
}

/** Wet cloths and a bowl: so much for any part, and more by its area. */
const CLEANER_FOR_ANY_PART = 4;
const CLEANER_A_100CM2 = 0.6;

/** mL of a cleaner that washing or wiping a part takes, all its copies. */
export function cleanerMl(part: Part): number {
  return CLEANER_FOR_ANY_PART + (CLEANER_A_100CM2 * partAreaCm2(part)) / 100;
}

/** Hazards of working the old surface of a part. */
export function surfaceHazards(part: Part, piece: Pick<Piece, 'leadExcluded'>): Hazard[] {
  return [
    ...(piece.leadExcluded || part.finish === 'bare' ? [] : (['lead'] as const)),
    ...(part.material === 'magnesium' || part.alsoMaterial === 'magnesium' ? (['magnesium'] as const) : []),
    ...(part.stops?.includes('celluloid') ? (['celluloid'] as const) : []),
    ...(part.stops?.includes('spring') ? (['spring'] as const) : []),
  ];
}

/** How a step is done, and before it: what sits on the part and stays there is covered before anything wet or rough comes near. */
export function coveredFirst(part: Part, piece: Pick<Piece, 'leadExcluded' | 'limit' | 'parts'>, detail: string): string {
  const names = (stripQuestionOf(part, piece).staysOn ?? []).map(({ name }) => name);
  const covered = names.length > 0 ? `${listed(names)} covered first, the edge taped` : '';
  return [covered, detail].filter(Boolean).join('; ');
}

export function flashRusts(part: Pick<Part, 'material'>): boolean {
  return FLASH_RUSTING.includes(part.material);
}

/** Phosphate under acid etch is a known adhesion failure: there, and where the person wants it so, the primer comes in time itself. */
export function guardedByPrimer(part: Part, first: ResolvedLayer | undefined): boolean {
  return first?.family === 'etch-primer' || part.rustGuard === 'prime';
}

/** Whether bare metal gets phosphoric metal prep as its last wet step before primer (trade §3). */
export function getsMetalPrep(part: Part, first: ResolvedLayer | undefined): boolean {
  return flashRusts(part) && !guardedByPrimer(part, first);
}

/** What mends are judged with on one mark. */
export function mendScope(piece: Piece, part: Part, markId: string, { history }: Pick<PlanContext, 'history'>): MendScope {
  const tried = history.treated(piece.id, part.id, markId).map(({ mend, outcome }) => ({ mend, outcome }));
  return { leadExcluded: piece.leadExcluded, tried };
}
