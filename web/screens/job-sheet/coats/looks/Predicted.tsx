import { PRIMER_SHADES, resolveLayer, type ResolvedLayer } from '#core/coats/index';
import { besideWords, coatsToTone, hexOf, looksAfter, type Tone } from '#core/colour/index';
import type { Lab, Part } from '#core/facts/index';
import type { LayerView, StackView } from '#core/plan/index';
import { capital, counted, listed } from '#core/units/index';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { Why } from '../../../../views/Why.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** A look within this of the paint's own is taken for it where the piece names no colour to meet. */
const LIKE_ITSELF = 2;
/** So many coats more than planned are shown, and at most this many in all. */
const COATS_BEYOND = 1;
const MOST_SHOWN = 7;

type Props = { readonly part: Part; readonly stack: StackView };

/** What will be seen: each colour coat by coat over what lies below it, and over other primers. */
export function Predicted({ part, stack }: Props) {
  const { facts } = usePlan();
  const shown = part.layers
    .map((layer) => resolveLayer(layer, facts))
    .flatMap((layer) => {
      const view = stack.layers.find((own) => own.layerId === layer.layer.id);
      return view && (layer.role === 'colour' || layer.role === 'metallic') ? [{ layer, view }] : [];
    });
  if (shown.length === 0) return null;
  return (
    <FoldingSheet title="What will be seen" className="!p-4">
      {shown.map(({ layer, view }) => (
        <CoatByCoat key={layer.layer.id} layer={layer} view={view} />
      ))}
      <OverPrimers layer={shown[0].layer} view={shown[0].view} />
      <p className="second mt-2 text-small">
        Reckoned, not seen: a screen is no colour chart. Judge a dried tile
        {shown.some(({ layer, view }) => layer.transparent || view.meets?.within === false)
          ? ': three of them, a coat less and a coat more, settle it (Sample board).'
          : '.'}
      </p>
    </FoldingSheet>
  );
}

function CoatByCoat({ layer, view }: { layer: ResolvedLayer; view: LayerView }) {
  const { meets, groundLooks, coats } = view;
  const most = Math.min(MOST_SHOWN, Math.max(3, coats + COATS_BEYOND));
  const target = meets ?? { lab: layer.lab, tolerance: LIKE_ITSELF, name: 'its own colour' };
  const tone = groundLooks ? coatsToTone(groundLooks, layer, target.lab, target.tolerance, most) : null;
  return (
    <div className="mt-3 border-t border-hairline pt-2">
      <p className="font-[650] text-ink">{layer.name}</p>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        {groundLooks && <Tile lab={groundLooks} label="ground" />}
        <ol className="flex flex-wrap" aria-label={`${layer.name}, coat by coat`}>
          {tone?.steps.map((step) => (
            <li key={step.coats} className="text-center">
              <Tile lab={step.lab} label={String(step.coats)} planned={step.coats === coats} />
            </li>
          ))}
        </ol>
        {view.looksEdgeOn && <Tile lab={view.looksEdgeOn} label="edge-on" />}
        {meets && <Tile lab={meets.lab} label="wanted" />}
      </div>
      <p className="mt-1 text-small">
        {tone ? (
          <Why
            title="Coat by coat"
            text={`Over a ground of L ${Math.round(groundLooks?.l ?? 0)}, ${counted(coats, 'coat')} come to ΔE ${(meets?.deltaE ?? view.offBy).toFixed(1)} from ${target.name}; within ΔE ${target.tolerance} counts as there.`}
            source="default"
          >
            {capital(toneText(tone, target.name, coats))}
          </Why>
        ) : (
          'Nothing lies below it whose colour is known.'
        )}
        {meets &&
          !meets.within &&
          ` As planned it will be ${listed(besideWords(view.looks, meets.lab)) || 'another colour'} than ${meets.name}.`}
      </p>
    </div>
  );
}

function toneText({ first, past, steps }: Tone, name: string, coats: number): string {
  if (first === null) {
    const near = steps.reduce((a, b) => (b.deltaE < a.deltaE ? b : a));
    return `nearest to ${name} after ${counted(near.coats, 'coat')}, ΔE ${near.deltaE.toFixed(1)}`;
  }
  const from = `${name} is there from coat ${first}`;
  if (past !== null) return `${from}, past it at ${past}`;
  return first > coats ? `${from}: ${counted(coats, 'coat')} let the ground through` : from;
}

function Tile({ lab, label, planned = false }: { lab: Lab; label: string; planned?: boolean }) {
  return (
    <span className="block text-center">
      <span aria-hidden className="block h-9 w-9 border border-[#8c8c8c]" style={{ background: hexOf(lab) }} />
      <span className={`figure text-small ${planned ? 'font-[650] underline' : ''}`}>{label}</span>
    </span>
  );
}

/** The first colour as planned, over white, grey and black primer, as colours side by side. */
function OverPrimers({ layer, view }: { layer: ResolvedLayer; view: LayerView }) {
  return (
    <div className="mt-3 border-t border-hairline pt-2">
      <p className="second text-small">
        {counted(view.coats, 'coat')} of {layer.name} over
      </p>
      <div className="mt-1 flex gap-4">
        {PRIMER_SHADES.map(({ name, lab }) => (
          <Tile key={name} lab={looksAfter(lab, layer, view.coats)} label={name} />
        ))}
      </div>
    </div>
  );
}
