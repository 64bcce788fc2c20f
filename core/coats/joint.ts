import { type BelowFamily, type Family, type Hand, isMetal, type Material, plain, type Role } from '#core/facts/index';
import { familyDrying, type FilmState } from '#core/drying/index';
import { DECALS, ENAMELS, FILLERS, FLEXIBLE, LACQUER_GROUP, WATER_TYPES } from './bite.ts';
import { biteAgainstResistance } from './biteRule.ts';
import { agedLacquer, namedPair } from './namedPairs.ts';

export type JointVerdict = 'sits' | 'care' | 'stop';

export type Below = {
  /** null when the surface is bare. */
  readonly family: BelowFamily | null;
  readonly material: Material;
  readonly state: FilmState;
  readonly scuffed?: boolean;
  readonly metallic?: boolean;
  readonly role?: Role;
  readonly ageDays?: number;
  /** Reference hours since the last coat; absent: the needed point of that state is reached. */
  readonly hours?: number;
};

export type Above = {
  readonly family: Family;
  readonly role?: Role;
  readonly thinner?: Family;
  readonly coat?: 'mist' | 'normal' | 'wet';
  readonly by?: Hand;
  readonly forPlastics?: boolean;
  readonly promoter?: boolean;
};

/** One rule's answer. */
export type Finding = { readonly verdict: JointVerdict; readonly rule: string; readonly because: string };

export type JointAnswer = {
  readonly verdict: JointVerdict;
  readonly rule: string;
  readonly because: string;
  readonly source: 'own' | 'label' | 'default';
  readonly findings: readonly Finding[];
};

const RANK: Record<JointVerdict, number> = { sits: 0, care: 1, stop: 2 };

export function worseOf<T extends { verdict: JointVerdict }>(one: T, other: T): T {
  return RANK[other.verdict] > RANK[one.verdict] ? other : one;
}

export function isBetter(one: JointVerdict, than: JointVerdict): boolean {
  return RANK[one] < RANK[than];
}

/** What is known beyond the tables: the person's own evidence, and what the label of the upper product says. */
export type Known = { readonly own?: Finding | null; readonly label?: Finding | null };

/**
 * Does this coat sit on that one? Rules 1–8 of BRIEF §6: the first of rules 1–5 that answers gives the bite verdict,
 * rules 6–8 always run, and the worst of all is the verdict. Own evidence and label speak for the bite only.
 */
export function joint(below: Below, above: Above, known: Known = {}): JointAnswer {
  const findings = [biteFinding(below, above, known), substrate(below, above), key(below, above), needs(below, above)].filter(
    (finding) => finding !== null,
  );
  const worst = findings.reduce(worseOf);
  const source = worst.rule.startsWith('1 ') ? 'own' : worst.rule.startsWith('1b') ? 'label' : 'default';
  return { verdict: worst.verdict, rule: worst.rule, because: worst.because, source, findings };
}

function biteFinding(below: Below, above: Above, known: Known): Finding {
  // A wet film takes nothing, whatever a board has shown of it later.
  if (below.state !== 'wet' || below.family === null) {
    if (known.own) return known.own;
    if (known.label) return known.label;
  }
  if (below.family === null) return namedPair(below, above) ?? biteAgainstResistance(below, above);
  return windowFinding(below, above) ?? namedPair(below, above) ?? freshUnderAnother(below) ?? biteAgainstResistance(below, above);
}

/** Rule 2: wet and shut stop everything; the same family sits in its window, or again later. */
function windowFinding(below: Below, above: Above): Finding | null {
  const name = plain(below.family as string);
  if (below.state === 'wet') return { verdict: 'stop', rule: '2 window', because: `The ${name} below is still wet.` };
  if (below.state === 'shut') {
    return { verdict: 'stop', rule: '2 window', because: `The window of the ${name} below has shut: nothing goes on it until it reopens.` };
  }
  if (below.metallic && above.role === 'clear' && below.state !== 'fresh') {
    return {
      verdict: 'stop',
      rule: '2 window',
      because: 'The metallic is past its window: scuff it, lay a fresh base coat, then clear. Never clear straight on a scuffed metallic.',
    };
  }
  if (below.family !== above.family) return null;
  const again = familyDrying(above.family).again;
  if (below.state !== 'fresh' && again === 'never') {
    return {
      verdict: 'stop',
      rule: '2 window',
      because: `Past its window ${name} takes no further coat: strip it, or try it on a board of your own.`,
    };
  }
  if (below.state !== 'fresh' && again === 'scuff' && !below.scuffed) {
    return { verdict: 'stop', rule: '2 window', because: `Past its window ${name} wants a scuff before the next coat.` };
  }
  const aged = agedLacquer(below, above);
  if (aged) return aged;
  const when = below.state === 'fresh' ? 'in its window' : 'dry again';
  return { verdict: 'sits', rule: '2 same family', because: `${name[0].toUpperCase()}${name.slice(1)} on itself, ${when}.` };
}

