import { Popover } from 'radix-ui';
import type { ReactNode, RefObject } from 'react';

/** The answer beside what was asked; shut by Escape, by a press elsewhere, or by asking once more. */
export function WhyPopover({
  asked,
  onShut,
  children,
}: {
  asked: RefObject<HTMLButtonElement | null>;
  onShut: () => void;
  children: ReactNode;
}) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onShut()}>
      <Popover.Anchor virtualRef={asked as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="sheet z-50 max-w-sm !border-ink !p-4 text-body"
          aria-label="Why"
          onInteractOutside={(event) => {
            // Its own press shuts it already.
            if (asked.current?.contains(event.target as Node)) event.preventDefault();
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            asked.current?.focus();
          }}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
