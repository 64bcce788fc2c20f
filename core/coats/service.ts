import { type Family, plain, type Service } from '#core/facts/index';
import { LACQUER_GROUP, WATER_TYPES } from './bite.ts';
import { type Finding, worseOf } from './jointTypes.ts';

/** What a part has to serve against the family of its last film (BRIEF §6, rule 8). Food is refused at the survey. */

const HEATPROOF: readonly Family[] = ['high-temperature'];
const FUELPROOF: readonly Family[] = ['urethane-2k', 'epoxy-primer', 'high-temperature'];
const FUEL_SOFTENS: readonly Family[] = ['alkyd-enamel', 'acrylic-enamel', 'rust-barrier', 'texture'];
const FADES: readonly Family[] = ['candy', 'dye', 'epoxy-primer', 'latex'];
const HARD: readonly Family[] = [
  'urethane-2k',
  'epoxy-primer',
  'alkyd-enamel',
  'acrylic-enamel',
  'rust-barrier',
  'texture',
  'high-temperature',
];

/** Judges the last film of a zone against one demand; null where it serves. */
function against(service: Service, family: Family): Finding | null {
  const name = plain(family);
  const say = (verdict: Finding['verdict'], text: string): Finding => ({ verdict, rule: '8 service', because: text });
  switch (service) {
    case 'heat':
      return HEATPROOF.includes(family)
        ? null
        : say('stop', `It gets hot in service: ${name} softens or burns. Only high-temperature paint stays.`);
    case 'fuel':
      if (FUELPROOF.includes(family)) return null;
      return FUEL_SOFTENS.includes(family)
        ? say('care', `Fuel and oil soften ${name}: wipe them off at once, or finish with 2K.`)
        : say('stop', `Fuel and oil dissolve ${name}: finish with a 2K urethane or an enamel.`);
    case 'sun':
      return FADES.includes(family)
        ? say('care', `In the sun ${name} fades or chalks: keep it indoors or cover it with a clear made for it.`)
        : null;
    case 'abrasion':
      return HARD.includes(family)
        ? null
        : say('care', `It is rubbed in service: ${name} is soft, an enamel or a clear over it lasts longer.`);
    case 'handling':
      return WATER_TYPES.includes(family) && !LACQUER_GROUP.includes(family)
        ? say('care', `It is handled: ${name} marks easily, a clear over it lasts longer.`)
        : null;
  }
}

/** The gravest finding of all demands on the last film; null where it serves them all. */
export function serviceFinding(services: readonly Service[], family: Family): Finding | null {
  const found = services.flatMap((service) => against(service, family) ?? []);
  return found.length === 0 ? null : found.reduce((a, b) => worseOf(a, b));
}
