import { Camera } from 'lucide-react';
import { FileInput } from './fields/FileInput.tsx';

/** A picture taken or chosen. */
export function AddPicture({ label, onFile }: { label: string; onFile: (file: File) => void }) {
  return (
    <label className="act cursor-pointer !min-h-10 focus-within:outline-2 focus-within:outline-accent">
      <Camera size={16} aria-hidden /> {label}
      <FileInput accept="image/*" className="sr-only" onFile={onFile} />
    </label>
  );
}
