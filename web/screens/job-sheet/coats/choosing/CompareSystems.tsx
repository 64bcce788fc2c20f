import type { Piece } from '#core/facts/index';
import type { Compared } from '#core/plan/index';
import { cautionsFor } from '#core/safety/index';
import { counted, durationText } from '#core/units/index';
import { Columns3 } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { Sheet } from '../../../../views/Sheet.tsx';
import { planner } from '../../../../workers/planner.ts';
import { usePieceSave } from '../../pieceChanges.ts';

/** Whole systems of paint on this piece, side by side; one is taken with a press, and undone. */
export function CompareSystems({ piece }: { piece: Piece }) {
  const [open, setOpen] = useState(false);
  /** One part alone in one coating or another; '': all of it. */
  const [partId, setPartId] = useState('');
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <button type="button" className="act mt-2 w-full !min-h-10">
          <Columns3 size={16} aria-hidden /> Compare whole systems
        </button>
      </Dialog.Trigger>
      <Sheet wide title={`${piece.name} in one system or another`}>
        <p className="second !mt-1">
          The same colours and coats, each as if the piece were alone on the bench. What is laid stays. Money beside what is on the shelf.
        </p>
        {piece.parts.length > 1 && (
          <Chips
            legend="On"
            options={[{ value: '', label: 'the whole piece' }, ...piece.parts.map(({ id, name }) => ({ value: id, label: name }))]}
            value={partId}
            onChange={setPartId}
          />
        )}
        <Table piece={piece} partId={partId || undefined} onTaken={() => setOpen(false)} />
      </Sheet>
    </Dialog.Root>
  );
}

function Table({ piece, partId, onTaken }: { piece: Piece; partId: string | undefined; onTaken: () => void }) {
  const { facts } = usePlan();
  const [systems, setSystems] = useState<readonly Compared[] | null>(null);
  useEffect(() => {
    let current = true;
    setSystems(null);
    void planner.compare(facts, nowMinute(), piece.id, partId).then((answer) => current && setSystems(answer));
    return () => {
      current = false;
    };
  }, [facts, piece.id, partId]);
  if (systems === null) return <p className="mt-4">Planning each of them …</p>;
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full align-top">
        <thead>
          <tr className="second text-left text-small [&>th]:pr-4 [&>th]:font-[400]">
            <th>System</th>
            <th className="text-right">To pay</th>
            <th className="text-right">By use</th>
            <th className="text-right">Likely, safe</th>
            <th className="text-right">At the bench</th>
            <th>Wears</th>
            <th>Shines</th>
            <th>Joints</th>
            <th>
              <span className="sr-only">Take</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {systems.map((system) => (
            <SystemRow key={system.id} piece={piece} system={system} onTaken={onTaken} />
          ))}
        </tbody>
      </table>
      <ul className="second mt-3 space-y-1 text-small">
        {cautionsFor(systems.flatMap(({ hazards }) => hazards).filter((hazard) => hazard in DANGERS)).map(({ hazard, text }) => (
          <li key={hazard}>{text}</li>
        ))}
      </ul>
    </div>
  );
}

/** What one system breathes out and another does not, in a word or two. */
const DANGERS: Partial<Record<Compared['hazards'][number], string>> = {
  isocyanate: 'isocyanates',
  epoxy: 'skin contact',
  acid: 'acid',
  solvent: 'solvent vapour',
  'airbrush-water': 'fine mist',
};

function SystemRow({ piece, system, onTaken }: { piece: Piece; system: Compared; onTaken: () => void }) {
  const words = useWords();
  const keep = usePieceSave();
  const { joints, stopped } = system;
  const dangers = system.hazards.flatMap((hazard) => DANGERS[hazard] ?? []);
  const days = (own: number | null) => (own === null ? '–' : own < 1 ? 'today' : counted(Math.round(own), 'day'));
  return (
    <tr className="border-t border-hairline [&>td]:py-2 [&>td]:pr-4 [&>td]:align-top">
      <td className="max-w-[300px]">
        <span className="font-[650] text-ink">{system.label}</span>
        <span className="second block text-small">{system.text}</span>
        {dangers.length > 0 && <strong className="block text-small text-ink">mind: {dangers.join(', ')}</strong>}
      </td>
      <td className="figure text-right">{words.money(system.money, system.about)}</td>
      <td className="figure text-right">{words.money(system.byUse, true)}</td>
      <td className="figure text-right">
        {days(system.likelyDays)}
        <span className="second block">{days(system.safeDays)}</span>
      </td>
      <td className="figure text-right">
        {durationText(system.minutes)}
        <span className="second block">{counted(system.sessions, 'session')}</span>
      </td>
      <td>{system.wears || '–'}</td>
      <td>{system.shines || '–'}</td>
      <td className="max-w-[220px] text-small">
        {joints.stop > 0 && <strong className="text-ink">{joints.stop} stop, </strong>}
        {joints.care > 0 && <strong className="text-ink">{joints.care} care, </strong>}
        {joints.sits} sit
        {stopped && <span className="second block">{stopped}</span>}
      </td>
      <td className="text-right">
        {system.piece && joints.stop === 0 && (
          <button
            type="button"
            className="chip"
            aria-label={`Take ${system.label}`}
            onClick={() => {
              void keep(withLayersOf(piece, system.piece), `${system.label}: every layer can be changed.`);
              onTaken();
            }}
          >
            Take
          </button>
        )}
        {!system.piece && <span className="second text-small">now</span>}
      </td>
    </tr>
  );
}

/** The piece as it stands, with the layers it would have; what else was changed meanwhile stays. */
function withLayersOf(piece: Piece, other: Piece | null): Piece {
  return {
    ...piece,
    parts: piece.parts.map((part) => ({ ...part, layers: other?.parts.find(({ id }) => id === part.id)?.layers ?? part.layers })),
  };
}
