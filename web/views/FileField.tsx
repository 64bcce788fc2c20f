/** A file chosen by hand; the same one may be chosen again at once. */
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
      <input
        type="file"
        accept={accept}
        className={`field !p-2 ${className}`}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
