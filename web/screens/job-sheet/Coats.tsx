import { type Layer, type Part, plain } from '#core/facts/index';
import { labOf } from '#core/colour/index';
import { isPlanned, type JointOfPart, layersOfSystem } from '#core/plan/index';
import { readySystems, type Remedy, remediesFor, type SystemKind } from '#core/coats/index';
import { useState } from 'react';
import { newId, useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { colourName } from '../../views/SwatchPicker.tsx';
import { sentence } from '../../views/sentence.ts';
import { Why } from '../../views/Why.tsx';
import { AddLayer } from './AddLayer.tsx';
import { CoatStack, type JointMark } from './CoatStack.tsx';
import type { SectionProps } from './JobSheet.tsx';
import { LayerList } from './LayerList.tsx';
import { PartTabs, usePart } from './PartTabs.tsx';

const RANK = { sits: 0, care: 1, stop: 2 } as const;

/** The coat stack of a part: drawn to scale, judged joint by joint, edited where it stands. */
export function Coats({ piece, view }: SectionProps) {
  const { save } = useSaving();
  const words = useWords();
  const [chosen, setChosen] = useState<string | null>(null);
  const { part, parts, choose } = usePart(piece, (own) => isPlanned(own) && own.zones.some((zone) => zone.bare === undefined));
  if (!part) return <section className="sheet">No part of this piece is painted.</section>;
  const stack = view.stacks[part.id];
  const joints = view.joints.filter((entry) => entry.partId === part.id);
  const worst = [...joints].filter((entry) => !entry.laid).sort((a, b) => RANK[b.joint.verdict] - RANK[a.joint.verdict])[0];
  const shown =
    joints.filter((entry) => entry.layerId === chosen).sort((a, b) => RANK[b.joint.verdict] - RANK[a.joint.verdict])[0] ??
    worst ??
    joints.at(-1);
  const marks: JointMark[] = part.layers.flatMap((layer) => {
    const own = joints.filter((entry) => entry.layerId === layer.id).sort((a, b) => RANK[b.joint.verdict] - RANK[a.joint.verdict])[0];
    return own ? [{ layerId: layer.id, verdict: own.joint.verdict, laid: own.laid }] : [];
  });
  const saveLayers = (layers: Layer[], said: string) =>
    void save(
      'pieces',
      { ...piece, parts: piece.parts.map((own) => (own.id === part.id ? { ...own, layers, colourOrder: undefined } : own)) },
      said,
    );
  const laidIds = new Set(stack.layers.filter((layer) => layer.laidCoats > 0).map((layer) => layer.layerId));
  return (
    <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="coats">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 id="coats" className="!text-title">
            {part.name}
            <span className="second ml-3 text-body font-[400]">
              <Why
                title="Film"
                text={`Coats times film a coat, less what flatting takes: ${Math.round(stack.filmUm)} µm where it is thickest${stack.reliefUm ? `, on relief of ${stack.reliefUm} µm at this scale` : ''}.`}
                source="default"
              >
                {Math.round(stack.filmUm)} µm film
              </Why>
              : <strong className="text-ink">{stack.reliefText}</strong>
            </span>
          </h2>
          <PartTabs parts={parts} part={part} choose={choose} />
        </div>
        {stack.needs.map((need) => (
          <p key={need} className="mt-2 border-l-4 border-ink pl-3 font-[650]">
            {need}
          </p>
        ))}
        {part.layers.length > 0 && (
          <CoatStack stack={stack} part={part} marks={marks} chosen={chosen ?? shown?.layerId ?? null} onChoose={setChosen} />
        )}
        <LayerList part={part} stack={stack} laidIds={laidIds} onChange={saveLayers} onChoose={setChosen} />
        <AddLayer
          part={part}
          stack={stack}
          onAdd={(layer) => saveLayers([...part.layers, layer], 'Layer added on top. Drag it where it belongs.')}
        />
      </section>
      <aside className="space-y-5">
        {shown && (
          <JointCard
            key={shown.layerId}
            entry={shown}
            part={part}
            nameOf={(id) => stack.layers.find((layer) => layer.layerId === id)?.name ?? plain(part.material)}
            onLayers={saveLayers}
          />
        )}
        <Systems part={part} swatches={piece.swatches} laid={laidIds.size > 0} onTake={saveLayers} />
        <section className="sheet" aria-label="Amounts">
          <h2>Paint for it</h2>
          <ul className="mt-2 space-y-1">
            {[...stack.layers].reverse().map((layer) => (
              <li key={layer.layerId} className="flex justify-between gap-3">
                <span className="truncate">{layer.name}</span>
                <Why
                  title="Amount"
                  text={`${layer.coats} × ${words.volume(layer.mlPerCoat)}: ${layer.holds === 'sweeps' ? 'a can empties by time, so the sweeps decide' : 'the film decides'}. Nozzle and residue come on top.`}
                  source={layer.source}
                >
                  <span className="figure">{words.volume(layer.ml)}</span>
                </Why>
              </li>
            ))}
          </ul>
        </section>
      </aside>
    </div>
  );
}

function JointCard({
  entry,
  part,
  nameOf,
  onLayers,
}: {
  entry: JointOfPart;
  part: Part;
  nameOf: (layerId: string) => string;
  onLayers: (layers: Layer[], said: string) => void;
}) {
  const { joint, laid, layerId, belowLayerId } = entry;
  const remedies = laid
    ? []
    : remediesFor(joint.below, joint.above)
        .filter((remedy) => remedy.verdict !== 'stop')
        .slice(0, 4);
  const below = belowLayerId ? nameOf(belowLayerId) : `bare ${plain(part.material)}`;
  const applied = (remedy: Remedy): Layer[] | null => layersWith(remedy, part, layerId);
  return (
    <section className="sheet border-t-4 !border-t-ink" aria-label="Joint" aria-live="polite">
      <h2>
        {sentence(nameOf(layerId))} on {below}: {laid ? 'laid' : joint.verdict}
      </h2>
      <p className="mt-2">{joint.answer.because}</p>
      <p className="second mt-2 text-small">
        Rule {joint.answer.rule} ·{' '}
        <Why
          title="How it was judged"
          text={
            <ul className="space-y-1">
              {joint.answer.findings.map((finding) => (
                <li key={finding.rule}>
                  <strong>{finding.rule}</strong> {finding.verdict}: {finding.because}
                </li>
              ))}
            </ul>
          }
          source="default"
        >
          why?
        </Why>
      </p>
      {remedies.length > 0 && (
        <>
          <h3 className="mt-4 border-b border-hairline pb-1 font-[650] text-ink">Ways to mend it</h3>
          <ul>
            {remedies.map((remedy) => {
              const layers = applied(remedy);
              return (
                <li key={remedy.text} className="flex items-center justify-between gap-3 border-b border-hairline py-2">
                  <span>
                    <span className="font-[650] text-ink">{sentence(remedy.text)}</span>
                    <span className="second block text-small">then it is: {remedy.verdict}</span>
                  </span>
                  {layers && (
                    <button type="button" className="chip" onClick={() => onLayers(layers, 'Taken. The plan has moved.')}>
                      Take
                    </button>
                  )}
                </li>
              );
            })}
          </ul>
        </>
      )}
    </section>
  );
}

/** A remedy as a changed stack, where it is one; waits and scuffs the schedule does by itself. */
function layersWith(remedy: Remedy, part: Part, layerId: string): Layer[] | null {
  const at = part.layers.findIndex((layer) => layer.id === layerId);
  const layer = part.layers[at];
  if (!layer) return null;
  const replaced = (own: Layer) => part.layers.map((candidate, index) => (index === at ? own : candidate));
  if (remedy.kind === 'mist') return replaced({ ...layer, mistFirst: true });
  if (remedy.kind === 'barrier' && remedy.barrier) {
    if (remedy.above === undefined && remedy.text.startsWith('a metallic')) {
      const metallic: Layer = {
        id: newId(),
        wanted: { family: remedy.barrier, role: 'metallic', name: 'silver base', lab: { l: 78, a: 0, b: 0 } },
        coats: 2,
        covers: layer.covers,
      };
      return [...part.layers.slice(0, at), metallic, ...part.layers.slice(at)];
    }
    const barrier: Layer = {
      id: newId(),
      wanted: { family: remedy.barrier, role: 'primer', name: `barrier, ${plain(remedy.barrier)}`, lab: { l: 70, a: 0, b: 0 } },
      coats: 2,
      covers: layer.covers,
      flatAfter: 800,
    };
    return [...part.layers.slice(0, at), barrier, ...part.layers.slice(at)];
  }
  if (remedy.kind === 'product' && remedy.above && remedy.above.family !== undefined && remedy.text.endsWith('instead')) {
    const wanted = layer.wanted ?? {
      family: remedy.above.family,
      role: remedy.above.role ?? 'colour',
      name: plain(remedy.above.family),
      lab: { l: 60, a: 0, b: 0 },
    };
    return replaced({ ...layer, productId: undefined, wanted: { ...wanted, family: remedy.above.family } });
  }
  return null;
}

/** Three ready systems to start from. */
function Systems({
  part,
  swatches,
  laid,
  onTake,
}: {
  part: Part;
  swatches: readonly string[];
  laid: boolean;
  onTake: (layers: Layer[], said: string) => void;
}) {
  const colours = (swatches.length > 0 ? swatches : ['#a9adb0']).map((hex) => ({ name: colourName(hex), lab: labOf(hex) }));
  const systems = readySystems({
    material: part.material,
    colours: colours.slice(0, 1).map((colour) => ({ ...colour, covers: 'all' as const })),
  });
  if (laid) return null;
  const take = (kind: SystemKind) => onTake(layersOfSystem(kind, part, colours, newId), 'System laid out. Every layer can be changed.');
  return (
    <section className="sheet" aria-label="Ready systems">
      <h2>Start from a system</h2>
      <ul className="mt-1">
        {systems.map((system) => (
          <li key={system.kind} className="flex items-center justify-between gap-3 border-b border-hairline py-2 last:border-0">
            <span>
              <span className="font-[650] text-ink">{system.title}</span>
              <span className="second block text-small">{system.text}</span>
            </span>
            <button type="button" className="chip" onClick={() => take(system.kind)} aria-label={`Take the system: ${system.title}`}>
              Take
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
