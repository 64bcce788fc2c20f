import { Command } from 'cmdk';
import { Dialog, VisuallyHidden } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { DESTINATIONS } from './Header.tsx';
import { SECTION_NAMES } from '../../screens/job-sheet/sectionNames.ts';
import { usePlan } from '../plan/PlanContext.tsx';
import { FoundRows } from './FoundRows.tsx';
import { Row } from './PaletteRow.tsx';
import { applyTheme } from './theme.ts';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K or /', 'find a screen, a piece, a part, a paint or an entry'],
  ['g then b p d s y c l w', 'to bench, pieces, drying board, shelf, buying, colour, log, workshop'],
  ['n', 'new piece'],
  ['Enter on Tonight', 'start at the bench'],
  ['1 2 3 at the bench', 'done, wait, trouble'],
  ['?', 'this list'],
];

/** Ctrl K navigates, ? lists the keys, g and a letter jumps. */
export function Palette() {
  const [open, setOpen] = useState<'find' | 'keys' | null>(null);
  const [typed, setTyped] = useState('');
  const navigate = useNavigate();
  const { facts } = usePlan();

  useEffect(() => {
    let jumping = false;
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select, [contenteditable]');
      if (event.key === 'k' && (event.ctrlKey || event.metaKey)) {
        event.preventDefault();
        setOpen('find');
      } else if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      else if (event.key === '/') {
        event.preventDefault();
        setOpen('find');
      } else if (event.key === '?') setOpen('keys');
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

  const go = (to: string) => {
    setOpen(null);
    setTyped('');
    navigate(to);
  };
  return (
    <Dialog.Root open={open !== null} onOpenChange={(next) => setOpen(next ? open : null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" />
        <Dialog.Content aria-describedby={undefined} className="sheet fixed top-24 left-1/2 w-[560px] max-w-[92vw] -translate-x-1/2">
          <VisuallyHidden.Root>
            <Dialog.Title>{open === 'keys' ? 'Keys' : 'Find'}</Dialog.Title>
          </VisuallyHidden.Root>
          {open === 'keys' ? (
            <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
              {KEYS.map(([keys, does]) => (
                <div key={keys} className="contents">
                  <dt className="figure text-ink">{keys}</dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          ) : (
            <Command label="Find a screen, a piece, a part, a paint or an entry">
              <Command.Input
                autoFocus
                className="field text-lead"
                placeholder="Where to, or what?"
                value={typed}
                onValueChange={setTyped}
              />
              <Command.List className="mt-3 max-h-80 overflow-auto">
                <Command.Empty className="second p-3">Nothing by that name.</Command.Empty>
                <FoundRows typed={typed} onGo={go} />
                {DESTINATIONS.map(({ to, name }) => (
                  <Row key={to} onSelect={() => go(to)}>
                    {name}
                  </Row>
                ))}
                <Row onSelect={() => go('/pieces/new')}>New piece</Row>
                {facts.pieces.map((piece) => (
                  <Row key={piece.id} onSelect={() => go(`/pieces/${piece.id}/coats`)}>
                    {piece.name}
                  </Row>
                ))}
                {facts.pieces.flatMap((piece) =>
                  SECTION_NAMES.map(({ key, name }) => (
                    <Row key={`${piece.id} ${key}`} onSelect={() => go(`/pieces/${piece.id}/${key}`)}>
                      {`${piece.name}: ${name}`}
                    </Row>
                  )),
                )}
                {(['light', 'dark', 'system'] as const).map((theme) => (
                  <Row
                    key={theme}
                    onSelect={() => {
                      applyTheme(theme);
                      setOpen(null);
                    }}
                  >
                    {theme === 'system' ? 'Light or dark as the system' : `${theme === 'light' ? 'Light' : 'Dark'} page`}
                  </Row>
                ))}
              </Command.List>
            </Command>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
