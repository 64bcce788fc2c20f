import { glossOf, resolveLayer, SHEEN_UNITS, sheenLevers, sheenName } from '#core/coats/index';
import { type EventOf, type Part, type Piece, type Sheen, sheenSchema, standingEvents } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';
import { logEvents } from '../../../../app/writing/logging.ts';
import { newId } from '../../../../app/writing/newId.ts';
import { nowMinute, usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { Why } from '../../../../views/Why.tsx';
import { usePieceSave, withZoneOf } from '../../pieceChanges.ts';

const OPTIONS = sheenSchema.options.map((value) => ({ value, label: value }));

/** The gloss it dries to, the gloss wanted of each zone, the ways between, and how it really looked wet and dried down. */
export function SheenOf({ piece, part, stack }: { piece: Piece; part: Part; stack: StackView }) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const top = part.layers.map((layer) => resolveLayer(layer, facts)).at(-1);
  if (!top) return null;
  const { gloss, source } = glossOf(top.family, top.role, top.label);
  const readings = standingEvents(facts.events).filter(
    (event): event is EventOf<'sheen-read'> =>
      event.kind === 'sheen-read' && event.pieceId === piece.id && event.partId === part.id && event.layerId === top.layer.id,
  );
  const dry = readings.filter((event) => event.when === 'dry').at(-1);
  const have = dry ? SHEEN_UNITS[dry.looks] : gloss;
  const laid = (stack.layers.find((own) => own.layerId === top.layer.id)?.laidCoats ?? 0) > 0;
  const zones = part.zones.filter((own) => own.bare === undefined);
  const open = zones.flatMap((zone) =>
    zone.sheen ? sheenLevers(have, zone.sheen, { role: top.role, ...(top.label ? { label: top.label } : {}) }) : [],
  );
  return (
    <div className="mt-3 border-t border-hairline pt-2">
      <p>
        It dries to {sheenName(gloss)},{' '}
        <Why title="Gloss" text="Gloss units at 60°, judged once it has dried down: satins look glossy wet." source={source}>
          about {Math.round(gloss)} units
        </Why>
        {dry && `; here it dried to ${dry.looks}`}.
      </p>
      {zones.map((zone) => (
        <div key={zone.id} className="mt-1">
          <p className="second text-small">{zones.length > 1 ? `${zone.name}, wanted` : 'wanted'}</p>
          <Chips
            legend={`Sheen wanted of ${zone.name}`}
            hideLegend
            options={OPTIONS}
            value={zone.sheen}
            onChange={(sheen) =>
              void save(
                withZoneOf(piece, part.id, zone.id, (own) => ({ ...own, sheen })),
                'Noted: the plan has a look at it once it has dried down.',
              )
            }
          />
        </div>
      ))}
      {open.length > 0 && (
        <ul className="mt-1 list-disc pl-5 text-small">
          {[...new Set(open)].map((lever) => (
            <li key={lever}>{lever}</li>
          ))}
        </ul>
      )}
      {laid && <Readings pieceId={piece.id} partId={part.id} layerId={top.layer.id} readings={readings} />}
    </div>
  );
}

/** How it looked wet, and how it looks now that it has dried down. */
function Readings({
  pieceId,
  partId,
  layerId,
  readings,
}: {
  pieceId: string;
  partId: string;
  layerId: string;
  readings: readonly EventOf<'sheen-read'>[];
}) {
  const words = useWords();
  const log = (when: 'wet' | 'dry', looks: Sheen) =>
    void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'sheen-read', pieceId, partId, layerId, when, looks }]);
  return (
    <>
      {(['wet', 'dry'] as const).map((when) => {
        const last = readings.filter((event) => event.when === when).at(-1);
        return (
          <div key={when} className="mt-2">
            <p className="second text-small">
              {when === 'wet' ? 'wet it looked' : 'dried down it looks'}
              {last && `, ${words.moment(toMinute(last.at))}`}
            </p>
            <Chips
              legend={when === 'wet' ? 'Wet it looked' : 'Dried down it looks'}
              hideLegend
              options={OPTIONS}
              value={last?.looks}
              onChange={(looks) => log(when, looks)}
            />
          </div>
        );
      })}
    </>
  );
}
