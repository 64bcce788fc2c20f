import {
  FASTENINGS,
  type Fastening,
  type FasteningKind,
  fasteningSchema,
  type Piece,
  plain,
  type Thread,
  threadSchema,
} from '#core/facts/index';
import { fitLeft } from '#core/coats/index';
import type { PieceView } from '#core/plan/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { useState } from 'react';
import { toast } from 'sonner';
import { usePlan } from '../../../app/PlanContext.tsx';
import { newId } from '../../../app/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { Chips } from '../../../views/Chips.tsx';
import { RemoveButton } from '../../../views/RemoveButton.tsx';
import { usePieceSave } from '../pieceChanges.ts';

const HEADS = ['repaint', 'replace', 'leave'] as const;

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

function FasteningForm({
  piece,
  was,
  onKeep,
  onCancel,
}: {
  piece: Piece;
  was: Fastening | undefined;
  onKeep: (fastening: Fastening) => void;
  onCancel: () => void;
}) {
  const { workshop } = usePlan();
  const words = useWords();
  const [kind, setKind] = useState<FasteningKind>(was?.kind ?? 'screw');
  const [a, setA] = useState(was?.a ?? piece.parts[0].id);
  const [b, setB] = useState(was ? (was.b ?? '') : (piece.parts[1]?.id ?? ''));
  const [behind, setBehind] = useState(was?.behind ?? '');
  const [count, setCount] = useState(String(was?.count ?? 2));
  const [note, setNote] = useState(was?.note ?? '');
  const [heads, setHeads] = useState<(typeof HEADS)[number] | undefined>(was?.heads);
  const [across, setAcross] = useState(was?.post ? words.length(was.post.acrossMm) : '');
  const [deep, setDeep] = useState(was?.post ? words.length(was.post.deepMm) : '');
  const [gap, setGap] = useState(was?.gapUm === undefined ? '' : String(was.gapUm));
  const [thread, setThread] = useState<Thread>(was?.post?.thread ?? 'M2');
  const add = () => {
    let post: Fastening['post'];
    if (kind === 'rivet' && (across || deep)) {
      const [wide, depth] = [parseQuantity(across, 'length', workshop.units.length), parseQuantity(deep, 'length', workshop.units.length)];
      if (!wide.ok || !depth.ok) return void toast.error('Type the post’s diameter and depth, such as 4.2 mm and 8 mm.');
      post = { acrossMm: wide.value, deepMm: depth.value, thread };
    }
    const read = fasteningSchema.safeParse({
      id: was?.id ?? newId(),
      kind,
      a,
      count: Number(count),
      note,
      ...(b && b !== a ? { b } : {}),
      ...(behind && behind !== a && behind !== b ? { behind } : {}),
      ...(heads ? { heads } : {}),
      ...(post ? { post } : {}),
      ...(gap.trim() ? { gapUm: parseNumber(gap) ?? Number.NaN } : {}),
    });
    if (!read.success) return void toast.error(read.error.issues[0].message);
    onKeep(read.data);
  };
  const choice = (label: string, value: string, set: (id: string) => void, none?: string) => (
    <label>
      <span className="second block text-small">{label}</span>
      <select className="field !w-40" value={value} onChange={(event) => set(event.target.value)}>
        {none && <option value="">{none}</option>}
        {piece.parts.map((part) => (
          <option key={part.id} value={part.id}>
            {part.name}
          </option>
        ))}
      </select>
    </label>
  );
  const text = (label: string, value: string, set: (text: string) => void, className: string) => (
    <label>
      <span className="second block text-small">{label}</span>
      <input className={`field ${className}`} value={value} maxLength={120} onChange={(event) => set(event.target.value)} />
    </label>
  );
  return (
    <form
      className="mt-3 space-y-3 border-l-4 border-ink pl-3"
      aria-label={was ? 'Change the fastening' : 'New fastening'}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Chips legend="Kind" options={FASTENINGS.map((value) => ({ value, label: plain(value) }))} value={kind} onChange={setKind} />
      <div className="flex flex-wrap gap-3">
        {text('how many', count, setCount, '!w-20 font-mono')}
        {choice('of', a, setA)}
        {choice('to', b, setB, 'the frame')}
        {text('gap before paint, µm', gap, setGap, '!w-32 font-mono')}
        {choice('lies behind', behind, setBehind, 'nothing')}
      </div>
      {kind === 'rivet' && (
        <div className="flex flex-wrap items-end gap-3">
          {text('post across', across, setAcross, '!w-28 font-mono')}
          {text('post deep', deep, setDeep, '!w-28 font-mono')}
          <Chips
            legend="Thread"
            options={threadSchema.options.map((value) => ({ value, label: value }))}
            value={thread}
            onChange={setThread}
          />
        </div>
      )}
      <div className="flex flex-wrap items-end gap-3">
        {text(
          kind === 'glue' ? 'which glue; it must not fog clear parts' : 'for going back: screw × length, good side',
          note,
          setNote,
          '!w-96',
        )}
        {kind !== 'glue' && (
          <Chips legend="Visible heads" options={HEADS.map((value) => ({ value, label: value }))} value={heads} onChange={setHeads} />
        )}
      </div>
      <div className="flex gap-3">
        <button type="submit" className="act" data-first="true">
          Note it
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
