import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { DESTINATIONS } from './Header.tsx';

const loaded = () => import('./finding/PaletteDialog.tsx');
const PaletteDialog = lazy(async () => ({ default: (await loaded()).PaletteDialog }));
/** Fetched behind the first page, so that it is there when it is asked for. */
const FETCHED_AFTER_MS = 1500;

/** Ctrl K finds, ? lists the keys, g and a letter jumps. */
export function Palette() {
  const [open, setOpen] = useState<'find' | 'keys' | null>(null);
  const navigate = useNavigate();
  /** Typed before the field was there, Enter as a new line; null while nothing is looked for. Known at once, not with the next drawing. */
  const early = useRef<string | null>(null);

  useEffect(() => {
    const timer = setTimeout(() => void loaded(), FETCHED_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);

  useEffect(() => {
    let jumping = false;
    const find = (event: KeyboardEvent) => {
      event.preventDefault();
      early.current = '';
      setOpen('find');
    };
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select, [contenteditable]');
      if (event.key === 'k' && (event.ctrlKey || event.metaKey)) find(event);
      else if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      else if (early.current !== null) {
        if (event.key.length === 1 || event.key === 'Enter') early.current += event.key === 'Enter' ? '\n' : event.key;
      } else if (event.key === '/') find(event);
      else if (event.key === '?') setOpen('keys');
      else if (jumping) {
        jumping = false;
        const target = DESTINATIONS.find(({ key }) => key === event.key);
        if (target) navigate(target.to);
      } else if (event.key === 'g') jumping = true;
      else if (event.key === 'n') navigate('/pieces/new');
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [navigate]);

  const close = () => {
    early.current = null;
    setOpen(null);
  };
  if (open === null) return null;
  return (
    <Suspense>
      <PaletteDialog
        shows={open}
        begun={() => early.current ?? ''}
        onClose={close}
        onGo={(to) => {
          close();
          navigate(to);
        }}
      />
    </Suspense>
  );
}
