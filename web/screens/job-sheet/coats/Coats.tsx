import { type Facts, hasPaintedZone, type Layer, type Part, type Piece } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { onTheirGrounds } from './looks/onTheirGrounds.ts';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { Why } from '../../../views/Why.tsx';
import { AddLayer, type LayerPlace } from './AddLayer.tsx';
import { BetweenLayers } from './BetweenLayers.tsx';
import { Board } from './boards/Board.tsx';
import { CompareSystems } from './choosing/CompareSystems.tsx';
import { CoatStack, type JointMark } from './CoatStack.tsx';
import { JointCard } from './JointCard.tsx';
import { LevelEdges } from './looks/LevelEdges.tsx';
import { Levers } from './looks/Levers.tsx';
import { Mixing } from './looks/Mixing.tsx';
import { MissedWindow } from './MissedWindow.tsx';
import { Optional } from './Optional.tsx';
import { PaintForIt } from './PaintForIt.tsx';
import { Predicted } from './looks/Predicted.tsx';
import { Systems } from './choosing/Systems.tsx';
import { Tiles } from './boards/Tiles.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { LayerList } from './LayerList.tsx';
import { GuessMark, settled } from '../GuessMark.tsx';
import { editPiece, usePieceSave } from '../pieceChanges.ts';
import { PartTabs, usePart } from '../PartTabs.tsx';
import { isTile } from '#core/plan/index';
import { isPlanned } from '#core/safety/index';
import { dividedPart } from '#core/zones/index';

const RANK = { sits: 0, care: 1, stop: 2 } as const;

/** The coat stack of a part: drawn to scale, judged joint by joint, edited where it stands. */
export function Coats({ piece, view }: SectionProps) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const [chosen, setChosen] = useState<string | null>(null);
  const { part: stored, parts, choose } = usePart(piece, (own) => isPlanned(own) && hasPaintedZone(own));
  if (!stored) return <section className="sheet">No part of this piece is painted.</section>;
  // Layers are shown and edited on the zones as they stand; what is saved of the part is its layers alone.
  const part = dividedPart(stored);
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
  const saveLayers = (wished: Layer[], said: string) => {
    const { piece: changed, said: told } = withLayers(piece, part, wished, said, facts);
    void save(changed, told);
  };
  /** Presses in the list are counted one by one, however quick: each changes the layers that the one before it left. */
  const editLayers = (edit: (layers: readonly Layer[]) => Layer[], said: string) =>
    void editPiece(piece.id, (now) => {
      const own = now.parts.find(({ id }) => id === part.id);
      const standing = own && dividedPart(own);
      return standing ? withLayers(now, standing, edit(standing.layers), said, facts) : null;
    });
  const laidIds = new Set(stack.layers.filter((layer) => layer.laidCoats > 0).map((layer) => layer.layerId));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
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
            </span>{' '}
            <GuessMark piece={piece} guess={`coats:${part.id}`} />
          </h2>
          <PartTabs parts={parts} part={part} choose={choose} />
        </div>
        {stack.needs.map((need) => (
          <p key={need} className="mt-2 border-l-4 border-ink pl-3 font-[650]">
            {need}
          </p>
        ))}
        {part.layers.length > 0 && (
          <CoatStack
            stack={stack}
            part={part}
            ground={view.grounds[part.id]}
            marks={marks}
            chosen={chosen ?? shown?.layerId ?? null}
            onChoose={setChosen}
          />
        )}
        <LayerList piece={piece} part={part} stack={stack} laidIds={laidIds} onEdit={editLayers} onChoose={setChosen} />
        <BetweenLayers
          pieceId={piece.id}
          part={part}
          layers={stack.layers}
          dressings={view.dressings.filter((own) => own.partId === part.id)}
        />
        <Optional piece={piece} part={part} layers={stack.layers} onLayers={saveLayers} />
        <AddLayer
          piece={piece}
          part={part}
          stack={stack}
          onAdd={(layer, at) => {
            const place = placeFor(at, part, stack);
            saveLayers([...part.layers.slice(0, place), layer, ...part.layers.slice(place)], ADDED[at]);
          }}
        />
      </section>
      <aside className="space-y-5">
        {shown && (
          <JointCard
            key={shown.layerId}
            piece={piece}
            part={part}
            ground={view.grounds[part.id]}
            entry={shown}
            layers={stack.layers}
            onLayers={saveLayers}
          />
        )}
        <MissedWindow piece={piece} part={part} onLayers={saveLayers} />
        {isTile(piece, part) && <Tiles piece={piece} part={part} layers={stack.layers} />}
        <Board piece={piece} part={part} joints={view.joints} />
        <Predicted part={part} stack={stack} />
        <Levers piece={piece} part={part} stack={stack} />
        <LevelEdges part={part} stack={stack} />
        <Mixing part={part} stack={stack} />
        <Systems piece={piece} part={part} laid={laidIds.size > 0} onTake={saveLayers} />
        <CompareSystems piece={piece} />
        <PaintForIt part={part} layers={stack.layers} />
      </aside>
    </div>
  );
}

const ADDED: Record<LayerPlace, string> = {
  bottom: 'Layer added below all others.',
  colour: 'Layer added above the colours, under the clear.',
  top: 'Layer added on top.',
};

/** Laid film cannot be gone under; a colour lands under the clears that close the stack. */
function placeFor(at: LayerPlace, part: Part, stack: StackView): number {
  const view = (id: string) => stack.layers.find(({ layerId }) => layerId === id);
  const laid = part.layers.findLastIndex(({ id }) => (view(id)?.laidCoats ?? 0) > 0) + 1;
  if (at === 'bottom') return laid;
  if (at === 'top') return part.layers.length;
  const lastOpaque = part.layers.findLastIndex(({ id }) => view(id)?.role !== 'clear') + 1;
  return Math.max(laid, lastOpaque);
}

/** A piece with other layers on one part, each with the coats it takes on its ground; only a person’s own count settles the guess. */
function withLayers(piece: Piece, part: Part, wished: Layer[], said: string, facts: Facts): { piece: Piece; said: string } {
  const guess = `coats:${part.id}`;
  const { layers, note } = onTheirGrounds(part.layers, wished, facts, piece.guesses.includes(guess));
  const countedByHand = wished.some((layer) => part.layers.some((own) => own.id === layer.id && own.coats !== layer.coats));
  return {
    piece: {
      ...(countedByHand ? settled(piece, guess) : piece),
      parts: piece.parts.map((own) => (own.id === part.id ? { ...own, layers, colourOrder: undefined } : own)),
    },
    said: note ? `${said} ${note}` : said,
  };
}
