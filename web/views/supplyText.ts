import type { SupplyUnit } from '#core/facts/index';
import { counted } from '#core/units/index';

/** "5 sheets", "4.2 m": an amount in the unit of its kind. */
export function supplyText(amount: number, unit: SupplyUnit): string {
  const rounded = Math.round(amount * 10) / 10;
  return unit === 'm' || unit === 'mL' ? `${rounded} ${unit}` : counted(rounded, unit);
}
