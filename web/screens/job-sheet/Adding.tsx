import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';

/** A form that is opened when it is wanted: a list is read more often than it grows. */
export function Adding({ label, children }: { label: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="act mt-3 !min-h-10" aria-expanded={open} onClick={() => setOpen(!open)}>
        <Plus size={16} aria-hidden /> {label}
      </button>
      {open && children}
    </>
  );
}
