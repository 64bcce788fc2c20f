import { type Cut, hasPaintedZone, type Part } from '#core/facts/index';
import { isPlanned } from '#core/safety/index';
import { counted } from '#core/units/index';
import { schematic, zoneSize } from '#core/zones/index';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { Chips } from '../../../views/fields/Chips.tsx';
import { sentence } from '../../../views/words/sentence.ts';
import { PartTabs, usePart } from '../PartTabs.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import type { SectionProps } from '../sectionProps.ts';
import { ChosenZone } from './ChosenZone.tsx';
import { Covers } from './Covers.tsx';
import { DivideZone } from './DivideZone.tsx';
import { DressingsView } from './dressings/DressingsView.tsx';
import { Held } from './Held.tsx';
import { Lines } from './Lines.tsx';
import { NoOrder } from './NoOrder.tsx';
import { OrderCosts } from './OrderCosts.tsx';
import { OrderPictures } from './OrderPictures.tsx';
import { PartDrawing } from './PartDrawing.tsx';
import { TracedOnPicture } from './TracedOnPicture.tsx';
import { Stencils } from './Stencils.tsx';
import { TapeSteps } from './TapeSteps.tsx';
import { TraceZone } from './TraceZone.tsx';
import { shareOfZones, zoneLooks } from '../../../views/drawn/zoneColours.ts';

const VIEWS = [
  { value: 'zones', label: 'Zones and order' },
  { value: 'details', label: 'Details and decals' },
] as const;
type View = (typeof VIEWS)[number]['value'];

/** Where each colour goes, which first, what is covered, and when tape goes on and comes off. */
export function Masking(props: SectionProps) {
  const { piece } = props;
  const { part, parts, choose } = usePart(piece, (own) => isPlanned(own) && hasPaintedZone(own));
  const [params, setParams] = useSearchParams();
  if (!part) return <section className="sheet">Every part stays bare: there is nothing to mask.</section>;
  const shown: View = params.get('view') === 'details' ? 'details' : 'zones';
  const head = (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <Chips
        legend="What is looked at"
        hideLegend
        options={VIEWS}
        value={shown}
        onChange={(view) => setParams({ view, part: part.id }, { replace: true })}
      />
      <PartTabs
        parts={parts}
        part={part}
        choose={shown === 'details' ? (id) => setParams({ view: 'details', part: id }, { replace: true }) : choose}
      />
    </div>
  );
  return shown === 'details' ? (
    <DressingsView {...props} part={part} head={head} />
  ) : (
    <Zones key={part.id} {...props} part={part} head={head} />
  );
}

function Zones({ piece, view, part, head }: SectionProps & { readonly part: Part; readonly head: React.ReactNode }) {
  const { plan } = usePlan();
  const save = usePieceSave();
  const stack = view.stacks[part.id];
  const looks = zoneLooks(part, stack);
  const drawn = schematic(part, shareOfZones(part));
  const [wished, choose] = useState<string | null>(null);
  const [tracing, trace] = useState(false);
  const chosen = looks.find((look) => look.id === wished) ?? looks[0];
  const order = view.masking[part.id];
  const steps = plan.steps.filter((step) => step.pieceId === piece.id && step.on.some((on) => on.partId === part.id));
  const cut = (own: Cut) => {
    trace(false);
    // The new zone is the one to go on with.
    choose(own.into[own.how === 'line' || own.how === 'ends' ? 1 : own.into.length - 1].id);
    void save(withPart(piece, part.id, { cuts: [...(part.cuts ?? []), own] }), 'Divided: choose a colour for the new zone.');
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_320px]">
      <section className="sheet" aria-labelledby="masking">
        {head}
        <h2 id="masking" className="mt-3 !text-title">
          {part.name}: {looks.length === 1 ? 'one zone' : counted(looks.length, 'zone')}
        </h2>
        {order && <p className="mt-1">{sentence(order.because)}</p>}
        <PartDrawing drawn={drawn} looks={looks} chosen={chosen.id} tall={tallestOf(part) / longestOf(part)} onChoose={choose} />
        <TracedOnPicture piece={piece} part={part} looks={looks} chosen={chosen.id} onChoose={choose} />
        {order && (
          <>
            <h3 className="mt-3 font-[650] text-ink">In this order</h3>
            <OrderPictures order={order} stack={stack} drawn={drawn} steps={steps} />
          </>
        )}
        <ZoneButtons looks={looks} chosen={chosen.id} onChoose={choose} />
        <ChosenZone piece={piece} part={part} look={chosen} order={order} />
        {tracing ? (
          <TraceZone piece={piece} part={part} zone={chosen} onCut={cut} onCancel={() => trace(false)} />
        ) : (
          <DivideZone part={part} zone={chosen} size={zoneSize(part, chosen.id)} onCut={cut} onTrace={() => trace(true)} />
        )}
        <TapeSteps part={part} steps={steps.filter((step) => step.stage === 'mask' || step.stage === 'unmask')} />
        <Lines piece={piece} part={part} />
        <Stencils piece={piece} part={part} />
      </section>
      <aside className="space-y-5">
        {stack.unordered.length > 0 && <NoOrder piece={piece} part={part} unordered={stack.unordered} />}
        {order && (
          <OrderCosts
            part={part}
            order={order}
            stack={stack}
            onBrush={(layerId) =>
              void save(
                withPart(piece, part.id, {
                  layers: part.layers.map((layer) => (layer.id === layerId ? { ...layer, hand: 'brush' } : layer)),
                }),
                'It is brushed: nothing is masked for it.',
              )
            }
            onInsist={(colourOrder) =>
              void save(
                withPart(piece, part.id, { colourOrder }),
                colourOrder ? 'Your order is planned.' : 'The cheapest order is planned.',
              )
            }
          />
        )}
        <Covers piece={piece} part={part} />
        <Held piece={piece} part={part} />
      </aside>
    </div>
  );
}

/** The same choice as on the drawing, for keys and fingers. */
function ZoneButtons({
  looks,
  chosen,
  onChoose,
}: {
  looks: readonly { readonly id: string; readonly name: string }[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  if (looks.length < 2) return null;
  return (
    <fieldset className="mt-3 flex flex-wrap gap-2">
      <legend className="sr-only">Zone</legend>
      {looks.map((look) => (
        <button key={look.id} type="button" className="chip !min-h-10" aria-pressed={look.id === chosen} onClick={() => onChoose(look.id)}>
          {look.name}
        </button>
      ))}
    </fieldset>
  );
}

function longestOf(part: Part): number {
  return Math.max(...part.faces.map((face) => Math.max(face.longMm, face.shortMm)));
}

function tallestOf(part: Part): number {
  return Math.max(...part.faces.map((face) => Math.min(face.longMm, face.shortMm)));
}
