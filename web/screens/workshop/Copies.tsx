import { counted, toMinute } from '#core/units/index';
import { History } from 'lucide-react';
import { toast } from 'sonner';
import type { Copy } from '../../api/answers.ts';
import { useCopiesQuery, useSetAsideQuery } from '../../api/workshopApi.ts';
import { restoreCopy } from '../../app/writing/restoring.ts';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** The copies beside the workshop: what is in each, and back to it. */
export function Copies() {
  const { data: copies = [], isLoading } = useCopiesQuery();
  return (
    <FoldingSheet title="Copies">
      <p className="mt-2">
        The workshop’s file was checked when it was opened, and is whole. Of it one copy a day is kept fourteen days, and one is made before
        an import or before going back. They lie in the folder of the workshop.
      </p>
      {copies.length === 0 && (
        <p className="second mt-3">{isLoading ? 'Looking for copies …' : 'None yet: today’s is made within the hour.'}</p>
      )}
      <ul className="mt-3">
        {copies.map((copy) => (
          <CopyRow key={copy.name} copy={copy} />
        ))}
      </ul>
      <SetAside />
    </FoldingSheet>
  );
}

const KINDS: readonly (readonly [start: string, name: string])[] = [
  ['daily', 'of the day'],
  ['before-import', 'before an import'],
  ['before-restore', 'before going back'],
  ['before-upgrade', 'before a new version'],
  ['before-reset', 'before the demo began again'],
];

function CopyRow({ copy }: { copy: Copy }) {
  const words = useWords();
  const kind = KINDS.find(([start]) => copy.name.startsWith(start))?.[1] ?? '';
  const at = toMinute(copy.at);
  const restore = () =>
    void restoreCopy(copy.name).then((restored) => {
      if (!restored) return;
      const { before, setAside } = restored;
      const aside = setAside > 0 ? ` ${counted(setAside, 'fact or entry', 'facts or entries')} of it could not be read and lie aside.` : '';
      toast(`Back to ${words.moment(at)}.${aside}`, { action: { label: 'Undo', onClick: () => void restoreCopy(before) } });
    });
  return (
    <li className="flex items-center gap-3 border-t border-hairline py-2">
      <span className="min-w-0 flex-1">
        <span className="figure">{words.moment(at)}</span> {kind}
        <span className="second block text-small">
          {copy.holds
            ? `${counted(copy.holds.pieces, 'piece')}, ${counted(copy.holds.events, 'entry')}, ${counted(copy.holds.pictures, 'picture')}`
            : 'of an earlier version, or not to be read'}
          {' · '}
          {sizeText(copy.bytes)}
        </span>
      </span>
      <button
        type="button"
        className="act !min-h-10 shrink-0"
        aria-label={`Go back to the copy of ${words.moment(at)}, ${kind}`}
        onClick={restore}
      >
        <History size={18} aria-hidden /> Go back
      </button>
    </li>
  );
}

function sizeText(bytes: number): string {
  return bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

/** What could not be read when the workshop was opened. */
function SetAside() {
  const { state } = usePlan();
  const { data: aside = [] } = useSetAsideQuery(undefined, { skip: state.setAside === 0 });
  if (aside.length === 0) return null;
  const file = `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(aside, null, 1))}`;
  return (
    <div className="mt-4 border-t border-hairline pt-3">
      <h3>Could not be read</h3>
      <ul className="mt-2 text-small">
        {aside.map((own) => (
          <li key={`${own.collection} ${own.id}`} className="py-1">
            {own.collection}, {own.id}: {own.why}
          </li>
        ))}
      </ul>
      <a className="act mt-2" href={file} download="set-aside.json">
        Take them out as they are
      </a>
    </div>
  );
}
