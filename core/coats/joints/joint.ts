import { type BelowFamily, type Family, FAMILIES, isMetal, MATERIALS, plain, type Material } from '#core/facts/index';
import { type FamilyDrying, familyDrying, isOwnThinner } from '#core/drying/index';
import { DECALS, ENAMELS, FILLERS, FLEXIBLE, WATER_TYPES } from './bite.ts';
import { biteAgainstResistance } from './biteRule.ts';
import { agedLacquer, lacquersMeet, namedPair } from './namedPairs.ts';
import { type Above, type Below, type Finding, type JointAnswer, type Known, worseOf } from './jointTypes.ts';

/**
 * Does this coat sit on that one? Rules 1–8 of trade §6: the first of rules 1–5 that answers gives the bite verdict,
 * rules 6–8 always run, and the worst of all is the verdict. Own evidence and label speak for the bite only.
 * A bare part of unknown material takes the worst verdict of all it may be (trade §3).
 */
export function joint(below: Below, above: Above, known: Known = {}): JointAnswer {
  if (below.family === null && below.material === 'unknown') return onUnknownMaterial(below, above, known);
  const findings = [
    biteFinding(below, above, known),
    substrate(below, above),
    key(below, above),
    needs(below, above),
    thinning(above),
  ].filter((finding) => finding !== null);
  const worst = findings.reduce(worseOf);
  return { verdict: worst.verdict, rule: worst.rule, because: worst.because, source: sourceOf(worst), findings };
}

/** What own evidence and label had said to an answer. */
export function knownIn({ findings }: JointAnswer): Known {
  const by = (source: 'own' | 'label') => findings.find((finding) => sourceOf(finding) === source) ?? null;
  return { own: by('own'), label: by('label') };
}

function sourceOf({ rule }: Finding): JointAnswer['source'] {
  return rule.startsWith('1 ') ? 'own' : rule.startsWith('1b') ? 'label' : 'default';
}

/** The worst of every material it may be, and which one that was. */
function onUnknownMaterial(below: Below, above: Above, known: Known): JointAnswer {
  const candidates = MATERIALS.filter((material) => material !== 'unknown').map((material) => ({
    material,
    ...joint({ ...below, material }, above, known),
  }));
  const { material, ...worst } = candidates.reduce(worseOf);
  if (worst.verdict === 'sits') return worst;
  const because = `The material is unknown and may be ${plain(material)}. ${worst.because} A magnet, a float test or a scratch tells.`;
  return { ...worst, because };
}

function biteFinding(below: Below, above: Above, known: Known): Finding {
  // A wet film takes nothing, whatever a board has shown of it later.
  if (below.state !== 'wet' || below.family === null) {
    if (known.own) return known.own;
    if (known.label) return known.label;
  }
  const bite =
    (below.family === null ? null : windowFinding(below, above)) ??
    namedPair(below, above) ??
    (below.family === null ? null : freshUnderAnother(below)) ??
    biteAgainstResistance(below, above);
  return above.family === 'unknown' ? worseOf(bite, UNKNOWN_PAINT) : bite;
}

/** Label and boards speak before it; until they do nothing sits for certain (trade §6, unknown products). */
const UNKNOWN_PAINT: Finding = {
  verdict: 'care',
  rule: 'unknown product',
  because: 'Nothing is known of this paint: try it on scrap first. Its thinner or clean-up line would settle it.',
};

/** How a film dries, or null for what is no paint of ours: factory finishes, fillers, decals. */
function dryingOf(family: BelowFamily | null): FamilyDrying | null {
  return FAMILIES.includes(family as Family) ? familyDrying(family as Family) : null;
}

