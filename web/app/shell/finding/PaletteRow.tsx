import { Command } from 'cmdk';
import type { ReactNode } from 'react';

/** One thing the palette goes to. `value`: what it is sifted by, where that is not what it shows. */
export function Row({ children, value, onSelect }: { children: ReactNode; value?: string; onSelect: () => void }) {
  return (
    <Command.Item
      className="cursor-pointer px-3 py-2 data-[selected=true]:bg-quiet data-[selected=true]:font-[650]"
      onSelect={onSelect}
      value={value}
    >
      {children}
    </Command.Item>
  );
}
