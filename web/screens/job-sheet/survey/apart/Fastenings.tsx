import { type Fastening, type Piece, plain } from '#core/facts/index';
import { fitLeft } from '#core/coats/index';
import type { PieceView } from '#core/plan/index';
import { useState } from 'react';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { FasteningForm } from './FasteningForm.tsx';
import { usePieceSave } from '../../pieceChanges.ts';

/** What holds the parts together, and how each goes back. */
export function Fastenings({ piece, view }: { piece: Piece; view: PieceView }) {
  const save = usePieceSave();
  const [editing, setEditing] = useState<Fastening | 'new' | null>(null);
  const fastenings = piece.fastenings ?? [];
  const nameOf = (id: string | undefined) => piece.parts.find((part) => part.id === id)?.name ?? 'the frame';
  const keep = (changed: readonly Fastening[], said: string) => void save({ ...piece, fastenings: [...changed] }, said);
  return (
    <section className="sheet !p-4" aria-label="Fastenings">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2>Held together by</h2>
        {editing === null && (
          <button type="button" className="act !min-h-10" onClick={() => setEditing('new')}>
            Add a fastening
          </button>
        )}
      </div>
      {fastenings.length === 0 && editing === null && (
        <p className="second mt-2">Nothing noted yet. Screws, tabs, riveted posts, glue: with them the plan knows the dry fit.</p>
      )}
      <ul className="mt-1">
        {fastenings.map((own) => (
          <li key={own.id} className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)_auto] items-start gap-3 border-b border-hairline py-2">
            <span>
              <span className="font-[650] text-ink">
                {own.count} × {plain(own.kind)}
              </span>
              <span className="second block text-small">
                {nameOf(own.a)} to {nameOf(own.b)}
                {own.behind && `, behind ${nameOf(own.behind)}`}
              </span>
            </span>
            <span>
              {own.note || <span className="second">no note for going back</span>}
              {own.gapUm !== undefined && (
                <FitLeft gapUm={own.gapUm} films={[own.a, own.b].map((id) => (id ? (view.stacks[id]?.filmUm ?? 0) : 0))} />
              )}
              {own.heads && <span className="second block text-small">heads: {own.heads}</span>}
              {own.kind === 'axle' && <span className="second block text-small">crimped: leave it in</span>}
            </span>
            <span className="flex items-center">
              <button type="button" className="linklike min-h-10 px-2 text-small" onClick={() => setEditing(own)}>
                Change
              </button>
              <RemoveButton
                what={`${plain(own.kind)}, ${nameOf(own.a)} to ${nameOf(own.b)}`}
                onRemove={() =>
                  keep(
                    fastenings.filter((other) => other.id !== own.id),
                    'Removed.',
                  )
                }
              />
            </span>
          </li>
        ))}
      </ul>
      {editing !== null && (
        <FasteningForm
          key={editing === 'new' ? 'new' : editing.id}
          piece={piece}
          was={editing === 'new' ? undefined : editing}
          onCancel={() => setEditing(null)}
          onKeep={(fastening) => {
            setEditing(null);
            if (editing === 'new') keep([...fastenings, fastening], 'Noted. The dry fit is planned.');
            else
              keep(
                fastenings.map((own) => (own.id === fastening.id ? fastening : own)),
                'Changed.',
              );
          }}
        />
      )}
    </section>
  );
}

/** Room that the paint on both faces leaves. */
function FitLeft({ gapUm, films }: { gapUm: number; films: readonly number[] }) {
  const left = fitLeft(gapUm, [films[0] ?? 0, films[1] ?? 0]);
  return (
    <span className="block text-small">
      <strong className="text-ink">{left.verdict}</strong>: {left.because}
    </span>
  );
}
