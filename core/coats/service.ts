import { type Family, plain, type Service } from '#core/facts/index';
import { LACQUER_GROUP, WATER_TYPES } from './joints/bite.ts';
import { type Finding, worseOf } from './joints/jointTypes.ts';

/** What a part has to serve against the family of its last film (trade §6, rule 8). Food is refused at the survey. */

/** The hottest a face gets, and the hottest its paint's label bears, °C; absent where nobody has said. */
export type HeatQuestion = { readonly serviceC?: number; readonly heatC?: number };

/** Up to here any paint serves; and what heat paints usually bear, °C. */
const WARM_C = 60;
const USUAL_HEATPROOF_C = 600;
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
function against(service: Service, family: Family, heat: HeatQuestion): Finding | null {
  const name = plain(family);
  const say = (verdict: Finding['verdict'], text: string): Finding => ({ verdict, rule: '8 service', because: text });
  switch (service) {
    case 'heat':
      return againstHeat(family, heat, say);
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

/** What the label of a heat paint has to say where the face's temperature is known. */
function againstHeat(
  family: Family,
  { serviceC, heatC }: HeatQuestion,
  say: (verdict: Finding['verdict'], text: string) => Finding,
): Finding | null {
  const name = plain(family);
  if (heatC !== undefined && serviceC !== undefined)
    return heatC >= serviceC ? null : say('stop', `It gets ${serviceC} °C hot in service; the label of this ${name} bears ${heatC} °C.`);
  if (serviceC !== undefined && serviceC <= WARM_C) return null;
  if (!HEATPROOF.includes(family))
    return say('stop', `It gets hot in service: ${name} softens or burns. Only high-temperature paint stays.`);
  return serviceC !== undefined && serviceC > USUAL_HEATPROOF_C
    ? say('care', `It gets ${serviceC} °C hot: high-temperature paint usually bears ${USUAL_HEATPROOF_C} °C. Its label says how much.`)
    : null;
}

/** The gravest finding of all demands on the last film; null where it serves them all. */
export function serviceFinding(services: readonly Service[], family: Family, heat: HeatQuestion = {}): Finding | null {
  const found = services.flatMap((service) => against(service, family, heat) ?? []);
  return found.length === 0 ? null : found.reduce((a, b) => worseOf(a, b));
}
