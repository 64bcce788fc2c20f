import { useState } from 'react';
import type { Parcel, Piece } from '#core/facts/index';
import { newId } from '../../../../app/writing/newId.ts';
import { SmallForm } from '../../../../views/fields/SmallField.tsx';
import { TypedField } from '../../../../views/typed/TypedField.tsx';
import { useTyped } from '../../../../views/typed/useTyped.ts';
import { FRESH_PARCEL, parcelAnswersSchema } from '../../dates/parcelAnswers.ts';
import { FactoryBodies } from '../../finish/FactoryBodies.tsx';
import type { AnswerProps } from '../answerProps.ts';

/** What is to be found or bought before the piece is whole. */
export function Missing({ piece, onAnswer }: AnswerProps) {
  const form = useTyped<typeof FRESH_PARCEL, Parcel>(parcelAnswersSchema('', newId()), { ...FRESH_PARCEL, days: '14' });
  const add = async (parcel: Parcel) => {
    onAnswer({ ...piece, parcels: [...piece.parcels, parcel] }, `${parcel.name}: to be ordered. Its price goes under Finish and fit.`);
    return true;
  };
  return (
    <SmallForm label="What is missing" onSend={() => void form.send(add)}>
      <TypedField form={form} of="name" label="What is to be found or bought" width="!w-64" />
      <TypedField form={form} of="days" label="Days to come" width="!w-28 font-mono" inputMode="numeric" />
      <button type="submit" className="act">
        It is wanted
      </button>
      <button type="button" className="act" data-first="true" onClick={() => onAnswer(piece, 'Nothing is missing.')}>
        Nothing is missing
      </button>
    </SmallForm>
  );
}

/** The set it is seen with, its owner's wishes, how the factory did it. */
export function Belongs({ piece, onAnswer }: AnswerProps) {
  const [set, setSet] = useState(piece.set ?? '');
  const [wishes, setWishes] = useState(piece.wishes ?? '');
  const [factory, setFactory] = useState(piece.factory ?? {});
  const words = factory.words ?? '';
  const done = () => {
    const { set: _set, wishes: _wishes, factory: _factory, ...rest } = piece;
    const known = withoutEmpty(factory);
    onAnswer(
      {
        ...rest,
        ...(set.trim() ? { set: set.trim() } : {}),
        ...(wishes.trim() ? { wishes: wishes.trim() } : {}),
        ...(Object.keys(known).length > 0 ? { factory: known } : {}),
      },
      'Noted.',
    );
  };
  const field = (label: string, value: string, set: (text: string) => void, most: number) => (
    <label>
      <span className="second block text-small">{label}</span>
      <input className="field" value={value} maxLength={most} onChange={(event) => set(event.target.value)} />
    </label>
  );
  return (
    <div className="mt-3 grid gap-3 md:grid-cols-3">
      {field('Set it is seen with', set, setSet, 80)}
      {field('Wishes of its owner', wishes, setWishes, 400)}
      {field('How the factory did it', words, (text) => setFactory({ ...factory, words: text }), 400)}
      <div className="md:col-span-3">
        <FactoryBodies piece={piece} factory={factory} onChange={setFactory} />
      </div>
      <button type="button" className="act justify-self-start" data-first="true" onClick={done}>
        {set || wishes || words || factory.sprayed ? 'So it is' : 'It stands alone'}
      </button>
    </div>
  );
}

/** Words that were left empty are no words. */
function withoutEmpty({ words, ...factory }: NonNullable<Piece['factory']>): NonNullable<Piece['factory']> {
  return words?.trim() ? { ...factory, words: words.trim() } : factory;
}
