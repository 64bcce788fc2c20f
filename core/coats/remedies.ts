import { familyDrying, isOwnThinner } from '#core/drying/index';
import { type Family, FAMILIES, type Lab, plain } from '#core/facts/index';
import { type Above, type Below, isBetter, type JointVerdict, type Known } from './jointTypes.ts';
import { joint } from './joint.ts';

export type Remedy = {
  readonly kind: 'wait' | 'scuff' | 'mist' | 'brush' | 'thinner' | 'promoter' | 'barrier' | 'base' | 'product' | 'stand-in';
  readonly text: string;
  readonly verdict: JointVerdict;
  /** The changed joint: what to apply. */
  readonly below?: Below;
  readonly above?: Above;
  readonly barrier?: Family;
  /** Colour that a stand-in keeps. */
  readonly lab?: Lab;
};

/** Barriers worth laying between, mildest first. */
const BARRIERS: readonly Family[] = ['water-acrylic', 'waterborne-sealer', 'alcohol-acrylic', 'lacquer-primer', 'epoxy-primer'];
const STAND_INS: readonly Family[] = ['water-acrylic', 'alcohol-acrylic', 'acrylic-enamel', 'acrylic-lacquer', 'alkyd-enamel'];

/** What would mend a joint: each remedy is the changed joint judged again, kept only when it comes out better. */
export function remediesFor(below: Below, above: Above, known: Known = {}): Remedy[] {
  const now = joint(below, above, known).verdict;
  if (now === 'sits') return [];
  const offers: Remedy[] = [];
  const offer = (kind: Remedy['kind'], text: string, changed: { below?: Below; above?: Above }) => {
    // A label speaks of the two families in any state; own evidence only of the state it was seen in.
    const still = changed.below ? { label: known.label } : known;
    const verdict = joint(changed.below ?? below, changed.above ?? above, still).verdict;
    if (isBetter(verdict, now)) offers.push({ kind, text, verdict, ...changed });
  };
  if (below.family !== null) {
    for (const state of ['fresh', 'dry', 'cured'] as const) {
      if (state === below.state) continue;
      const text =
        state === 'fresh'
          ? 'lay it within the window'
          : state === 'dry'
            ? 'wait until the film below is dry'
            : 'wait until the film below is cured';
      offer('wait', text, { below: { ...below, state, hours: undefined } });
      if (state !== 'fresh' && !below.scuffed)
        offer('wait', `${text}, then scuff`, { below: { ...below, state, hours: undefined, scuffed: true } });
    }
  }
  if (!below.scuffed) offer('scuff', 'scuff the surface first', { below: { ...below, scuffed: true } });
  if (above.coat !== 'mist') offer('mist', 'mist coats first, long flash-off', { above: { ...above, coat: 'mist' } });
  if (above.thinner !== undefined) {
    const { thinner, ...own } = above;
    if (!isOwnThinner(above.family, thinner)) offer('thinner', `thin it with ${familyDrying(above.family).thinner}`, { above: own });
  }
  if (above.by === 'aerosol') offer('brush', 'brush or airbrush it', { above: { ...above, by: 'airbrush' } });
  if (!above.promoter) offer('promoter', 'adhesion promoter first', { above: { ...above, promoter: true } });
  if (!above.forPlastics) offer('product', 'a product made for plastics', { above: { ...above, forPlastics: true } });
  offers.push(...metallicBase(below, above, now), ...barriers(below, above, now), ...standIns(below, above, now));
  return strongest(offers);
}

/** A metallic base under a transparent colour that has none. */
function metallicBase(below: Below, above: Above, now: JointVerdict): Remedy[] {
  if (above.family !== 'candy' || below.metallic) return [];
  const base: Family = 'acrylic-lacquer';
  const lower = joint({ ...below, scuffed: true }, { family: base, role: 'metallic', by: above.by });
  const upper = joint({ family: base, material: below.material, state: 'fresh', metallic: true }, above);
  const verdict: JointVerdict = isBetter(lower.verdict, upper.verdict) ? upper.verdict : lower.verdict;
  return isBetter(verdict, now) ? [{ kind: 'base', text: 'a metallic base below it', verdict, barrier: base }] : [];
}

function barriers(below: Below, above: Above, now: JointVerdict): Remedy[] {
  if (below.family === null && joint(below, above).rule !== '5 bite') return [];
  return BARRIERS.flatMap((family) => {
    if (family === above.family || family === below.family) return [];
    const dryBelow: Below =
      below.family === null ? below : { ...below, state: below.state === 'cured' ? 'cured' : 'dry', hours: undefined };
    const lower = joint(
      { ...dryBelow, scuffed: true },
      { family, role: 'primer', by: 'airbrush', forPlastics: above.forPlastics, promoter: above.promoter },
    );
    const upper = joint({ family, material: below.material, state: 'cured', role: 'primer', scuffed: true }, above);
    const verdict: JointVerdict = isBetter(lower.verdict, upper.verdict) ? upper.verdict : lower.verdict;
    if (!isBetter(verdict, now)) return [];
    return [{ kind: 'barrier' as const, text: `a barrier of ${plain(family)} between, cured and scuffed`, verdict, barrier: family }];
  });
}

function standIns(below: Below, above: Above, now: JointVerdict): Remedy[] {
  // Nothing opaque stands in for a transparent colour.
  if (above.family === 'candy' || (above.role === 'clear' && below.metallic)) return [];
  return STAND_INS.filter((family) => FAMILIES.includes(family) && family !== above.family).flatMap((family) => {
    const changed: Above = {
      ...above,
      family,
      thinner: undefined,
      by: family === 'water-acrylic' || family === 'alcohol-acrylic' ? 'airbrush' : above.by,
    };
    const verdict = joint(below, changed).verdict;
    return isBetter(verdict, now) ? [{ kind: 'stand-in' as const, text: `${plain(family)} instead`, verdict, above: changed }] : [];
  });
}

/** Best verdict first; of each kind and barrier at most the first two, so that the list stays readable. */
function strongest(offers: readonly Remedy[]): Remedy[] {
  const sorted = [...offers].sort((a, b) => (a.verdict === b.verdict ? 0 : isBetter(a.verdict, b.verdict) ? -1 : 1));
  const count = new Map<string, number>();
  return sorted.filter((remedy) => {
    const seen = count.get(remedy.kind) ?? 0;
    count.set(remedy.kind, seen + 1);
    return seen < 2;
  });
}
