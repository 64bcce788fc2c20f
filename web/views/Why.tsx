import { lazy, type ReactNode, Suspense, useEffect, useRef, useState } from 'react';

const loaded = () => import('./WhyPopover.tsx');
const WhyPopover = lazy(async () => ({ default: (await loaded()).WhyPopover }));
/** Fetched behind the page, so that it is there when somebody asks. */
const FETCHED_AFTER_MS = 1500;

const SOURCES = {
  own: 'your own evidence',
  label: 'the label',
  default: 'the usual default for this family',
  guess: 'a guess, yours to change',
} as const;

/** A figure or word that can be asked why: what it comes from and what it rests on. */
export function Why({
  children,
  text,
  source,
  title,
}: {
  children: ReactNode;
  text: ReactNode;
  source?: keyof typeof SOURCES;
  title?: string;
}) {
  const [open, setOpen] = useState(false);
  const asked = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    const timer = setTimeout(() => void loaded(), FETCHED_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <>
      <button
        ref={asked}
        type="button"
        className="cursor-help text-left underline decoration-dotted decoration-1 underline-offset-4"
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {children}
      </button>
      {open && (
        <Suspense>
          <WhyPopover asked={asked} onShut={() => setOpen(false)}>
            {title && <p className="mb-1 font-[650] text-ink">{title}</p>}
            <div>{text}</div>
            {source && <p className="second mt-2 text-small">Rests on {SOURCES[source]}.</p>}
          </WhyPopover>
        </Suspense>
      )}
    </>
  );
}
