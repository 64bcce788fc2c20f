import { ChevronDown } from 'lucide-react';
import { type ReactNode, useId, useState } from 'react';
import { isFolded, keepFolded } from './folds.ts';

/** A section of a long page that folds to its heading, and stays so on this device; the contents of the page name it. */
export function FoldingSheet({
  title,
  className = '',
  inner = '',
  children,
}: {
  title: string;
  className?: string;
  inner?: string;
  children: ReactNode;
}) {
  const id = useId();
  const [folded, setFolded] = useState(() => isFolded(title));
  const fold = () => {
    keepFolded(title, !folded);
    setFolded(!folded);
  };
  return (
    <section className={`sheet ${className}`} aria-label={title} data-contents={title} id={id}>
      <h2>
        <button
          type="button"
          className="flex w-full items-center justify-between gap-2 text-left"
          aria-expanded={!folded}
          aria-controls={`${id}-in`}
          onClick={fold}
        >
          {title}
          <ChevronDown size={18} aria-hidden className={`shrink-0 ${folded ? '-rotate-90' : ''}`} />
        </button>
      </h2>
      <div id={`${id}-in`} hidden={folded} className={inner}>
        {children}
      </div>
    </section>
  );
}
