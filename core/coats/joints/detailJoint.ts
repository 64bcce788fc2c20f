import { type BelowFamily, type Decal, type Detail, type Family, type Material, plain } from '#core/facts/index';
import { familyDrying } from '#core/drying/index';
import { capital } from '#core/units/index';
import { biteAgainstResistance } from './biteRule.ts';
import { type Above, type Below, type Finding, isBetter, type JointVerdict } from './jointTypes.ts';
import { namedPair } from './namedPairs.ts';
import { aboveOf } from '../stack.ts';
import type { ResolvedLayer } from '../products/resolve.ts';

/** How details and decals sit on what is below them, and what may go over them (trade §6, §9). */

/** A brushed detail on the dry film of a family; null: on the bare part. Nobody keys a film for it: only the solvent is judged. */
export function detailOn(detail: Pick<Detail, 'family'>, below: BelowFamily | null, material: Material): Finding {
  return solventOver({ family: below, material, state: 'dry', role: 'colour' }, { family: detail.family, role: 'colour', by: 'brush' });
}

export type OverDetail = Finding & {
  /** It sits better once the detail has cured: the coat waits for that. */
  readonly onceCured: boolean;
};

/** What goes over a detail, once it is dry or, where that sits better, cured; over markers and drybrushed metal it must be tried. */
export function overDetail(detail: Pick<Detail, 'family' | 'way' | 'name'>, layer: ResolvedLayer, material: Material): OverDetail {
  const over = (state: 'dry' | 'cured') => solventOver({ family: detail.family, material, state, role: 'colour' }, aboveOf(layer, false));
  const [dry, cured] = [over('dry'), over('cured')];
  const onceCured = isBetter(cured.verdict, dry.verdict);
  const answer = { ...(onceCured ? cured : dry), onceCured };
  if (answer.verdict !== 'sits' || !UNTRIED.includes(detail.way)) return answer;
  const because = `What goes over ${detail.name} is uncertain until it is tried: a scrap first.`;
  return { ...answer, verdict: 'care', rule: 'markers and drybrush', because };
}

const UNTRIED: readonly Detail['way'][] = ['pen', 'drybrush'];

/** A clear or colour over a decal that has dried a day. The coats on a printed sheet keep its ink from water, not from a solvent. */
export function overDecal(decal: Pick<Decal, 'kind'>, layer: ResolvedLayer, material: Material): Finding {
  if (decal.kind === 'vinyl') return VINYL_UNDER;
  const printed = decal.kind === 'printed';
  const found = solventOver({ family: printed ? 'printed-decal' : 'decal', material, state: 'dry' }, aboveOf(layer, false));
  if (!printed || found.verdict === 'sits') return found;
  return { ...found, because: `${found.because} Lay two water-type coats over it first, and let them dry.` };
}

/** The same paint fuses with itself; else a named pair speaks, else bite against resistance. */
function solventOver(below: Below, above: Above): Finding {
  if (below.family !== null && below.family === above.family)
    return { verdict: 'sits', rule: '2 same family', because: `${capital(plain(above.family))} goes on itself.` };
  return (below.family === null ? null : namedPair(below, above)) ?? biteAgainstResistance(below, above);
}

const VINYL_UNDER: Finding = {
  verdict: 'care',
  rule: 'vinyl',
  because: 'Clear over self-adhesive vinyl stands up at its edge and may shrink it: mist coats first, a scrap before that.',
};

export type SolventAdvice = { readonly verdict: JointVerdict; readonly because: string };

/**
 * Wiping back, and washes that are wiped: whether the solvent leaves the film below alone, or a clear must lock it first.
 * Sits: until when it can be wiped. Stop: no clear of the families there are would bear it either.
 */
export function solventOn(family: Family, below: BelowFamily | null, material: Material): SolventAdvice {
  if (below === null) return { verdict: 'sits', because: 'Nothing lies below it that its thinner could take.' };
  const direct = detailOn({ family }, below, material).verdict;
  const touchHours = familyDrying(family).touch;
  const until = touchHours >= 1 ? `${Math.round(touchHours)} h` : `${Math.round(touchHours * 60)} min`;
  if (direct === 'sits')
    return {
      verdict: 'sits',
      because: `Its thinner leaves the film below alone: it can be wiped back until it is touch-dry, about ${until}.`,
    };
  const lock = LOCKS.find((clear) => detailOn({ family }, clear, material).verdict === 'sits');
  return lock
    ? {
        verdict: 'care',
        because: `Its thinner softens the film below: lock that under a ${NAMES[lock] ?? lock} clear first, and let it dry.`,
      }
    : { verdict: 'stop', because: 'No clear bears its thinner here: do this with a paint of another type, or leave it.' };
}

/** Clears that can lock a film, mildest first. */
const LOCKS: readonly Family[] = ['water-acrylic', 'acrylic-lacquer', 'urethane-2k'];
const NAMES: Partial<Record<Family, string>> = { 'water-acrylic': 'water-type', 'acrylic-lacquer': 'lacquer', 'urethane-2k': '2K' };
