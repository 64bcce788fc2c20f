import { coatsForColour, knownPaint } from '#core/coats/index';
import { hidingShare } from '#core/colour/index';
import type { Family, Layer, Part, Piece, Product } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { CAN_KINDS, type CanKind, familyOver } from '../../../views/paintKinds.ts';
import { WhereOn } from '../../../views/WhereOn.tsx';
import { type AnyColour, AnyPaint, wantedOf } from './choosing/AnyPaint.tsx';
import { PaintChooser } from './choosing/PaintChooser.tsx';

/** Primers and clears: what is wanted of them is their kind. */
const UNCOLOURED = CAN_KINDS.filter(({ role, clear }) => clear || role.endsWith('primer'));
const PRIMER_LAB = { l: 62, a: 0, b: 0 };
const CLEAR_LAB = { l: 97, a: 0, b: 0 };
/** Where nothing below asks for more. */
const COATS = 2;

/** Where a new layer lands: below everything, above the other colours and under the clear, or on top. */
export type LayerPlace = 'bottom' | 'colour' | 'top';

/** A layer from the shelf in two presses: where, and which paint. Its coats come from the hiding rule. */
export function AddLayer({
  piece,
  part,
  stack,
  onAdd,
}: {
  piece: Piece;
  part: Part;
  stack: StackView;
  onAdd: (layer: Layer, at: LayerPlace) => void;
}) {
  const { facts } = usePlan();
  const [covers, setCovers] = useState<Layer['covers']>('all');
  const painted = part.zones.filter((zone) => zone.bare === undefined);
  const below = stack.layers.filter((layer) => layer.role !== 'clear').at(-1);
  const add = (product: Product, role: string) => {
    const coats = role === 'clear' || !below ? COATS : coatsForColour(below.lab, product.lab, knownPaint(product, facts).share);
    onAdd({ id: newId(), productId: product.id, coats, covers }, role === 'clear' ? 'top' : role.endsWith('primer') ? 'bottom' : 'colour');
  };
  const addAny = (colour: AnyColour) => {
    const wanted = wantedOf(colour, (below?.family as Family | undefined) ?? 'acrylic-lacquer');
    const coats = colour.transparent || !below ? COATS : coatsForColour(below.lab, colour.lab, hidingShare(colour.lab, colour.flake));
    onAdd({ id: newId(), wanted, coats, covers, ...(colour.targetId ? { targetId: colour.targetId } : {}) }, 'colour');
  };
  /** A primer goes below everything, a clear on top. */
  const addKind = (kind: CanKind) => {
    const wanted = {
      family: familyOver(kind, below?.family as Family | undefined),
      role: kind.role,
      name: kind.label,
      lab: kind.clear ? CLEAR_LAB : PRIMER_LAB,
      ...(kind.gloss === undefined ? {} : { gloss: kind.gloss }),
    };
    onAdd({ id: newId(), wanted, coats: kind.family === 'etch-primer' ? 1 : COATS, covers }, kind.clear ? 'top' : 'bottom');
  };
  const where = painted.length > 1 && (
    <p className="mb-3 flex items-center gap-2">
      <span className="font-[650]">Where</span>
      <WhereOn label="Where it goes" zones={painted} covers={covers} onChange={setCovers} />
    </p>
  );
  return (
    <PaintChooser
      label="Add a layer"
      above={(close) => (
        <>
          {where}
          <AnyPaint
            piece={piece}
            onTake={(colour) => {
              addAny(colour);
              close();
            }}
          />
          <div className="mb-3">
            <p className="mb-1 font-[650]">A primer or a clear that is not here yet</p>
            <div className="flex flex-wrap gap-1.5">
              {UNCOLOURED.map((kind) => (
                <button
                  key={kind.value}
                  type="button"
                  className="chip !min-h-9 !px-2"
                  onClick={() => {
                    addKind(kind);
                    close();
                  }}
                >
                  {kind.label}
                </button>
              ))}
            </div>
          </div>
        </>
      )}
      onChoose={add}
      trigger={
        <button type="button" className="act mt-3 !min-h-10">
          <Plus size={16} aria-hidden /> Add a layer
        </button>
      }
    />
  );
}
