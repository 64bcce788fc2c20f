import { Trash2 } from 'lucide-react';

/** Takes one thing off a list; what it was is said to those who cannot see it. */
export function RemoveButton({ what, onRemove }: { what: string; onRemove: () => void }) {
  return (
    <button type="button" className="p-2" aria-label={`Remove ${what}`} onClick={onRemove}>
      <Trash2 size={16} aria-hidden />
    </button>
  );
}
