import { Command } from 'cmdk';
import { Dialog, VisuallyHidden } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { usePlan } from '../../plan/PlanContext.tsx';
import { applyTheme } from '../theme.ts';
import { named, PlaceFinder } from './findPlaces.ts';
import { FoundRows } from './FoundRows.tsx';
import { Row } from './PaletteRow.tsx';
import { PIECE_PLACES, PLACES } from './places.ts';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K or /', 'find a screen, a piece, a part, a paint or an entry'],
  ['g then b p d s y c l w', 'to bench, pieces, drying board, shelf, buying, colour, log, workshop'],
  ['n', 'new piece'],
  ['Enter on Tonight', 'start at the bench'],
  ['1 2 3 at the bench', 'done, wait, trouble'],
  ['?', 'this list'],
];
const THEMES = [
  { theme: 'light', name: 'Light page' },
  { theme: 'dark', name: 'Dark page' },
  { theme: 'system', name: 'Light or dark as the system' },
] as const;

type PaletteProps = {
  readonly shows: 'find' | 'keys';
  /** What was typed before the field was there, Enter as a new line. */
  readonly begun: () => string;
  readonly onClose: () => void;
  readonly onGo: (to: string) => void;
};

export function PaletteDialog({ shows, begun, onClose, onGo }: PaletteProps) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content aria-describedby={undefined} className="sheet fixed z-50 top-24 left-1/2 w-[560px] max-w-[92vw] -translate-x-1/2">
          <VisuallyHidden.Root>
            <Dialog.Title>{shows === 'keys' ? 'Keys' : 'Find'}</Dialog.Title>
          </VisuallyHidden.Root>
          {shows === 'keys' ? <Keys /> : <Find begun={begun} onGo={onGo} onClose={onClose} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Keys() {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
      {KEYS.map(([keys, does]) => (
        <div key={keys} className="contents">
          <dt className="figure text-ink">{keys}</dt>
          <dd>{does}</dd>
        </div>
      ))}
    </dl>
  );
}

function Find({ begun, onGo, onClose }: Omit<PaletteProps, 'shows'>) {
  const [typed, setTyped] = useState(() => begun().split('\n')[0]);
  const rows = usePlaces(typed);
  const { facts } = usePlan();
  const pieces = facts.pieces.filter(({ name }) => name.toLowerCase().includes(typed.trim().toLowerCase()));
  const first = pieces.length > 0 && typed.trim() !== '' ? `/pieces/${pieces[0].id}/coats` : rows[0]?.to;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was pressed before the field was there is done once
  useEffect(() => {
    if (begun().includes('\n') && first) onGo(first);
  }, []);
  return (
    <Command label="Find a screen, a piece, a part, a paint or an entry" shouldFilter={false}>
      <Command.Input autoFocus className="field text-lead" placeholder="Where to, or what?" value={typed} onValueChange={setTyped} />
      <Command.List className="mt-3 max-h-80 overflow-auto">
        <Command.Empty className="second p-3">Nothing by that name. Say it in other words, or look it up in the log.</Command.Empty>
        {typed.trim() !== '' && <PieceRows pieces={pieces.slice(0, MOST_NAMED)} onGo={onGo} />}
        {rows.map(({ name, of, to }) => (
          <Row key={`${name} ${to}`} value={`${name} ${to}`} onSelect={() => onGo(to)}>
            {name}
            {of && <span className="second"> · {of}</span>}
          </Row>
        ))}
        <FoundRows typed={typed} onGo={onGo} />
        {typed.trim() === '' && <PieceRows pieces={facts.pieces} onGo={onGo} />}
        {THEMES.filter(({ name }) => name.toLowerCase().includes(typed.trim().toLowerCase())).map(({ theme, name }) => (
          <Row
            key={theme}
            value={name}
            onSelect={() => {
              applyTheme(theme);
              onClose();
            }}
          >
            {name}
          </Row>
        ))}
      </Command.List>
    </Command>
  );
}

const MOST_NAMED = 3;

function PieceRows({ pieces, onGo }: { pieces: readonly { id: string; name: string }[]; onGo: (to: string) => void }) {
  return pieces.map(({ id, name }) => (
    <Row key={id} value={`piece ${id}`} onSelect={() => onGo(`/pieces/${id}/coats`)}>
      {name}
    </Row>
  ));
}

type PlaceRow = { readonly name: string; readonly of: string | null; readonly to: string };

/** Places by what was typed, those of the piece named or at hand with its name; with nothing typed all of them. */
function usePlaces(typed: string): readonly PlaceRow[] {
  const { facts, plan } = usePlan();
  const { pathname } = useLocation();
  const open = /^\/pieces\/([^/]+)\//.exec(pathname)?.[1];
  const next = plan.steps.find(({ placed }) => placed)?.pieceId;
  const piece =
    named(facts.pieces, typed) ??
    facts.pieces.find(({ id }) => id === open) ??
    facts.pieces.find(({ id }) => id === next) ??
    facts.pieces[0];
  const places = useMemo(() => [...(piece ? PIECE_PLACES : []), ...PLACES], [piece]);
  const finder = useMemo(() => new PlaceFinder(places), [places]);
  const found = typed.trim() === '' ? places : finder.find(typed);
  return found.map(({ name, to }) => {
    const ofPiece = to.includes(':piece');
    return { name, of: ofPiece && piece ? piece.name : null, to: piece ? to.replace(':piece', piece.id) : to };
  });
}
