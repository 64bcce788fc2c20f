import { familyDrying, isOwnThinner } from '#core/drying/index';
import { type BelowFamily, type Family, type Lab, plain, type Role } from '#core/facts/index';
import { joint } from './joint.ts';
import { type Above, type Below, isBetter, type JointVerdict, type Known } from './jointTypes.ts';

/** What would mend a joint, cheapest first, with the look kept (trade §6). */

export type RemedyKind =
  | 'thinner'
  | 'mist'
  | 'brush'
  | 'scuff'
  | 'wait'
  | 'promoter'
  | 'base'
  | 'primer'
  | 'barrier'
  | 'product'
  | 'stand-in';

export type Remedy = {
  readonly kind: RemedyKind;
  readonly text: string;
  readonly verdict: JointVerdict;
  /** The changed joint: what to apply. */
  readonly below?: Below;
  readonly above?: Above;
  readonly barrier?: Family;
  /** What the barrier is: a primer, or a clear where what lies below is to be seen. */
  readonly barrierRole?: Extract<Role, 'primer' | 'clear'>;
  /** The sheen that a clear stand-in keeps, gloss units: a matt one on the shelf serves for a matt one. */
  readonly gloss?: number;
  /** Colour that a stand-in keeps. */
  readonly lab?: Lab;
};

/** The order in which a person would try them: what costs nothing first, another product last. */
const CHEAPEST_FIRST: readonly RemedyKind[] = [
  'thinner',
  'mist',
  'brush',
  'scuff',
  'wait',
  'promoter',
  'base',
  'primer',
  'barrier',
  'product',
  'stand-in',
];

/** Barriers worth laying between, mildest first; clear ones where the film below is to be seen. */
const OPAQUE_BARRIERS: readonly Family[] = ['water-acrylic', 'waterborne-sealer', 'alcohol-acrylic', 'lacquer-primer', 'epoxy-primer'];
const CLEAR_BARRIERS: readonly Family[] = ['water-acrylic', 'waterborne-sealer'];
/** What goes first on a bare ground that drinks or rusts. */
const PRIMERS: readonly Family[] = ['lacquer-primer', 'epoxy-primer', 'wood-sealer', 'waterborne-sealer'];
const STAND_INS: readonly Family[] = ['water-acrylic', 'alcohol-acrylic', 'acrylic-enamel', 'acrylic-lacquer', 'alkyd-enamel'];
const BY_AIRBRUSH: readonly Family[] = ['water-acrylic', 'alcohol-acrylic'];
/** Never scuffed between their own coats: their texture, flakes or dye would be gone. */
const NEVER_SCUFFED: readonly BelowFamily[] = ['texture', 'dye', 'candy'];

const RANK: Record<JointVerdict, number> = { sits: 0, care: 1, stop: 2 };

/**
 * Each remedy is the changed joint judged again, kept only when it comes out better; cheapest first, of one kind the best verdict.
 * @param owned families on the shelf: of two barriers or stand-ins as good, the owned one comes first
 */
export function remediesFor(below: Below, above: Above, known: Known = {}, owned: readonly Family[] = []): Remedy[] {
  const now = joint(below, above, known).verdict;
  if (now === 'sits') return [];
  const offers = [
    ...smallChanges(below, above, known),
    ...metallicBase(below, above),
    ...primersBelow(below, above, owned),
    ...barriers(below, above, owned),
    ...otherProducts(below, above, owned),
  ].filter((remedy) => isBetter(remedy.verdict, now));
  return shortened(
    [...offers].sort((a, b) => CHEAPEST_FIRST.indexOf(a.kind) - CHEAPEST_FIRST.indexOf(b.kind) || RANK[a.verdict] - RANK[b.verdict]),
  );
}

