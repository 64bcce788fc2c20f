import { glossOf, sheenName } from '#core/coats/index';
import { colourDifference } from '#core/colour/index';
import type { Facts, Product } from '#core/facts/index';

/** Whether nobody would see or feel that one paint was taken for another. */
export function servesAs(to: Product, from: Product, { sheets }: Facts): boolean {
  const [own, other] = [to, from].map(({ sheetId }) => sheets.find(({ id }) => id === sheetId));
  if (!own || !other || own.role !== other.role) return false;
  if (own.role.endsWith('primer')) return true;
  const [sheen, wanted] = [own, other].map(({ family, role, label }) => sheenName(glossOf(family, role, label).gloss));
  return sheen === wanted && (own.role === 'clear' || colourDifference(to.lab, from.lab) < SAME_COLOUR);
}

/** Nobody sees less, ΔE2000 (trade §10). */
export const SAME_COLOUR = 2;
