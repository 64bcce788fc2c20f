import { bestReference, besideWords, hexOf, SHIFTS, shiftedBy, TOLERANCE_DELTA_E } from '#core/colour/index';
import { type ColourTarget, type Piece, type Tolerance, TOLERANCES } from '#core/facts/index';
import { capital, listed } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../../../app/writing/newId.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm, SmallSelect } from '../../../../views/fields/SmallField.tsx';
import { Adding } from '../../Adding.tsx';
import { usePieceSave } from '../../pieceChanges.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const TOLERANCE_NAMES: Record<Tolerance, string> = { exact: 'exact', near: 'near', family: 'of the family' };

/** The colours a piece is to have: as a reference was read, or set off from it on purpose, and how near is near enough. */
export function Targets({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const list = piece.targets ?? [];
  const put = (own: ColourTarget, said: string) =>
    void save({ ...piece, targets: list.map((other) => (other.id === own.id ? own : other)) }, said);
  const remove = (own: ColourTarget) =>
    void save(
      {
        ...piece,
        targets: list.filter((other) => other.id !== own.id),
        parts: piece.parts.map((part) => ({
          ...part,
          layers: part.layers.map(({ targetId, ...layer }) =>
            targetId === undefined || targetId === own.id ? layer : { ...layer, targetId },
          ),
        })),
      },
      `${own.name}: taken out.`,
    );
  const read = (piece.references ?? []).filter((own) => own.lab);
  return (
    <FoldingSheet title="What they are to be">
      {list.length === 0 && (
        <p className="second mt-1">
          {read.length > 0
            ? 'Take a reading as the colour that is wanted; layers and mixes are then held against it.'
            : 'Read a reference first; what it says becomes the colour that is wanted.'}
        </p>
      )}
      <ul className="mt-2">
        {list.map((own) => (
          <li key={own.id} className="border-b border-hairline py-3">
            <Target piece={piece} own={own} onChange={put} onRemove={() => remove(own)} />
          </li>
        ))}
      </ul>
      {read.length > 0 && (
        <Adding label="Add a colour">
          <AddTarget piece={piece} onAdd={(own) => save({ ...piece, targets: [...list, own] }, `${own.name} is wanted.`)} />
        </Adding>
      )}
    </FoldingSheet>
  );
}

function Target({
  piece,
  own,
  onChange,
  onRemove,
}: {
  piece: Piece;
  own: ColourTarget;
  onChange: (own: ColourTarget, said: string) => void;
  onRemove: () => void;
}) {
  const reference = piece.references?.find(({ id }) => id === own.referenceId);
  const beside = reference?.lab ? besideWords(own.lab, reference.lab) : [];
  const layers = piece.parts.flatMap((part) => part.layers.filter((layer) => layer.targetId === own.id).map(() => part.name));
  return (
    <>
      <p className="flex items-start gap-3">
        <span aria-hidden className="mt-0.5 block h-12 w-16 shrink-0 border border-[#8c8c8c]" style={{ background: hexOf(own.lab) }} />
        <span className="min-w-0 flex-1">
          <span className="font-[650] text-ink">{capital(own.name)}</span>
          <span className="second block text-small">
            {reference ? `${beside.length > 0 ? `${listed(beside)} than` : 'as'} ${reference.where}` : 'set by hand'}
            {own.shifted ? `; ${own.shifted}` : ''};{' '}
            {layers.length > 0
              ? `a layer of ${listed([...new Set(layers)])} is held against it`
              : 'no layer is held against it yet: Coats, how it goes on'}
          </span>
        </span>
        <RemoveButton what={own.name} onRemove={onRemove} />
      </p>
      <div className="mt-2">
        <Chips
          legend={`How near is near enough for ${own.name}`}
          hideLegend
          options={TOLERANCES.map((value) => ({ value, label: `${TOLERANCE_NAMES[value]}, ΔE ${TOLERANCE_DELTA_E[value]}` }))}
          value={own.tolerance}
          onChange={(tolerance) => onChange({ ...own, tolerance }, `${capital(TOLERANCE_NAMES[tolerance])} is near enough.`)}
        />
      </div>
      <fieldset className="mt-2">
        <legend className="second text-small">A step on purpose, as from an aged reading</legend>
        <span className="flex flex-wrap gap-1">
          {SHIFTS.map((shift) => (
            <button
              key={shift}
              type="button"
              className="chip !min-h-9 text-small"
              onClick={() => onChange({ ...own, lab: shiftedBy(own.lab, shift) }, `A step ${shift}.`)}
            >
              {shift}
            </button>
          ))}
          {reference?.lab && beside.length > 0 && (
            <button
              type="button"
              className="chip !min-h-9 text-small"
              onClick={() => reference.lab && onChange({ ...own, lab: reference.lab }, 'As it was read.')}
            >
              as it was read
            </button>
          )}
        </span>
      </fieldset>
      <Link className="linklike mt-2 inline-block" to={`/colour?piece=${piece.id}&target=${own.id}`}>
        Mix it
      </Link>
    </>
  );
}

function AddTarget({ piece, onAdd }: { piece: Piece; onAdd: (own: ColourTarget) => Promise<boolean> }) {
  const read = (piece.references ?? []).filter((own) => own.lab);
  const [name, setName] = useState('');
  const [from, setFrom] = useState(bestReference(read)?.id ?? '');
  const [problem, setProblem] = useState('');
  const add = async () => {
    const reference = read.find((own) => own.id === from) ?? read[0];
    if (!name.trim()) return setProblem('Give the colour a name, such as hull cream.');
    if (!reference?.lab) return setProblem('Read a reference first.');
    setProblem('');
    if (await onAdd({ id: newId(), name: name.trim(), lab: reference.lab, tolerance: 'near', referenceId: reference.id })) setName('');
  };
  return (
    <SmallForm label="Add a colour that is wanted" problem={problem} onSend={() => void add()}>
      <SmallField label="called" width="!w-48" value={name} placeholder="hull cream" onText={setName} />
      <SmallSelect
        label="as read from"
        width="!w-56"
        value={from}
        options={read.map((own) => ({ value: own.id, label: own.where }))}
        onChange={setFrom}
      />
      <button type="submit" className="act !min-h-10">
        Take it
      </button>
    </SmallForm>
  );
}
