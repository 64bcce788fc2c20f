import { useState } from 'react';
import type { Piece } from '#core/facts/index';
import { newId } from '../../../../app/writing/newId.ts';
import { FactoryBodies } from '../../finish/FactoryBodies.tsx';
import type { AnswerProps } from '../answerProps.ts';

/** What is to be found or bought before the piece is whole. */
export function Missing({ piece, onAnswer }: AnswerProps) {
  const [name, setName] = useState('');
  const [days, setDays] = useState('14');
  const add = () => {
    const leadDays = Number.parseInt(days, 10);
    if (!name.trim() || !(leadDays >= 0 && leadDays <= 400)) return;
    const parcel = { id: newId(), name: name.trim(), price: 0, leadDays, arrived: false };
    onAnswer({ ...piece, parcels: [...piece.parcels, parcel] }, `${parcel.name}: to be ordered. Its price goes under Finish and fit.`);
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <label>
        <span className="second block text-small">What is to be found or bought</span>
        <input className="field !w-64" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
      </label>
      <label>
        <span className="second block text-small">Days to come</span>
        <input className="field !w-28 font-mono" inputMode="numeric" value={days} onChange={(event) => setDays(event.target.value)} />
      </label>
      <button type="submit" className="act" disabled={!name.trim()}>
        It is wanted
      </button>
      <button type="button" className="act" data-first="true" onClick={() => onAnswer(piece, 'Nothing is missing.')}>
        Nothing is missing
      </button>
    </form>
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
