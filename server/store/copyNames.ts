import { join } from 'node:path';

/** Copies lie beside the workshop: one a day, and one before whatever changes everything. */
export const CHANGES = ['import', 'restore', 'upgrade', 'reset'] as const;
export type Change = (typeof CHANGES)[number];

export function copiesFolder(folder: string): string {
  return join(folder, 'copies');
}

/** `stamp`: the moment as ISO text. */
export function dailyName(stamp: string): string {
  return `daily-${stamp.slice(0, 10)}.sqlite`;
}

export function beforeName(change: Change, stamp: string): string {
  return `before-${change}-${stamp.replace(/[-:]/g, '').replace(/\.\d+/, '')}.sqlite`;
}
