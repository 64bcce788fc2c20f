import type { Piece } from '#core/facts/index';
import { z } from 'zod';
import { newId } from '../../../../app/writing/newId.ts';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { SmallForm } from '../../../../views/fields/SmallField.tsx';
import { TypedField } from '../../../../views/typed/TypedField.tsx';
import { useTyped } from '../../../../views/typed/useTyped.ts';
import { usePieceSave } from '../../pieceChanges.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const bagSchema = z.object({ contents: z.string().trim().min(1, 'Say what is in it.').max(80), from: z.string().trim().max(80) });

/** Numbered bags: what is in each and where it came from. */
export function Bags({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const form = useTyped(bagSchema, { contents: '', from: '' });
  const bags = piece.bags ?? [];
  const next = Math.max(0, ...bags.map((bag) => bag.number)) + 1;
  const add = (bag: { contents: string; from: string }) =>
    save({ ...piece, bags: [...bags, { id: newId(), number: next, ...bag }] }, `Bag ${next}: write the number on it.`);
  return (
    <FoldingSheet title="Bags" className="!p-4">
      <ul className="mt-1">
        {bags.map((bag) => (
          <li key={bag.id} className="flex items-center gap-3 border-b border-hairline py-1">
            <span className="figure inline-flex h-8 min-w-8 items-center justify-center border border-ink px-1">{bag.number}</span>
            <span className="flex-1">
              {bag.contents}
              {bag.from && <span className="second"> from {bag.from}</span>}
            </span>
            <RemoveButton
              what={`bag ${bag.number}`}
              onRemove={() => void save({ ...piece, bags: bags.filter((own) => own.id !== bag.id) }, `Bag ${bag.number} removed.`)}
            />
          </li>
        ))}
      </ul>
      <SmallForm label="Bag it" onSend={() => void form.send(add)}>
        <TypedField form={form} of="contents" label={`Bag ${next} holds`} width="!w-64" />
        <TypedField form={form} of="from" label="from" width="!w-48" />
        <button type="submit" className="act !min-h-10">
          Bag it
        </button>
      </SmallForm>
    </FoldingSheet>
  );
}
