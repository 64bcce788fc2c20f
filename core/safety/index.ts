import type { Family } from '#core/facts/index';

export { isPlanned, type StopRule, SURVEY_STOP_RULES, unplannedBecause } from './surveyStops.ts';

/** Cautions of trade §15: shown once beside the step, never behind a click. */

export type Hazard =
  | 'isocyanate'
  | 'epoxy'
  | 'solvent'
  | 'airbrush-water'
  | 'lead'
  | 'caustic'
  | 'gel'
  | 'chlorinated'
  | 'acid'
  | 'dust'
  | 'sharp'
  | 'rags'
  | 'toy'
  | 'mains'
  | 'heat'
  | 'celluloid'
  | 'magnesium'
  | 'spring'
  | 'waste';

export const CAUTIONS: Record<Hazard, string> = {
  isocyanate: 'Isocyanates: supplied air or professional spraying, no skin contact, others out of the room. Fresh sanding dust counts too.',
  epoxy: 'Epoxy makes skin allergic: gloves, sleeves, vapour mask.',
  solvent: 'Solvent vapour: door and window open, organic-vapour mask (a beard breaks the seal), no flame, heater, spark or pilot light.',
  'airbrush-water': 'Paint mist: particle mask P2 or P3.',
  lead: 'Old paint may hold lead: no dry sanding, blasting, heat or power brush. Work wet, wash, keep children away. Only a laboratory or XRF clears it.',
  caustic:
    'Caustic: face shield, gauntlets, outdoors, plastic tub. Lye into cold water, never water into lye. Eyes: 20 min water and medical help.',
  gel: 'Stripper eats thin gloves: the right gloves, changed often, goggles, fresh air.',
  chlorinated: 'Chlorinated remover is banned in places: outdoors or not at all; nitrile fails in minutes.',
  acid: 'Acid: goggles, gloves, rinse. Keep from bleach and caustic.',
  dust: 'Dust: P3 mask, sand wet, vacuum with a HEPA filter.',
  sharp: 'Clamp the piece, never hold it in the palm; eye protection.',
  rags: 'Oily rags can catch fire by themselves: single layer outdoors, or wet in a lidded tin.',
  toy: 'A repainted toy is not for small children: coating and small parts no longer meet toy rules.',
  mains:
    'Mains: unplugged. Keep insulation, vents and warning labels, mask earth tags and their seats. A licensed technician tests before power.',
  heat: 'Hot water and ovens: gloves; an oven of its own, vented, no gas or glowing element, only after flash-off.',
  celluloid: 'Celluloid burns fiercely: no heat, no spark, no solvent.',
  magnesium: 'Magnesium dust burns and water feeds it: no dry sanding, no acid, no caustic.',
  spring: 'Let springs down before anything is opened; eye protection.',
  waste: 'Sludge and thinner never go down the drain: local hazardous-waste point.',
};

export const DEFER = 'Follow the product’s label and safety data sheet, local rules, and a licensed professional where work calls for one.';

export type Caution = { readonly hazard: Hazard; readonly text: string };

export function cautionsFor(hazards: Iterable<Hazard>): Caution[] {
  return [...new Set(hazards)].map((hazard) => ({ hazard, text: CAUTIONS[hazard] }));
}

const WATER: readonly Family[] = ['water-acrylic', 'waterborne-base', 'waterborne-sealer', 'latex'];

/** Whether a film of this family gives off solvent or hardener as it dries. */
export function isSolventBorne(family: Family): boolean {
  return !WATER.includes(family);
}

/** Hazards of laying a coat of this family by this hand. */
export function coatHazards(family: Family, hand: string, isocyanate: boolean): Hazard[] {
  const hazards: Hazard[] = [];
  if (isocyanate || family === 'urethane-2k') hazards.push('isocyanate');
  if (family === 'epoxy-primer') hazards.push('epoxy');
  if (family === 'etch-primer') hazards.push('acid');
  if (WATER.includes(family)) {
    if (hand === 'airbrush' || hand === 'gun') hazards.push('airbrush-water');
    if (hand === 'aerosol') hazards.push('solvent');
  } else hazards.push('solvent');
  if (family === 'alkyd-enamel' || family === 'nitro-lacquer') hazards.push('rags');
  return hazards;
}
