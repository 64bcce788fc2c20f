import { reachOf, shelfCans } from '#core/buying/index';
import { coatsToHide, knownPaint, PRIMER_SHADES } from '#core/coats/index';
import { plain, type Product, standingEvents } from '#core/facts/index';
import { keepsUntil } from '#core/mixing/index';
import type { MixLasts } from '#core/plan/index';
import { counted, dateFigures, listed, localMoment, toMinute } from '#core/units/index';
import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { PaintStrip } from '../../views/drawn/paint.tsx';
import { lastsText, takesText } from '../../views/words/rationText.ts';
import { Why } from '../../views/Why.tsx';
import { mixAgain, type Target } from './target.ts';

/** What was mixed here: recipe, what is left, and the way to mix it again. */
export function Kept({ onAgain }: { onAgain: (target: Target) => void }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const cans = shelfCans(facts);
  const mixes = facts.products.filter((product) => product.mix);
  const leftOf = (product: Product) => cans.filter((can) => can.productId === product.id).reduce((sum, can) => sum + can.leftMl, 0);
  const nameOf = (id: string) => facts.products.find((product) => product.id === id)?.name ?? 'a paint since taken out';
  return (
    <aside className="sheet" aria-labelledby="kept">
      <h2 id="kept">Kept</h2>
      {mixes.length === 0 && (
        <p className="second mt-1">What you mix stands here with its recipe, what is left of it, and may be a layer’s paint.</p>
      )}
      <ul>
        {mixes.map((product) => (
          <li key={product.id} className="border-b border-hairline py-3 last:border-0">
            <p className="flex items-start gap-3">
              <PaintStrip lab={product.lab} className="mt-1 h-5 w-[10px]" />
              <span className="min-w-0 flex-1 font-[650] text-ink">{product.name}</span>
              <span className="figure">{words.volume(Math.round(leftOf(product) * 10) / 10)}</span>
            </p>
            <p className="second pl-[22px] text-small">
              {plain(facts.sheets.find((sheet) => sheet.id === product.sheetId)?.family ?? 'unknown')};{' '}
              {listed(
                (product.mix?.parts ?? []).map((part) => `${nameOf(part.productId)} ${words.volume(Math.round(part.ml * 100) / 100)}`),
              )}
              ; stir it up again before use
            </p>
            <Keeps product={product} />
            <Lasts mix={plan.mixes.find((own) => own.productId === product.id)} />
            <button
              type="button"
              className="mt-1 ml-[22px] underline decoration-dotted underline-offset-4"
              onClick={() => onAgain(mixAgain(product))}
            >
              mix it again
            </button>
          </li>
        ))}
      </ul>
      {mixes.length > 0 && (
        <Link to="/colour/labels" className="linklike mt-2 inline-block">
          Labels for the jars
        </Link>
      )}
    </aside>
  );
}

/** How it covers, and until when it is good in a tight jar. */
function Keeps({ product }: { product: Product }) {
  const { facts, workshop } = usePlan();
  const { lab, share } = knownPaint(product, facts);
  const mixed = standingEvents(facts.events)
    .filter((event) => event.kind === 'mixed' && event.productId === product.id)
    .at(-1);
  const family = facts.sheets.find((sheet) => sheet.id === product.sheetId)?.family ?? 'unknown';
  const until = mixed && keepsUntil(family, localMoment(toMinute(mixed.at), workshop.timeZone).date);
  const grey = PRIMER_SHADES.find(({ name }) => name === 'grey') ?? PRIMER_SHADES[0];
  return (
    <p className="second pl-[22px] text-small">
      covers grey in {counted(coatsToHide(grey.lab, lab, share).coats, 'coat')}
      {until && `; good until ${dateFigures(until, workshop.units.dates ?? 'day-first')}, lid tight`}
    </p>
  );
}

/** Whether the jar lasts for all that is planned in it; where it does not, which coat it leaves and how to stretch it. */
function Lasts({ mix }: { mix: MixLasts | undefined }) {
  const { facts } = usePlan();
  const words = useWords();
  if (!mix) return null;
  const { need, runsDry, hiddenSavesMl } = mix;
  const reach = reachOf(need);
  const pieceName = (id: string) => facts.pieces.find((piece) => piece.id === id)?.name ?? 'a piece';
  return (
    <div className="mt-1 pl-[22px] text-small">
      <p>
        Plans take {words.volume(reach.needMl)}
        {need.byPiece.length > 1 && ` on ${listed(need.byPiece.map((own) => pieceName(own.pieceId)))}`}:{' '}
        <Why text={takesText(need, words)}>{reach.shortMl > 0 ? <strong>{lastsText(reach, words)}</strong> : lastsText(reach, words)}</Why>
      </p>
      {runsDry && (
        <p>
          It would run dry at “{runsDry.title}” of {pieceName(runsDry.pieceId)}
          {runsDry.at !== null && `, ${words.moment(runsDry.at)}`}. A second mix is never quite the first: mix enough for all before then,
          or
          {hiddenSavesMl > UNSPOKEN_ML
            ? ` spray what nobody sees first and half as heavy, which saves ${words.volume(hiddenSavesMl)}; seen faces full.`
            : ' keep the seen faces full and let one coat less lie where nobody looks.'}
        </p>
      )}
    </div>
  );
}

/** Less than two drops is nothing to speak of, mL. */
const UNSPOKEN_ML = 0.1;
