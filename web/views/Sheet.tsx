import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A sheet laid over the page: the same frame for what is entered, looked at or compared on it. Inside a `Dialog.Root`. */
export function Sheet({
  title,
  wide = false,
  closes = true,
  children,
}: {
  title: string;
  wide?: boolean;
  /** Whether it has a button to close it; a form brings its own. */
  closes?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 bg-black/40" />
      <Dialog.Content
        aria-describedby={undefined}
        className={`sheet fixed top-8 left-1/2 max-h-[90vh] max-w-[96vw] -translate-x-1/2 space-y-4 overflow-auto ${wide ? 'w-[1180px]' : 'w-[700px]'}`}
      >
        <Dialog.Title className="!text-title font-[750] text-ink">{title}</Dialog.Title>
        {children}
        {closes && (
          <Dialog.Close asChild>
            <button type="button" className="act">
              Close
            </button>
          </Dialog.Close>
        )}
      </Dialog.Content>
    </Dialog.Portal>
  );
}
