import type { Family } from '#core/facts/index';
import { FAMILY_DRYING, familyDrying } from './families.ts';

/** What these say names no range that two families could share. */
const OF_ITS_OWN: readonly string[] = [FAMILY_DRYING['water-acrylic'].thinner, FAMILY_DRYING.dye.thinner, familyDrying('unknown').thinner];

/**
 * Whether a thinner made for one family belongs into another (trade §6 table, last column): its own, or one of the same range.
 * Alcohol-type acrylics take lacquer thinner besides their own.
 */
export function isOwnThinner(family: Family, thinner: Family): boolean {
  if (family === thinner) return true;
  const range = familyDrying(thinner).thinner;
  if (family === 'alcohol-acrylic' && range === FAMILY_DRYING['acrylic-lacquer'].thinner) return true;
  return familyDrying(family).thinner === range && !OF_ITS_OWN.includes(range);
}
