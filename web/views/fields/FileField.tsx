import { FileInput } from './FileInput.tsx';

/** A file chosen by hand, under its label. */
export function FileField({
  label,
  accept,
  className = '',
  onFile,
}: {
  label: string;
  accept: string;
  className?: string;
  onFile: (file: File) => void;
}) {
  return (
    <label className="block">
      <span className="mb-1 block font-[650]">{label}</span>
      <FileInput accept={accept} className={`field !p-2 ${className}`} onFile={onFile} />
    </label>
  );
}
