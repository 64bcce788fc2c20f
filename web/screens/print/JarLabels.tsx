import { DROP_ML, hexOf } from '#core/colour/index';
import { plain, standingEvents } from '#core/facts/index';
import { keepsUntil } from '#core/mixing/index';
import { dateFigures, localMoment, toMinute } from '#core/units/index';
import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';

/** Labels for the jars of what was mixed: name, colour, recipe, day and piece. */
export function JarLabels() {
  const { facts, workshop } = usePlan();
  const words = useWords();
  const events = standingEvents(facts.events);
  const putRight = new Set(events.flatMap((event) => (event.kind === 'mixed' && event.intoCanId ? [event.intoCanId] : [])));
  const jars = events.flatMap((event) => {
    const product = event.kind === 'mixed' ? facts.products.find((own) => own.id === event.productId) : undefined;
    // Drops poured into a jar are on its own label.
    if (event.kind !== 'mixed' || !product || event.intoCanId !== undefined) return [];
    // What was put right has the recipe it has now.
    return [{ event, product, parts: putRight.has(`${event.id}-0`) ? (product.mix?.parts ?? event.parts) : event.parts }];
  });
  const nameOf = (id: string) => facts.products.find((own) => own.id === id)?.name ?? 'a paint since taken out';
  return (
    <div className="mx-auto max-w-4xl">
      <p className="noprint mb-4 flex items-center gap-4">
        <button type="button" className="act" data-first="true" onClick={() => print()}>
          Print
        </button>
        <Link className="linklike" to="/colour">
          Back to Colour
        </Link>
      </p>
      <div className="sheet">
        <h1>Jars</h1>
        {jars.length === 0 && <p className="mt-2">Nothing has been mixed yet: a mix gets its label here.</p>}
        <ul className="mt-4 grid grid-cols-2 sm:grid-cols-3">
          {jars.map(({ event, product, parts }) => {
            const piece = facts.pieces.find((own) => own.id === event.pieceId);
            const family = facts.sheets.find((sheet) => sheet.id === product.sheetId)?.family ?? 'unknown';
            const until = keepsUntil(family, localMoment(toMinute(event.at), workshop.timeZone).date);
            return (
              <li key={event.id} className="break-inside-avoid border border-dashed border-second p-3">
                <span
                  aria-hidden
                  className="block h-6 border border-black/30 [print-color-adjust:exact]"
                  style={{ background: hexOf(product.lab) }}
                />
                <span className="mt-1 block font-[650] text-ink">{product.name}</span>
                <span className="second block text-small">
                  {words.date(toMinute(event.at))}
                  {piece ? `, for ${piece.name}` : ''}
                </span>
                <ul className="mt-1">
                  {parts.map((part) => (
                    <li key={part.productId} className="flex justify-between gap-2 text-small">
                      <span>{nameOf(part.productId)}</span>
                      <span className="figure shrink-0">{words.poured(Math.round(part.ml / DROP_ML))}</span>
                    </li>
                  ))}
                </ul>
                <span className="second mt-1 block text-small">
                  {plain(family)}; no hardener in it; stir up again
                  {until && `; good until ${dateFigures(until, workshop.units.dates ?? 'day-first')}`}
                </span>
              </li>
            );
          })}
        </ul>
      </div>
    </div>
  );
}
