import { LOT_SPLITS, type Lot, type Piece } from '#core/facts/index';
import { lotShares, type PieceMoney, worthOf } from '#core/plan/index';
import { localMoment } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { KeptDate } from '../../../views/fields/KeptDate.tsx';
import { MoneyField } from '../../../views/fields/MoneyField.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallSelect } from '../../../views/fields/SmallField.tsx';
import { usePieceSave } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const SPLIT_WORDS: Readonly<Record<Lot['split'], string>> = {
  equally: 'the same for each',
  'by-worth': 'by what each will be worth',
  typed: 'as typed',
};

/** What the piece was bought for, the work on it, what it will be worth and what one that is ready would cost, side by side. */
export function WorthIt({ piece, money }: { piece: Piece; money: PieceMoney }) {
  const { facts } = usePlan();
  const words = useWords();
  const keep = usePieceSave();
  const worth = worthOf(piece, money, facts);
  const lot = facts.lots.find(({ pieces }) => pieces.some(({ pieceId }) => pieceId === piece.id));
  const keepMoney = (key: 'worth' | 'readyMade') => (value: number | undefined) => {
    const { [key]: _was, ...rest } = piece;
    void keep(value === undefined ? rest : { ...rest, [key]: value }, 'Noted.');
  };
  return (
    <FoldingSheet title="What it comes to">
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-1">
        {worth.bought && (
          <>
            <dt>{lot && lot.pieces.length > 1 ? `Its share of “${lot.name}”` : 'Bought for'}</dt>
            <dd className="figure text-right">{words.money(worth.bought.price)}</dd>
            {worth.bought.postage > 0 && (
              <>
                <dt>and its way here</dt>
                <dd className="figure text-right">{words.money(worth.bought.postage)}</dd>
              </>
            )}
          </>
        )}
        <dt>The work on it, with rework at most {words.money(worth.workSafe, money.about)}</dt>
        <dd className="figure text-right">{words.money(worth.work, money.about)}</dd>
        <dt className="border-t border-ink font-[650] text-ink">In all</dt>
        <dd className="figure border-t border-ink text-right font-[650]">{words.money(worth.allIn, money.about)}</dd>
        {worth.gain !== null && (
          <>
            <dt>{worth.gain >= 0 ? 'Worth more than that by' : 'Worth less than that by'}</dt>
            <dd className="figure text-right">{words.money(Math.abs(worth.gain))}</dd>
          </>
        )}
        {worth.saves !== null && (
          <>
            <dt>{worth.saves >= 0 ? 'The work costs less than a ready one by' : 'A ready one costs less than the work by'}</dt>
            <dd className="figure text-right">{words.money(Math.abs(worth.saves))}</dd>
          </>
        )}
      </dl>
      <div className="mt-3 flex flex-wrap items-end gap-2">
        <MoneyField label="Worth, finished" placeholder="?" value={piece.worth} onKeep={keepMoney('worth')} />
        <MoneyField label="A ready one" placeholder="?" value={piece.readyMade} onKeep={keepMoney('readyMade')} />
      </div>
      <LotFields piece={piece} lot={lot} />
    </FoldingSheet>
  );
}

/** What it was bought for, alone or with others. */
function LotFields({ piece, lot }: { piece: Piece; lot: Lot | undefined }) {
  const { facts, plan, workshop } = usePlan();
  const { save, remove } = useSaving();
  const words = useWords();
  const keep = (change: Partial<Lot>) => {
    const own: Lot = lot ?? {
      id: newId(),
      name: piece.name,
      paid: 0,
      boughtOn: localMoment(plan.now, workshop.timeZone).date,
      split: 'equally',
      pieces: [{ pieceId: piece.id }],
    };
    void save('lots', { ...own, ...change }, 'Noted.');
  };
  const others = facts.pieces.filter(
    ({ id, board }) => !board && !facts.lots.some(({ pieces }) => pieces.some(({ pieceId }) => pieceId === id)) && id !== piece.id,
  );
  const shares = lot ? lotShares(lot, facts) : null;
  return (
    <details className="mt-2">
      <summary className="min-h-9 cursor-pointer">{lot ? 'How it was bought' : 'What it was bought for'}</summary>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <MoneyField
          label={lot && lot.pieces.length > 1 ? 'Paid for all' : 'Paid for it'}
          placeholder="0"
          value={lot?.paid}
          onKeep={(paid) => (paid === undefined ? lot && void remove('lots', lot.id, 'Nothing is said of it any more.') : keep({ paid }))}
        />
        {lot && <MoneyField label="its way here" placeholder="0" value={lot.postage} onKeep={(postage) => keep({ postage })} />}
        {lot && <KeptDate label="on" value={lot.boughtOn} onKeep={(boughtOn) => keep({ boughtOn })} />}
        {lot && lot.pieces.length > 1 && (
          <SmallSelect
            label="shared"
            width="!w-44"
            value={lot.split}
            options={LOT_SPLITS.map((value) => ({ value, label: SPLIT_WORDS[value] }))}
            onChange={(split) => keep({ split })}
          />
        )}
      </div>
      {lot && lot.pieces.length > 1 && (
        <ul className="mt-2 text-small">
          {lot.pieces.map((own) => (
            <li key={own.pieceId} className="flex items-center justify-between gap-2 border-b border-hairline py-1">
              <span>{facts.pieces.find(({ id }) => id === own.pieceId)?.name ?? 'A piece since taken out'}</span>
              {lot.split === 'typed' ? (
                <MoneyField
                  label={`Share of ${facts.pieces.find(({ id }) => id === own.pieceId)?.name ?? 'it'}`}
                  hidden
                  placeholder="the rest"
                  value={own.share}
                  onKeep={(share) =>
                    keep({
                      pieces: lot.pieces.map((each) =>
                        each.pieceId === own.pieceId ? { pieceId: own.pieceId, ...(share === undefined ? {} : { share }) } : each,
                      ),
                    })
                  }
                />
              ) : (
                <span className="figure">{words.money(shares?.get(own.pieceId)?.price ?? 0)}</span>
              )}
              <RemoveButton
                what={`it from “${lot.name}”`}
                onRemove={() => keep({ pieces: lot.pieces.filter(({ pieceId }) => pieceId !== own.pieceId) })}
              />
            </li>
          ))}
        </ul>
      )}
      {lot && others.length > 0 && (
        <div className="mt-2">
          <SmallSelect
            label="It came together with"
            width="!w-full"
            value=""
            options={[{ value: '', label: 'nothing else' }, ...others.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(pieceId) => pieceId && keep({ pieces: [...lot.pieces, { pieceId }] })}
          />
        </div>
      )}
    </details>
  );
}
