import { Slider } from 'radix-ui';
import { useState } from 'react';

/** Before on the left, after on the right, the seam moved by hand or by arrow keys. */
export function BeforeAfter({ before, after, ratio, side }: { before: string; after: string; ratio: number; side: string }) {
  const [share, setShare] = useState(50);
  return (
    <div>
      <div className="relative overflow-hidden border border-hairline" style={{ aspectRatio: ratio }}>
        <img src={after} alt={`After, ${side}`} className="absolute inset-0 h-full w-full object-cover" />
        <img
          src={before}
          alt={`Before, ${side}`}
          className="absolute inset-0 h-full w-full object-cover"
          style={{ clipPath: `inset(0 ${100 - share}% 0 0)` }}
        />
        <span
          aria-hidden
          className="absolute inset-y-0 w-[3px] -translate-x-1/2 bg-white mix-blend-difference"
          style={{ left: `${share}%` }}
        />
        <span className="absolute top-2 left-2 bg-sheet px-2 text-small text-ink">before</span>
        <span className="absolute top-2 right-2 bg-sheet px-2 text-small text-ink">after</span>
      </div>
      <Slider.Root
        className="relative mt-2 flex h-11 touch-none items-center"
        value={[share]}
        onValueChange={([value]) => setShare(value)}
        max={100}
        step={1}
      >
        <Slider.Track className="relative h-1 grow bg-hairline">
          <Slider.Range className="absolute h-full bg-ink" />
        </Slider.Track>
        <Slider.Thumb className="block size-6 rounded-[3px] border-2 border-ink bg-sheet" aria-label="How much of before" />
      </Slider.Root>
    </div>
  );
}
