import type { Cut, Family, Part, Piece } from '#core/facts/index';
import { listed } from '#core/units/index';
import { type OrderAnswer, type Paint, tapeSafety, withColour, withLaterRound, withLock } from '#core/masking/index';
import { coatsLaidOn, dividedPart, merged } from '#core/zones/index';
import { toast } from 'sonner';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { PaintStrip } from '../../../views/drawn/paint.tsx';
import { AnyPaint } from '../coats/choosing/AnyPaint.tsx';
import { PaintChooser } from '../coats/choosing/PaintChooser.tsx';
import { usePieceSave, withPart, withZoneOf } from '../pieceChanges.ts';
import { ChangeCut } from './ChangeCut.tsx';
import type { ZoneLook } from '../../../views/drawn/zoneColours.ts';

/** The zone that is chosen: its name, its colour, and the way back to what it was cut from. */
export function ChosenZone({ piece, part, look, order }: { piece: Piece; part: Part; look: ZoneLook; order: OrderAnswer | undefined }) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const paint = (own: Paint, said: string) =>
    void save(withPart(piece, part.id, { layers: withColour(part, look.id, own, facts, newId), colourOrder: undefined }), said);
  const laterRound = withLaterRound(part, look.id, facts, newId);
  const cut = part.cuts?.find((own) => own.merged !== true && own.into.some((zone) => zone.id === look.id));
  const together = (own: Cut) => {
    const answer = merged(part, own.id, coatsLaidOn(facts, piece.id, part.id), facts.events);
    if ('refused' in answer) return void toast(answer.refused);
    void save({ ...piece, parts: piece.parts.map((other) => (other.id === part.id ? answer.part : other)) }, 'They are one zone again.');
  };
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2 border-t border-hairline pt-3">
      <input
        key={look.id}
        className="field !min-h-10 !w-44 font-[650]"
        aria-label="Name of the zone"
        defaultValue={look.name}
        maxLength={80}
        onBlur={(event) => {
          const name = event.target.value.trim();
          if (name && name !== look.name)
            void save(
              withZoneOf(piece, part.id, look.id, (zone) => ({ ...zone, name })),
              'Named.',
            );
        }}
      />
      {look.bare === undefined && (
        <PaintChooser
          label={`Colour of ${look.name}`}
          above={(close) => (
            <AnyPaint
              piece={piece}
              onTake={({ transparent: _through, targetId: _target, ...colour }) => {
                paint(colour, `${look.name} is ${colour.name}.`);
                close();
              }}
            />
          )}
          onChoose={(product) => paint({ product }, `${look.name} is ${product.name}.`)}
          trigger={
            <button type="button" className="chip !min-h-10">
              <PaintStrip lab={look.colour?.lab ?? null} className="h-6 w-[10px]" />
              {look.colour?.name ?? 'choose its colour'}
            </button>
          }
        />
      )}
      {laterRound && (
        <button
          type="button"
          className="chip !min-h-10"
          onClick={() =>
            void save(
              withPart(piece, part.id, { layers: laterRound, colourOrder: undefined }),
              `${look.name} is a round of its own: the same colour, later.`,
            )
          }
        >
          in a later round
        </button>
      )}
      <TapeWord
        look={look}
        part={part}
        order={order}
        onLock={(layerId) =>
          void save(withPart(piece, part.id, { layers: withLock(part, layerId, facts, newId) }), 'Locked under clear: tape goes on that.')
        }
      />
      {cut && (
        <ChangeCut
          key={`${cut.id}${JSON.stringify(cut.numbers)}`}
          part={part}
          cut={cut}
          onChange={(cuts) => void save(withPart(piece, part.id, { cuts }), 'The division has moved, and all that follows from it.')}
        />
      )}
      {cut && (
        <button type="button" className="chip !min-h-10" onClick={() => together(cut)}>
          put {listed(cut.into.map((zone) => zone.name.toLowerCase()))} together
        </button>
      )}
    </div>
  );
}

/** What is to be known of tape on this zone's colour before anything is sprayed: never, or only under a clear. */
function TapeWord({
  look,
  part,
  order,
  onLock,
}: {
  look: ZoneLook;
  part: Part;
  order: OrderAnswer | undefined;
  onLock: (layerId: string) => void;
}) {
  const { colour } = look;
  const touches = dividedPart(part).edges.some(({ a, b }) => a === look.id || b === look.id);
  if (!colour || !touches) return null;
  const safety = tapeSafety(colour.family as Family);
  if (safety === 'clock') return null;
  if (safety === 'never')
    return (
      <p className="basis-full border-l-4 border-ink pl-3 font-[650]">
        {colour.name} can never be taped: it goes on after all that touches it.
      </p>
    );
  const masked = order?.steps.some(({ zoneId, locked }) => zoneId === colour.layerId && locked);
  if (!masked) return null;
  return (
    <p className="basis-full border-l-4 border-ink pl-3">
      {colour.name} takes tape only under a cured clear, or on the clock at its own risk. A lock costs{' '}
      <span className="figure">{Math.round(order?.parts.locking ?? 0)} min</span> and its curing.{' '}
      <button type="button" className="chip ml-1 !min-h-9" onClick={() => onLock(colour.layerId)}>
        lock it under clear
      </button>
    </p>
  );
}
