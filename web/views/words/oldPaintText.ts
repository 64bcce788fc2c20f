import type { Part } from '#core/facts/index';

/** What old paint a part came with. */
export function oldPaintText({ finish }: Pick<Part, 'finish'>): string {
  if (finish === 'bare') return 'no old paint';
  return `old paint ${finish === 'unknown' ? 'not known' : finish}`;
}
