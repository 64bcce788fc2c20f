import { hexOf } from '#core/colour/index';
import type { Lab } from '#core/facts/index';

/** Paint is the only colour on a page: a strip, or a chip with a hairline round it. */
export function PaintStrip({ lab, className = 'h-8 w-[10px]' }: { lab: Lab | null; className?: string }) {
  return (
    <span
      aria-hidden
      className={`inline-block shrink-0 border border-black/25 ${className}`}
      style={{ background: lab ? hexOf(lab) : 'transparent' }}
    />
  );
}
