import { Camera } from 'lucide-react';

/** A picture taken or chosen; the same one may be chosen again at once. */
export function AddPicture({ label, onFile }: { label: string; onFile: (file: File) => void }) {
  return (
    <label className="act cursor-pointer !min-h-10 focus-within:outline-2 focus-within:outline-accent">
      <Camera size={16} aria-hidden /> {label}
      <input
        type="file"
        accept="image/*"
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