/** What needs no other paint: its own thinner, lighter coats, another hand, a scuff, a wait, promoter. */
function smallChanges(below: Below, above: Above, known: Known): Remedy[] {
  const judged = (kind: RemedyKind, text: string, changed: { below?: Below; above?: Above }): Remedy => {
    // A label speaks of the two families in any state; own evidence only of the state it was seen in.
    const still = changed.below ? { label: known.label } : known;
    return { kind, text, verdict: joint(changed.below ?? below, changed.above ?? above, still).verdict, ...changed };
  };
  const offers: Remedy[] = [];
  if (above.thinner !== undefined && !isOwnThinner(above.family, above.thinner)) {
    const { thinner: _foreign, ...own } = above;
    offers.push(judged('thinner', `thin it with ${familyDrying(above.family).thinner}`, { above: own }));
  }
  if (above.coat !== 'mist') offers.push(judged('mist', 'mist coats first, long flash-off', { above: { ...above, coat: 'mist' } }));
  if (above.by === 'aerosol') offers.push(judged('brush', 'brush or airbrush it', { above: { ...above, by: 'airbrush' } }));
  if (mayBeScuffed(below, above)) offers.push(judged('scuff', 'scuff the surface first', { below: { ...below, scuffed: true } }));
  for (const { text, changed } of laterStates(below, above)) offers.push(judged('wait', text, { below: changed }));
  if (!above.promoter) offers.push(judged('promoter', 'adhesion promoter first', { above: { ...above, promoter: true } }));
  return offers;
}

/** Texture, dye, transparent and metallic films take no scuff within their own set. */
function mayBeScuffed(below: Below, above: Above): boolean {
  if (below.scuffed) return false;
  if (below.family !== null && NEVER_SCUFFED.includes(below.family)) return false;
  return !(below.metallic && (above.family === below.family || seesThrough(above)));
}

/** States the film below reaches by itself, each with and without a scuff; a film that never moves on has none. */
function laterStates(below: Below, above: Above): { text: string; changed: Below }[] {
  if (below.family === null || below.resistance !== undefined) return [];
  const states = (['fresh', 'dry', 'cured'] as const).filter((state) => state !== below.state);
  return states.flatMap((state) => {
    const text =
      state === 'fresh'
        ? 'lay it within the window'
        : state === 'dry'
          ? 'wait until the film below is dry'
          : 'wait until the film below is cured';
    const changed: Below = { ...below, state, hours: undefined };
    const plainly = [{ text, changed }];
    if (state === 'fresh' || !mayBeScuffed(below, above)) return plainly;
    return [...plainly, { text: `${text}, then scuff`, changed: { ...changed, scuffed: true } }];
  });
}

/** What lies below shows through this coat. */
function seesThrough(above: Above): boolean {
  return above.role === 'clear' || above.family === 'candy';
}

/** A metallic under a transparent colour that has none, or a fresh coat of the one that is past its window. */
function metallicBase(below: Below, above: Above): Remedy[] {
  const past = below.metallic && below.family !== null && below.state !== 'wet' && below.state !== 'fresh' && seesThrough(above);
  if (past) {
    const family = below.family as Family;
    const lower = joint({ ...below, scuffed: true }, { family, role: 'metallic', by: above.by });
    const upper = joint({ ...below, state: 'fresh', scuffed: false, hours: undefined }, above);
    return [
      {
        kind: 'base',
        text: 'scuff it, lay a fresh coat of the same base, then go on in its window',
        verdict: worst(lower, upper),
        barrier: family,
      },
    ];
  }
  if (above.family !== 'candy' || below.metallic) return [];
  const base: Family = 'acrylic-lacquer';
  const lower = joint({ ...below, scuffed: true }, { family: base, role: 'metallic', by: above.by });
  const upper = joint({ family: base, material: below.material, state: 'fresh', metallic: true }, above);
  return [{ kind: 'base', text: 'a metallic base below it', verdict: worst(lower, upper), barrier: base }];
}

function worst(lower: { verdict: JointVerdict }, upper: { verdict: JointVerdict }): JointVerdict {
  return isBetter(lower.verdict, upper.verdict) ? upper.verdict : lower.verdict;
}