/** Rule 2: wet and shut stop everything; the same family sits in its window, or again later. */
function windowFinding(below: Below, above: Above): Finding | null {
  const name = plain(below.family as string);
  if (below.state === 'wet') return { verdict: 'stop', rule: '2 window', because: `The ${name} below is still wet.` };
  if (below.state === 'shut') {
    return { verdict: 'stop', rule: '2 window', because: `The window of the ${name} below has shut: nothing goes on it until it reopens.` };
  }
  const drying = dryingOf(below.family);
  const past = drying !== null && drying.coatUntil !== null && below.state !== 'fresh';
  if (past && below.metallic && (above.role === 'clear' || above.family === 'candy')) {
    return {
      verdict: 'stop',
      rule: '2 window',
      because: 'The metallic is past its window: scuff it, lay a fresh base coat, then clear. Never clear straight on a scuffed metallic.',
    };
  }
  if (past && drying.again === 'scuff' && !below.scuffed) {
    return { verdict: 'stop', rule: '2 window', because: `Past its window ${name} wants a scuff before anything goes on.` };
  }
  if (below.family !== above.family) return null;
  if (past && drying.again === 'never') {
    return {
      verdict: 'stop',
      rule: '2 window',
      because: `Past its window ${name} takes no further coat: strip it, or try it on a board of your own.`,
    };
  }
  const aged = agedLacquer(below, above);
  if (aged) return aged;
  const when = below.state === 'fresh' ? 'in its window' : 'dry again';
  return { verdict: 'sits', rule: '2 same family', because: `${name[0].toUpperCase()}${name.slice(1)} goes on itself, ${when}.` };
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
  const onBare = below.family === null ? bareSubstrate(below.material, above) : null;
  if (onBare) return onBare;
  if (above.family === 'etch-primer' && !(below.family === null && isMetal(below.material))) {
    return { verdict: 'care', rule: '6 substrate', because: 'Etch primer gains nothing except on bare metal: use a plain primer.' };
  }
  return null;
}

const RUSTS: readonly Material[] = ['steel', 'cast-iron'];
/** What goes straight on steel by its nature. */
const FOR_STEEL: readonly Family[] = ['rust-barrier', 'high-temperature', 'etch-primer', 'epoxy-primer'];
const SEALERS: readonly Family[] = ['wood-sealer', 'waterborne-sealer'];

/** Bare steel rusts under water and behind every scratch of an unprimed colour; bare wood wants a sealer first (trade §6, rule 6). */
function bareSubstrate(material: Material, above: Above): Finding | null {
  if (RUSTS.includes(material) && WATER_TYPES.includes(above.family))
    return {
      verdict: 'care',
      rule: '6 substrate',
      because: `Water on bare ${plain(material)} flash-rusts under the film, unless the label says inhibited.`,
    };
  const primes = above.role?.endsWith('primer') || FOR_STEEL.includes(above.family);
  if (RUSTS.includes(material) && !primes)
    return {
      verdict: 'care',
      rule: '6 substrate',
      because: `Without a primer rust follows every scratch on ${plain(material)}: for display only.`,
    };
  if (material === 'wood' && !SEALERS.includes(above.family))
    return {
      verdict: 'care',
      rule: '6 substrate',
      because: 'Bare wood drinks the first coat and its grain stands up: a sanding sealer first.',
    };
  return null;
}

/** Days for which a matt primer is its own key (trade §6, rule 7). */
export const OWN_KEY_DAYS = 7;

/** Rule 7: something must hold the coat: fusing, etch on metal, a scuff, promoter on PP. */
function key(below: Below, above: Above): Finding | null {
  if (below.family === null) return bareKey(below, above);
  if (below.state === 'wet' || below.state === 'shut' || below.state === 'fresh' || below.scuffed) return null;
  if (DECALS.includes(below.family) || FILLERS.includes(below.family)) return null;
  if (fuses(below, above)) return null;
  const primer = below.role?.endsWith('primer') || below.family === 'lacquer-primer' || below.family === 'wood-sealer';
  if (primer && (below.ageDays ?? 0) < OWN_KEY_DAYS) return null;
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
  const drying = below.family === 'unknown' ? null : dryingOf(below.family);
  if (drying === null) return false;
  if (below.family === above.family) return drying.again === null || typeof drying.again === 'number';
  return drying.coatUntil === null && lacquersMeet(below, above);
}

function bareKey(below: Below, above: Above): Finding | null {
  const on = plain(below.material);
  if (below.material === 'pp') {
    return above.promoter ? null : { verdict: 'stop', rule: '7 key', because: `Nothing holds on ${on} without adhesion promoter.` };
  }
  if (below.scuffed || above.promoter) return null;
  if (isMetal(below.material) && above.family === 'etch-primer') return null;
  if (below.material === 'wood' || below.material === 'polystyrene') return null;
  if (above.family === 'dye' && !isMetal(below.material)) return null;
  const what = isMetal(below.material) ? 'Smooth bare metal' : `Smooth ${on}`;
  return { verdict: 'care', rule: '7 key', because: `${what} gives little hold: key it with the grit for this coat.` };
}

/** A thinner from another range separates or spits: care at best, and its bite counts besides (trade §6, thinning). */
function thinning({ family, thinner }: Above): Finding | null {
  if (thinner === undefined || isOwnThinner(family, thinner)) return null;
  const because = `${plain(thinner)} thinner in ${plain(family)} may separate or spit: thin it with ${familyDrying(family).thinner}.`;
  return { verdict: 'care', rule: 'thinning', because: because[0].toUpperCase() + because.slice(1) };
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
