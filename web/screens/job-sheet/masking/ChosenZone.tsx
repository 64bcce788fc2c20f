import { labOf } from '#core/colour/index';
import type { Cut, Part, Piece } from '#core/facts/index';
import { listed } from '#core/units/index';
import { coatsLaidOn, merged } from '#core/zones/index';
import { toast } from 'sonner';
import { newId } from '../../../app/newId.ts';
import { usePlan } from '../../../app/PlanContext.tsx';
import { PaintStrip } from '../../../views/paint.tsx';
import { colourName, SwatchPicker } from '../../../views/SwatchPicker.tsx';
import { PaintChooser } from '../coats/PaintChooser.tsx';
import { usePieceSave, withPart, withZoneOf } from '../pieceChanges.ts';
import { type Paint, withColour } from './coloured.ts';
import type { ZoneLook } from '../../../views/zoneColours.ts';

/** The zone that is chosen: its name, its colour, and the way back to what it was cut from. */
export function ChosenZone({ piece, part, look }: { piece: Piece; part: Part; look: ZoneLook }) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const paint = (own: Paint, said: string) =>
    void save(withPart(piece, part.id, { layers: withColour(part, look.id, own, facts, newId), colourOrder: undefined }), said);
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
          above={
            <div className="mb-3">
              <p className="mb-1 font-[650]">Any paint of this colour</p>
              <SwatchPicker
                chosen={[]}
                most={1}
                onChange={([hex]) => hex && paint({ name: colourName(hex), lab: labOf(hex) }, `${look.name} is ${colourName(hex)}.`)}
              />
            </div>
          }
          onChoose={(product) => paint({ product }, `${look.name} is ${product.name}.`)}
          trigger={
            <button type="button" className="chip !min-h-10">
              <PaintStrip lab={look.colour?.lab ?? null} className="h-6 w-[10px]" />
              {look.colour?.name ?? 'choose its colour'}
            </button>
          }
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
