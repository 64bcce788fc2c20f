import { canFact, type Keeping, letDowns, type ShelfCan, usesOf } from '#core/buying/index';
import type { Can, EventOf, Product } from '#core/facts/index';
import { counted, toIso } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { KeptDate } from '../../views/fields/KeptDate.tsx';
import { Sheet } from '../../views/Sheet.tsx';
import { OneLine } from '../../views/typed/OneLine.tsx';
import { SmallField, SmallSelect } from '../../views/fields/SmallField.tsx';
import { WeighCan } from './WeighCan.tsx';

const LOST: readonly { readonly why: EventOf<'spoiled'>['why']; readonly label: string }[] = [
  { why: 'dried', label: 'dried up' },
  { why: 'curdled', label: 'curdled' },
  { why: 'spilt', label: 'spilt' },
];

/** Everything of one can: what is left, where it stands, how it keeps, what it was used on, what it promised and did not hold. */
export function CanSheet({ can, product, keeping }: { can: ShelfCan; product: Product; keeping: readonly Keeping[] }) {
  const { facts } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const [weighing, setWeighing] = useState(false);
  const fact = canFact(can.id, facts);
  const keep = (change: Partial<Can>) => fact && void save('cans', withoutEmpty({ ...fact, ...change }), 'Noted.');
  return (
    <Sheet title={product.name}>
      <div className="!mt-1">
        <p className="second">
          {words.volume(can.leftMl)} of {words.volume(can.packMl)},{' '}
          {can.known === 'reckoned' ? 'reckoned from what was sprayed' : can.known}
          {can.openedAt !== null && ` · open since ${words.date(can.openedAt)}`}
          {can.usedAt !== null && ` · last used ${words.date(can.usedAt)}`}
        </p>
        {keeping.map(({ kind, text, source }) => (
          <p key={kind} className="mt-1 font-[650]">
            {text} {source === 'default' && <span className="second font-[400]">(usual; the label counts before it)</span>}
          </p>
        ))}
      </div>
      {weighing ? (
        <WeighCan can={can} onDone={() => setWeighing(false)} />
      ) : (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="chip" onClick={() => setWeighing(true)}>
            weigh it
          </button>
          {can.leftMl > 0 &&
            LOST.map(({ why, label }) => (
              <button
                key={why}
                type="button"
                className="chip"
                onClick={() => void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'spoiled', canId: can.id, why }])}
              >
                {label}
              </button>
            ))}
        </div>
      )}
      {fact && (
        <div className="flex flex-wrap items-start gap-4">
          <SmallSelect
            label="Stands in"
            width="!w-44"
            value={fact.placeId ?? ''}
            options={[{ value: '', label: 'where things dry' }, ...facts.places.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(placeId) => keep({ placeId })}
          />
          <KeptDate
            label="Opened on"
            value={fact.openedOn}
            onKeep={(openedOn) => keep({ openedOn, opened: fact.opened || openedOn !== undefined })}
          />
          <KeptDate label="Good until" value={fact.expires} onKeep={(expires) => keep({ expires })} />
        </div>
      )}
      <UsedOn product={product} />
      <PromiseNotKept product={product} />
    </Sheet>
  );
}

/** An empty word is none. */
function withoutEmpty({ placeId, openedOn, expires, ...can }: Can): Can {
  return { ...can, ...(placeId ? { placeId } : {}), ...(openedOn ? { openedOn } : {}), ...(expires ? { expires } : {}) };
}

function UsedOn({ product }: { product: Product }) {
  const { facts, pieceById } = usePlan();
  const words = useWords();
  const uses = usesOf(product.id, facts);
  return (
    <section aria-label="Used on">
      <h3 className="font-[650] text-ink">Used on</h3>
      {uses.length === 0 && <p className="second">Nothing yet.</p>}
      <ul>
        {uses.map(({ pieceId, ml, coats, last }) => (
          <li key={pieceId} className="flex flex-wrap justify-between gap-3 border-b border-hairline py-1">
            <Link to={`/pieces/${pieceId}/record`}>{pieceById.get(pieceId)?.name ?? 'A piece since taken out'}</Link>
            <span className="figure">
              {counted(coats, 'coat')}, {words.volume(ml)} as sprayed, last on {words.date(last)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the label said and what came of it: read again wherever the paint is chosen. */
function PromiseNotKept({ product }: { product: Product }) {
  const { facts } = usePlan();
  const { save } = useSaving();
  const said = letDowns(product.id, facts);
  const { code: _code, ...rest } = product;
  return (
    <section aria-label="Label and code">
      <h3 className="font-[650] text-ink">Label</h3>
      {said.map((text) => (
        <p key={text}>Promised and not kept: {text}</p>
      ))}
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <OneLine
          label="What it promised and did not hold"
          button="Note it"
          lacks="Say what it promised, and what came of it."
          width="!w-72"
          placeholder="dry to tape after 1 h: marked at 3 h"
          most={200}
          onKeep={async (text) => {
            await logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'let-down', productId: product.id, text }]);
            return true;
          }}
        />
        <SmallField
          key={product.code ?? ''}
          label="Its code"
          width="!w-28"
          maxLength={40}
          defaultValue={product.code ?? ''}
          onText={() => undefined}
          onBlur={(event) => {
            const code = event.target.value.trim();
            if (code !== (product.code ?? '')) void save('products', code ? { ...rest, code } : rest, 'Noted.');
          }}
        />
      </div>
    </section>
  );
}
