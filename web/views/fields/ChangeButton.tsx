/** Opens what was entered to be changed, and shuts it again. */
export function ChangeButton({ what, open, onOpen }: { what: string; open: boolean; onOpen: (open: boolean) => void }) {
  return (
    <button
      type="button"
      className="linklike min-h-10 px-2 text-small"
      aria-expanded={open}
      aria-label={`Change ${what}`}
      onClick={() => onOpen(!open)}
    >
      {open ? 'Leave it' : 'Change'}
    </button>
  );
}