/** Owned families first, else as they stand. */
function ownedFirst(families: readonly Family[], owned: readonly Family[]): Family[] {
  return [...families].sort((a, b) => Number(owned.includes(b)) - Number(owned.includes(a)));
}

/** A primer or sealer on a bare ground that a colour does not go on by itself. */
function primersBelow(below: Below, above: Above, owned: readonly Family[]): Remedy[] {
  if (below.family !== null || joint(below, above).rule !== '6 substrate') return [];
  return ownedFirst(PRIMERS, owned).flatMap((family): Remedy[] => {
    if (family === above.family) return [];
    const lower = joint({ ...below, scuffed: true }, { family, role: 'primer', by: above.by, forPlastics: above.forPlastics });
    const upper = joint({ family, material: below.material, state: 'dry', role: 'primer', scuffed: true }, above);
    const verdict = worst(lower, upper);
    return [{ kind: 'primer', text: `${plain(family)} below it`, verdict, barrier: family }];
  });
}

/** A film between, only where both its joints come out sits or care; a clear one where what lies below is to be seen. */
function barriers(below: Below, above: Above, owned: readonly Family[]): Remedy[] {
  const clear = seesThrough(above);
  if (below.family === null && (clear || joint(below, above).rule !== '5 bite')) return [];
  const role = clear ? 'clear' : 'primer';
  return ownedFirst(clear ? CLEAR_BARRIERS : OPAQUE_BARRIERS, owned).flatMap((family): Remedy[] => {
    if (family === above.family || family === below.family) return [];
    const settled: Below = below.family === null ? below : { ...below, state: below.state === 'cured' ? 'cured' : 'dry', hours: undefined };
    const keyed = below.metallic && clear ? settled : { ...settled, scuffed: true };
    const lower = joint(keyed, { family, role, by: 'airbrush', forPlastics: above.forPlastics, promoter: above.promoter });
    // A clear film lets the metallic below it shine through; it is keyed with care, never cut through.
    const upper = joint(
      { family, material: below.material, state: 'cured', role, scuffed: true, metallic: clear && below.metallic },
      above,
    );
    const verdict = worst(lower, upper);
    if (verdict === 'stop') return [];
    const text = `a ${clear ? 'clear ' : ''}barrier of ${plain(family)} between, cured and scuffed`;
    return [{ kind: 'barrier', text, verdict, barrier: family, barrierRole: role }];
  });
}

/** The same paint made for plastics, a plain primer for an etch that gains nothing, or another family in its place. */
function otherProducts(below: Below, above: Above, owned: readonly Family[]): Remedy[] {
  const offers: Remedy[] = [];
  if (!above.forPlastics) {
    const kinder = { ...above, forPlastics: true };
    offers.push({ kind: 'product', text: 'a product made for plastics', verdict: joint(below, kinder).verdict, above: kinder });
  }
  if (above.family === 'etch-primer' && below.family !== null) {
    const primer: Above = { ...above, family: 'lacquer-primer', role: 'fine-primer' };
    offers.push({ kind: 'stand-in', text: 'a plain primer instead', verdict: joint(below, primer).verdict, above: primer });
  }
  // Nothing opaque stands in for a transparent colour.
  if (above.family === 'candy' || (above.role === 'clear' && below.metallic)) return offers;
  for (const family of ownedFirst(STAND_INS, owned)) {
    if (family === above.family || above.family === 'etch-primer') continue;
    const changed: Above = { ...above, family, thinner: undefined, by: BY_AIRBRUSH.includes(family) ? 'airbrush' : above.by };
    offers.push({ kind: 'stand-in', text: `${plain(family)} instead`, verdict: joint(below, changed).verdict, above: changed });
  }
  return offers;
}

/** Of each kind at most the first two, so that the list stays readable. */
function shortened(offers: readonly Remedy[]): Remedy[] {
  const count = new Map<string, number>();
  return offers.filter((remedy) => {
    const seen = count.get(remedy.kind) ?? 0;
    count.set(remedy.kind, seen + 1);
    return seen < 2;
  });
}
