import { type Mark, MARK_KINDS, type MarkKind, type Part, type Piece, plain, type Severity, severitySchema } from '#core/facts/index';
import { mendOf } from '#core/prep/index';
import { useState } from 'react';
import { newId } from '../../../../app/writing/newId.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { FormProblem } from '../../../../views/fields/SmallField.tsx';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { usePieceSave, withPart } from '../../pieceChanges.ts';

/** The marks of one part, numbered as on the picture, and a new one by words. */
export function Marks({ piece, part }: { piece: Piece; part: Part }) {
  const save = usePieceSave();
  const [adding, setAdding] = useState(false);
  const marks = part.marks ?? [];
  const keep = (changed: readonly Mark[], said: string) => void save(withPart(piece, part.id, { marks: [...changed] }), said);
  return (
    <div className="mt-4">
      <h3 className="font-[650] text-ink">Marks on {part.name.toLowerCase()}</h3>
      <ol className="mt-1">
        {marks.map((mark, index) => (
          <li key={mark.id} className="flex items-center gap-2 border-b border-hairline py-1">
            <span className="figure inline-flex size-6 shrink-0 items-center justify-center rounded-full border border-ink">
              {index + 1}
            </span>
            <span className="flex-1 leading-snug">
              {mark.severity} {plain(mark.kind)}
              <span className="second block text-small">{[mark.where, plain(mendOf(mark, part, piece))].filter(Boolean).join(' · ')}</span>
            </span>
            <RemoveButton
              what={`${plain(mark.kind)}, ${mark.where}`}
              onRemove={() =>
                keep(
                  marks.filter((own) => own.id !== mark.id),
                  'Mark removed.',
                )
              }
            />
          </li>
        ))}
      </ol>
      {adding ? (
        <MarkForm
          onCancel={() => setAdding(false)}
          onMark={(mark) => {
            setAdding(false);
            keep([...marks, mark], 'Marked. Its repair is planned.');
          }}
        />
      ) : (
        <button type="button" className="linklike mt-1 min-h-11" onClick={() => setAdding(true)}>
          Add a mark
        </button>
      )}
    </div>
  );
}

export function MarkForm({ pin, onMark, onCancel }: { pin?: Mark['pin']; onMark: (mark: Mark) => void; onCancel: () => void }) {
  const [kind, setKind] = useState<MarkKind | undefined>();
  const [severity, setSeverity] = useState<Severity>('marked');
  const [where, setWhere] = useState('');
  const [lacks, setLacks] = useState(false);
  return (
    <form
      className="mt-2 space-y-3 border-l-4 border-ink pl-3"
      aria-label="New mark"
      onSubmit={(event) => {
        event.preventDefault();
        setLacks(!kind);
        if (kind) onMark({ id: newId(), kind, severity, where: where.trim(), ...(pin ? { pin } : {}) });
      }}
    >
      <Chips legend="What is it?" options={MARK_KINDS.map((value) => ({ value, label: plain(value) }))} value={kind} onChange={setKind} />
      <FormProblem text={lacks && !kind ? 'Say what it is first.' : ''} />
      <Chips
        legend="How bad?"
        options={severitySchema.options.map((value) => ({ value, label: value }))}
        value={severity}
        onChange={setSeverity}
      />
      <label className="block">
        <span className="mb-1 block font-[650] text-ink">Where?</span>
        <input className="field" value={where} maxLength={80} placeholder="left foot" onChange={(event) => setWhere(event.target.value)} />
      </label>
      <div className="flex gap-3">
        <button type="submit" className="act" data-first="true">
          Mark it
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
