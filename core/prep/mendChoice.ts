import { isMetal, type Mark, type Mend, MENDS, type Part, type Stays, staysOf } from '#core/facts/index';

/** Which mends a mark may have on a part, and which is advised (trade §3, §4, §14). */

/** What a mend is judged with beside the part. */
export type MendScope = {
  readonly leadExcluded: boolean;
  /** What soaks and metal prep have left on this mark so far, oldest first. */
  readonly tried?: readonly { readonly mend: Mend; readonly outcome: 'clean' | 'most' | 'little' }[];
};

/** Everything that a face which stays as it is may meet. */
const ON_STAYS: Record<Stays, readonly Mend[]> = {
  clear: ['leave', 'replace', 'polish', 'dip', 'glue'],
  plated: ['leave', 'replace'],
  printed: ['leave', 'replace'],
};
const DRY_DUST: readonly Mend[] = ['rust-brush', 'rust-spin'];
const NOT_ON_MAGNESIUM: readonly Mend[] = ['metal-prep', 'rust-soak', 'rust-brush', 'rust-spin', 'sand', 'polish'];
const ON_METAL: readonly Mend[] = ['rust-soak', 'rust-brush', 'rust-spin', 'metal-prep'];

/** Why a mend is never used on a part, or null where it may be. */
export function mendRefused(mend: Mend, part: Part, { leadExcluded }: MendScope): string | null {
  const stays = staysOf(part);
  if (stays && !ON_STAYS[stays].includes(mend)) return `What stays ${stays} is only cleaned: no paper, filler, powder, solvent or bath.`;
  if ((part.material === 'magnesium' || part.alsoMaterial === 'magnesium') && NOT_ON_MAGNESIUM.includes(mend))
    return 'Magnesium takes no acid and no dry abrasion: a wash, gel and wet scuffing by hand only.';
  if (ON_METAL.includes(mend) && !isMetal(part.material)) return 'That is for rust, and this does not rust.';
  if (DRY_DUST.includes(mend) && !leadExcluded && part.finish !== 'bare')
    return 'Lead in the old paint is not excluded, and dry brushing raises its dust.';
  if ((mend === 'dip' || mend === 'glue') && stays !== 'clear') return 'That is for glazing that stays clear.';
  if (part.surface === 'grained' && (mend === 'sand' || mend === 'filler')) return 'Paper and filler level the grain.';
  if (part.stops?.includes('celluloid') && mend === 'straighten') return 'Celluloid burns fiercely: no heat.';
  return null;
}

/** Mends a mark may have on a part, as they are offered. */
export function mendsFor(part: Part, scope: MendScope): Mend[] {
  return MENDS.filter((mend) => mendRefused(mend, part, scope) === null);
}

/** A rod is long and thin: it is spun against abrasive. */
function isRod(part: Part): boolean {
  return part.faces.every((face) => Math.max(face.longMm, face.shortMm) > 4 * Math.min(face.longMm, face.shortMm) && face.shortMm < 25);
}

/** The mend that is planned: the person's choice where it may be used, else the advice. */
export function mendOf(mark: Mark, part: Part, scope: MendScope): Mend {
  if (mark.mend && mendRefused(mark.mend, part, scope) === null && !givenUp(mark.mend, scope)) return mark.mend;
  return advisedMend(mark, part, scope);
}

/** What the log has shown to bring nothing here: another way follows (trade §3). */
function givenUp(mend: Mend, { tried = [] }: MendScope): boolean {
  return tried.filter((own) => own.mend === mend && own.outcome === 'little').length >= 2;
}

/** The first advised mend that may be used here and has not been given up. */
export function advisedMend(mark: Mark, part: Part, scope: MendScope): Mend {
  return wishes(mark, part).find((mend) => mendRefused(mend, part, scope) === null && !givenUp(mend, scope)) ?? 'leave';
}

/** Mends for a mark, most fitting first. */
function wishes(mark: Mark, part: Part): Mend[] {
  const stays = staysOf(part);
  if (stays) return wishesOfStaying(mark, stays);
  const metal = isMetal(part.material);
  const slight = mark.severity === 'slight';
  const build: Mend = metal || part.material === 'wood' ? 'filler' : 'glue-build-up';
  switch (mark.kind) {
    case 'scratch':
    case 'mould-line':
    case 'layer-lines':
    case 'support-marks':
      return ['sand', 'leave'];
    case 'gouge':
    case 'chip':
      return slight ? ['sand', build] : [build, 'glue-build-up'];
    case 'crack':
      return [build, 'glue-build-up'];
    case 'pitting':
      return slight ? ['sand', 'filler'] : ['filler'];
    case 'rust-light':
      return isRod(part) ? ['rust-spin', 'metal-prep', 'rust-soak'] : ['metal-prep', 'rust-soak', 'rust-brush'];
    case 'rust-deep':
      return isRod(part) ? ['rust-spin', 'rust-soak', 'metal-prep'] : ['rust-soak', 'rust-brush', 'metal-prep'];
    case 'dent':
      return slight || !metal ? ['filler', 'glue-build-up'] : ['straighten', 'filler'];
    case 'bent':
      return part.material === 'zinc' || part.material === 'cast-iron' || part.material === 'resin' ? ['leave'] : ['straighten', 'leave'];
    case 'seized':
      return ['free'];
    case 'missing':
      return ['replace'];
  }
}

function wishesOfStaying(mark: Mark, stays: Stays): Mend[] {
  if (mark.kind === 'missing') return ['replace'];
  if (stays !== 'clear') return ['leave'];
  if (mark.kind === 'crack') return mark.severity === 'slight' ? ['leave', 'glue'] : ['replace', 'glue'];
  return mark.kind === 'scratch' && mark.severity === 'slight' ? ['polish', 'dip'] : ['leave', 'replace'];
}
