import { plain } from '#core/facts/index';
import { bareResistance, biteOf, ENAMELS, filmResistance, isPlastic, KIND_TO } from './bite.ts';
import type { Above, Below, Finding } from './jointTypes.ts';

/** Bite less resistance: ≤ 0 sits, 1 care, 2 and more stop. */
export type BiteFinding = Finding & { readonly margin: number };

/** Rule 5: bite against resistance, for dry or cured films and for substrates. */
export function biteAgainstResistance(below: Below, above: Above): BiteFinding {
  const bite = totalBite(below, above);
  const { resistance, what } = resistanceOf(below, above);
  const margin = bite - resistance;
  const exception = exceptionTo(below, above);
  const byNumbers = verdictOf(margin, `bite ${bite} against resistance ${resistance} of ${what}`, above);
  if (exception === null) return byNumbers;
  // Where the film itself is excepted, the plastic below it still counts.
  const throughIt = isPlastic(below.material) && bite > plasticResistance(below, above) + 1;
  return throughIt ? byNumbers : { ...exception, margin };
}

function verdictOf(margin: number, numbers: string, above: Above): BiteFinding {
  if (margin <= 0) return { verdict: 'sits', rule: '5 bite', because: `It does not attack: ${numbers}.`, margin };
  if (margin === 1 || above.coat === 'mist') {
    const mend = above.coat === 'mist' ? 'the mist coats must flash off well' : 'mist coats, long flash, a sample board first';
    return { verdict: 'care', rule: '5 bite', because: `It softens what is below (${numbers}): ${mend}.`, margin };
  }
  return { verdict: 'stop', rule: '5 bite', because: `It will lift, craze or wrinkle what is below: ${numbers}.`, margin };
}

/** The higher of paint and thinner; a heavy wet coat adds 1; sanding opens a young enamel film and adds 1. */
export function totalBite(below: Below, above: Above): number {
  const paint = biteOf(above.family, above.by);
  const thinner = above.thinner === undefined ? 0 : biteOf(above.thinner);
  const wet = above.coat === 'wet' ? 1 : 0;
  const young =
    below.family !== null && ENAMELS.includes(below.family) && below.scuffed && below.state !== 'cured' && below.family !== above.family
      ? 1
      : 0;
  return Math.max(paint, thinner) + wet + young;
}

/** Of the bare material; a product made for plastics bites 1 less there. */
function plasticResistance(below: Below, above: Above): number {
  return bareResistance(below.material) + (above.forPlastics && KIND_TO.includes(below.material) ? 1 : 0);
}

function resistanceOf(below: Below, above: Above): { resistance: number; what: string } {
  const bare = plasticResistance(below, above);
  if (below.family === null) return { resistance: bare, what: `bare ${plain(below.material)}` };
  const film = below.resistance ?? filmResistance(below.family, below.state === 'cured');
  const name = plain(below.family);
  // Through a film the solvent still reaches plastic: it is spared by one step.
  if (isPlastic(below.material) && bare + 1 < film) return { resistance: bare + 1, what: `${plain(below.material)} under its ${name}` };
  return { resistance: film, what: `${below.state} ${name}` };
}

/** Exceptions of rule 5 that painters agree on. */
function exceptionTo(below: Below, above: Above): Finding | null {
  if (below.family === null || below.state !== 'cured') return null;
  const twoPack = above.family === 'urethane-2k' || above.family === 'epoxy-primer';
  if (twoPack && ENAMELS.includes(below.family)) {
    return { verdict: 'care', rule: '5 exception', because: `2K over cured ${plain(below.family)} mostly holds: a board first.` };
  }
  if (above.family === 'urethane-2k' && below.family === 'acrylic-lacquer' && below.scuffed) {
    return { verdict: 'sits', rule: '5 exception', because: '2K sits over cured, scuffed acrylic lacquer.' };
  }
  return null;
}
