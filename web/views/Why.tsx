import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

const SOURCES = {
  own: 'your own evidence',
  label: 'the label',
  default: 'the usual default for this family',
  guess: 'a guess, yours to change',
} as const;

/** A figure or word that can be asked why: what it comes from and what it rests on. */
export function Why({
  children,
  text,
  source,
  title,
}: {
  children: ReactNode;
  text: ReactNode;
  source?: keyof typeof SOURCES;
  title?: string;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button type="button" className="cursor-help text-left underline decoration-dotted decoration-1 underline-offset-4">
          {children}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} collisionPadding={12} className="sheet z-50 max-w-sm !border-ink !p-4 text-body" aria-label="Why">
          {title && <p className="mb-1 font-[650] text-ink">{title}</p>}
          <div>{text}</div>
          {source && <p className="second mt-2 text-small">Rests on {SOURCES[source]}.</p>}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
