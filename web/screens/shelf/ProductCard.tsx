import { type Keeping, letDowns, type PaintNeed, reachOf, type ShelfCan } from '#core/buying/index';
import { hexOf } from '#core/colour/index';
import { plain, type Product } from '#core/facts/index';
import { Link } from 'react-router';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { lastsText, takesText } from '../../views/words/rationText.ts';
import { Why } from '../../views/Why.tsx';
import { CanDrawing } from './CanDrawing.tsx';
import { WeighCan } from './WeighCan.tsx';

/** A paint with its cans, how full they are, and whether the plans find enough here. */
export function ProductCard({
  product,
  cans,
  keeping,
  need,
  onOpen,
}: {
  product: Product;
  cans: readonly ShelfCan[];
  keeping: ReadonlyMap<string, readonly Keeping[]>;
  need: PaintNeed | undefined;
  onOpen: (canId: string) => void;
}) {
  const { facts } = usePlan();
  const words = useWords();
  const sheet = facts.sheets.find((candidate) => candidate.id === product.sheetId);
  const reach = need && reachOf(need);
  const promises = letDowns(product.id, facts);
  return (
    <li className="sheet !p-4">
      <p className="leading-snug font-[650] text-ink">{product.name}</p>
      <p className="second text-small">
        {sheet && (
          <Link className="underline underline-offset-4" to={`/shelf/sheets/${sheet.id}`}>
            {plain(sheet.family)}, {sheet.hand}
          </Link>
        )}
        {product.code && ` · ${product.code}`}
      </p>
      <div className="mt-3 flex items-end gap-4">
        {cans.map((can) => (
          <CanOnShelf
            key={can.id}
            can={can}
            name={product.name}
            bottle={sheet ? sheet.hand !== 'aerosol' : false}
            colour={hexOf(product.lab)}
            keeping={keeping.get(can.id) ?? []}
            onOpen={() => onOpen(can.id)}
          />
        ))}
      </div>
      {promises.slice(0, 1).map((text) => (
        <p key={text} className="mt-2 text-small">
          Promised and not kept: {text}
        </p>
      ))}
      {need && reach && reach.needMl > 0.05 && (
        <p className="mt-3 border-t border-hairline pt-2 text-small">
          Plans take {words.volume(reach.needMl)}:{' '}
          <Why text={takesText(need, words)}>
            {reach.shortMl > 0 ? <strong>{lastsText(reach, words)}</strong> : lastsText(reach, words)}
          </Why>
          {need.toMixMl > 0 && `; ${words.volume(need.toMixMl)} to be mixed`}
        </p>
      )}
    </li>
  );
}

const KEEPING_WORDS: Readonly<Record<Keeping['kind'], string>> = {
  expired: 'past its day',
  frost: 'frost ahead',
  stale: 'open for long',
  expiring: 'its day is near',
  nozzle: 'nozzle may be dry',
  low: 'nearly empty',
};

function CanOnShelf({
  can,
  name,
  bottle,
  colour,
  keeping,
  onOpen,
}: {
  can: ShelfCan;
  name: string;
  bottle: boolean;
  colour: string;
  keeping: readonly Keeping[];
  onOpen: () => void;
}) {
  const words = useWords();
  const [weighing, setWeighing] = useState(false);
  return (
    <div className="text-center">
      <button type="button" className="mx-auto block" aria-label={`More of this can of ${name}`} onClick={onOpen}>
        <CanDrawing full={Math.min(1, can.leftMl / can.packMl)} colour={colour} bottle={bottle} />
      </button>
      <span className="figure mt-1 block">{words.volume(can.leftMl)}</span>
      <span className="second block text-small">
        of {words.volume(can.packMl)}, {can.known}
      </span>
      {keeping.slice(0, 1).map(({ kind }) => (
        <strong key={kind} className="block text-small text-ink">
          {KEEPING_WORDS[kind]}
        </strong>
      ))}
      {weighing ? (
        <WeighCan can={can} onDone={() => setWeighing(false)} />
      ) : (
        <span className="flex justify-center gap-3 text-small">
          <button type="button" className="linklike min-h-9" onClick={() => setWeighing(true)}>
            weigh it
          </button>
          <button type="button" className="linklike min-h-9" onClick={onOpen}>
            more
          </button>
        </span>
      )}
    </div>
  );
}