/** Rule 4. */
function freshUnderAnother(below: Below): Finding | null {
  if (below.state !== 'fresh' || DECALS.includes(below.family as BelowFamily) || FILLERS.includes(below.family as BelowFamily)) return null;
  return {
    verdict: 'stop',
    rule: '4 fresh film',
    because: `The ${plain(below.family as string)} below is fresh; another family waits until it is dry.`,
  };
}

/** Rule 6: what the substrate allows, whatever lies between. */
function substrate(below: Below, above: Above): Finding | null {
  if (FLEXIBLE.includes(below.material)) {
    const on = plain(below.material);
    if (ENAMELS.includes(above.family)) return { verdict: 'stop', rule: '6 substrate', because: `Enamel stays sticky on ${on}.` };
    if (below.family === null && above.family !== 'dye' && !WATER_TYPES.includes(above.family)) {
      return { verdict: 'care', rule: '6 substrate', because: `Only dye, water types or a flexible-rated product hold on ${on}.` };
    }
  }
  if (above.family === 'etch-primer' && !(below.family === null && isMetal(below.material))) {
    return { verdict: 'care', rule: '6 substrate', because: 'Etch primer gains nothing except on bare metal: use a plain primer.' };
  }
  return null;
}

/** Rule 7: something must hold the coat: fusing, etch on metal, a scuff, promoter on PP. */
function key(below: Below, above: Above): Finding | null {
  if (below.family === null) return bareKey(below, above);
  if (below.state === 'wet' || below.state === 'shut' || below.state === 'fresh' || below.scuffed) return null;
  if (DECALS.includes(below.family) || FILLERS.includes(below.family)) return null;
  if (fuses(below, above)) return null;
  const primer = below.role?.endsWith('primer') || below.family === 'lacquer-primer' || below.family === 'wood-sealer';
  if (primer && (below.ageDays ?? 0) < 7) return null;
  const unsoftened = biteAgainstResistance(below, above).margin < 0;
  if (below.state === 'cured')
    return { verdict: 'stop', rule: '7 key', because: `Nothing holds on cured ${plain(below.family)} unkeyed: scuff it first.` };
  if (unsoftened)
    return {
      verdict: 'care',
      rule: '7 key',
      because: `The dry ${plain(below.family)} is smooth and this coat does not soften it: scuff it first.`,
    };
  return null;
}

/** A film that stays dissolvable fuses with more of its own kind. */
function fuses(below: Below, above: Above): boolean {
  if (below.family === null || below.family === 'unknown' || (below.family as string) in { 'baked-enamel': 1, 'powder-coat': 1 })
    return false;
  const drying = familyDrying(below.family as Family);
  if (below.family === above.family) return drying.again === null || typeof drying.again === 'number';
  return drying.coatUntil === null && LACQUER_GROUP.includes(below.family) && LACQUER_GROUP.includes(above.family);
}

function bareKey(below: Below, above: Above): Finding | null {
  const on = plain(below.material);
  if (below.material === 'pp') {
    return above.promoter ? null : { verdict: 'stop', rule: '7 key', because: `Nothing holds on ${on} without adhesion promoter.` };
  }
  if (below.scuffed || above.promoter) return null;
  if (isMetal(below.material) && above.family === 'etch-primer') return null;
  if (above.family === 'dye' || below.material === 'wood' || below.material === 'polystyrene') return null;
  const what = isMetal(below.material) ? 'Smooth bare metal' : `Smooth ${on}`;
  return { verdict: 'care', rule: '7 key', because: `${what} gives little hold: key it with the grit for this coat.` };
}

/** Rule 8, as far as it lies in the joint itself: what this coat needs below it. */
function needs(below: Below, above: Above): Finding | null {
  if (above.family !== 'candy' || above.role === 'clear') return null;
  if (below.family === 'candy' || below.metallic) return null;
  if (below.family === null && isMetal(below.material)) {
    return {
      verdict: 'care',
      rule: '8 needs',
      because: 'Polished bare metal stands in for the metallic under a transparent colour: for display only.',
    };
  }
  return { verdict: 'stop', rule: '8 needs', because: 'A transparent colour needs a metallic below it to shine through.' };
}
