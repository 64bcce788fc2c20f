import { type RefObject, useEffect, useState } from 'react';

/** The sections of a long page as a list beside it: each is one press or a few tabs away. */
export function OnThisPage({ within, columns = false }: { within: RefObject<HTMLElement | null>; columns?: boolean }) {
  const [titles, setTitles] = useState<readonly string[]>([]);
  useEffect(() => {
    const page = within.current;
    if (!page) return;
    const read = () => {
      const found = [...page.querySelectorAll<HTMLElement>('[data-contents]')].map((section) => section.dataset.contents ?? '');
      setTitles((known) => (known.join('|') === found.join('|') ? known : found));
    };
    read();
    // Sections come and go with what is chosen and planned.
    const watch = new MutationObserver(read);
    watch.observe(page, { childList: true, subtree: true });
    return () => watch.disconnect();
  }, [within]);
  if (titles.length < FEW) return null;
  const go = (title: string) => {
    const section = within.current?.querySelector<HTMLElement>(`[data-contents="${CSS.escape(title)}"]`);
    const heading = section?.querySelector('button');
    if (heading?.getAttribute('aria-expanded') === 'false') heading.click();
    section?.scrollIntoView({ block: 'start' });
    heading?.focus({ preventScroll: true });
  };
  return (
    <nav aria-label="On this page" className="mt-4 border-t border-hairline pt-3 text-small">
      <p className="second pl-4">On this page</p>
      <ul className={columns ? 'columns-2' : ''}>
        {titles.map((title) => (
          <li key={title}>
            <button type="button" className="block min-h-8 w-full pl-4 text-left hover:underline" onClick={() => go(title)}>
              {title}
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/** With fewer sections than this there is nothing to look for. */
const FEW = 3;
