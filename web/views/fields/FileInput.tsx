/** The bare choice of a file; the same one may be chosen again at once. */
export function FileInput({ accept, className, onFile }: { accept: string; className: string; onFile: (file: File) => void }) {
  return (
    <input
      type="file"
      accept={accept}
      className={className}
      onChange={(event) => {
        const file = event.target.files?.[0];
        event.target.value = '';
        if (file) onFile(file);
      }}
    />
  );
}
