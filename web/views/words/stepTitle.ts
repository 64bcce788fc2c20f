import type { PlannedStep } from '#core/plan/index';

/** A step as it stands in a row: a coat past its window is keyed first, and says so. */
export function stepTitle({ title, placed, coat }: PlannedStep): string {
  return placed?.scuff && coat ? `Scuff, then ${title[0].toLowerCase()}${title.slice(1)}` : title;
}
