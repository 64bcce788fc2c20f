import { contrastOf, hidingShare, type NamedColour } from '#core/colour/index';
import { type Family, isMetal, type Lab, type Layer, type Material } from '#core/facts/index';
import { PRIMER_SHADES } from '../looks/shades.ts';
import { coatsForColour, coatsToHide, groundSuits } from '../film.ts';

export type SystemKind = 'quickest' | 'hardest' | 'cheapest';

/** A ready system: layers without ids, to be drafted onto a part. */
export type SystemDraft = {
  readonly kind: SystemKind;
  readonly title: string;
  readonly text: string;
  readonly layers: readonly Omit<Layer, 'id'>[];
};

export type SystemQuestion = {
  readonly material: Material;
  /** Colours in order of size, each with the zones it covers; the first covers all where nothing else is said. */
  readonly colours: readonly (NamedColour & { readonly covers: Layer['covers'] })[];
};

const NO_COLOUR: Lab = { l: 100, a: 0, b: 0 };

/** Families of each kind: metal and hard plastics apart. Two-pack paints are never chosen by the tool on its own (trade §15). */
const COLOUR_FAMILY: Record<SystemKind, { readonly metal: Family; readonly plastic: Family }> = {
  quickest: { metal: 'acrylic-lacquer', plastic: 'alcohol-acrylic' },
  hardest: { metal: 'alkyd-enamel', plastic: 'water-acrylic' },
  cheapest: { metal: 'acrylic-enamel', plastic: 'water-acrylic' },
};

const TEXT: Record<SystemKind, { readonly title: string; readonly text: string }> = {
  quickest: { title: 'Quickest', text: 'Dries by evaporation: coats minutes apart, a clear to protect it.' },
  hardest: { title: 'Hardest wearing', text: 'Slow to dry, but it takes handling best without two-pack paint.' },
  cheapest: { title: 'Cheapest', text: 'Fewest products: primer and colour, no clear.' },
};

/** Three systems to start from, for this material and these colours; coats come from the hiding rule over the chosen primer shade. */
export function readySystems(question: SystemQuestion): SystemDraft[] {
  return (['quickest', 'hardest', 'cheapest'] as const).map((kind) => ({ kind, ...TEXT[kind], layers: systemLayers(kind, question) }));
}

/** Bare wood drinks what goes on it: it is sealed first, and the raised grain cut (trade §6, rule 6). */
const SEALER: Omit<Layer, 'id'> = {
  wanted: { family: 'wood-sealer', role: 'primer', name: 'sanding sealer', lab: { l: 72, a: 8, b: 26 } },
  coats: 2,
  covers: 'all',
  flatAfter: 400,
};

function systemLayers(kind: SystemKind, question: SystemQuestion): Omit<Layer, 'id'>[] {
  const hard = isMetal(question.material) || question.material === 'wood' || question.material === 'unknown';
  const family = COLOUR_FAMILY[kind][hard ? 'metal' : 'plastic'];
  const primerFamily: Family = hard ? 'lacquer-primer' : 'water-acrylic';
  const first = question.colours[0];
  const shade = primerShade(question.colours.map((colour) => colour.lab));
  const primer: Omit<Layer, 'id'> = {
    wanted: { family: primerFamily, role: hard ? 'fine-primer' : 'primer', name: `primer, ${shade.name}`, lab: shade.lab },
    coats: 2,
    covers: 'all',
    ...(hard ? { flatAfter: 800 } : {}),
  };
  const colours = question.colours.map(({ covers, ...colour }, index) => {
    const ground = index === 0 || covers !== 'all' ? shade.lab : first.lab;
    const coats = coatsForColour(ground, colour.lab, hidingShare(colour.lab, colour.flake));
    return { wanted: { family, role: roleOf(colour), ...colour }, coats, covers };
  });
  const clear: Omit<Layer, 'id'>[] =
    kind === 'quickest'
      ? [
          {
            // Plastic takes the clear of its colour's own family: it fuses, where another would want a scuff first.
            wanted: { family: hard ? 'acrylic-lacquer' : family, role: 'clear', name: 'clear, satin', lab: NO_COLOUR, gloss: 30 },
            coats: 2,
            covers: 'all',
          },
        ]
      : [];
  return [...(question.material === 'wood' ? [SEALER] : []), primer, ...colours, ...clear];
}

/** What glitters is laid as a metallic. */
export function roleOf({ flake }: Pick<NamedColour, 'flake'>): 'colour' | 'metallic' {
  return flake ? 'metallic' : 'colour';
}

/**
 * The primer shade under these colours. Weak-hiding ones are asked first: yellow and orange want white, red wants white or
 * light grey (trade §7); among what they allow the shade that needs the fewest coats over all colours wins.
 */
function primerShade(colours: readonly Lab[]): { name: string; lab: Lab } {
  const coats = (lab: Lab) => colours.reduce((sum, colour) => sum + coatsToHide(lab, colour).coats + contrastOf(lab, colour) / 100, 0);
  const allowed = PRIMER_SHADES.filter((primer) => colours.every((colour) => groundSuits(primer.lab, colour)));
  return [...(allowed.length > 0 ? allowed : PRIMER_SHADES)].sort((a, b) => coats(a.lab) - coats(b.lab))[0];
}
