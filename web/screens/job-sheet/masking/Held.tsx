import { HOLDS, type Hold, holdSchema, type Part, type Piece } from '#core/facts/index';
import { parseNumber } from '#core/units/index';
import { toast } from 'sonner';
import { Chips } from '../../../views/fields/Chips.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** How the part is held while it is sprayed, the unseen spot that is touched, and the face to start on. */
export function Held({ piece, part }: { piece: Piece; part: Part }) {
  const save = usePieceSave();
  const keep = (hold: Hold, said: string) => void save(withPart(piece, part.id, { hold }), said);
  const { hold } = part;
  const field = (label: string, key: 'spot' | 'startOn', placeholder: string) => (
    <label className="mt-2 block">
      <span className="second block text-small">{label}</span>
      <input
        key={`${part.id}${key}`}
        className="field !min-h-10"
        defaultValue={hold?.[key] ?? ''}
        maxLength={80}
        placeholder={placeholder}
        onBlur={(event) => {
          const text = event.target.value.trim();
          if (hold && text !== (hold[key] ?? '')) keep({ ...hold, [key]: text || undefined }, 'It stands with each coat.');
        }}
      />
    </label>
  );
  return (
    <FoldingSheet title="Held">
      <div className="mt-2">
        <Chips
          legend="By what"
          hideLegend
          options={HOLDS.map((value) => ({ value, label: value }))}
          value={hold?.by}
          onChange={(by) => keep({ ...hold, by }, by === 'clip' ? 'The clip is wrapped before paint.' : 'Noted.')}
        />
      </div>
      {hold && (
        <>
          {field('touching, where nobody looks', 'spot', 'front screw hole')}
          {field('start on, in case it spits', 'startOn', 'the underside')}
          <label className="mt-2 block">
            <span className="second block text-small">weight, g</span>
            <input
              key={`${part.id}weight`}
              className="field !min-h-10 !w-28 font-mono"
              inputMode="decimal"
              defaultValue={hold.weightG ?? ''}
              onBlur={(event) => {
                const text = event.target.value.trim();
                const weightG = text ? (parseNumber(text) ?? Number.NaN) : undefined;
                if (weightG === hold.weightG) return;
                const read = holdSchema.safeParse({ ...hold, weightG });
                if (!read.success) return void toast.error(read.error.issues[0].message);
                keep(read.data, 'Noted.');
              }}
            />
          </label>
        </>
      )}
    </FoldingSheet>
  );
}
