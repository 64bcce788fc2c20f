import { coatsForColour } from '#core/coats/index';
import type { Layer, Part, Product } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { newId } from '../../../app/newId.ts';
import { WhereOn } from '../../../views/WhereOn.tsx';
import { PaintChooser } from './PaintChooser.tsx';

/** A layer from the shelf in two presses: where, and which paint. Its coats come from the hiding rule. */
export function AddLayer({ part, stack, onAdd }: { part: Part; stack: StackView; onAdd: (layer: Layer) => void }) {
  const [covers, setCovers] = useState<Layer['covers']>('all');
  const painted = part.zones.filter((zone) => zone.bare === undefined);
  const add = (product: Product, role: string) => {
    const ground = stack.layers.filter((layer) => layer.role !== 'clear').at(-1)?.lab;
    const coats = role === 'clear' || !ground ? 2 : coatsForColour(ground, product.lab, product.share);
    onAdd({ id: newId(), productId: product.id, coats, covers });
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
      above={where}
      onChoose={add}
      trigger={
        <button type="button" className="act mt-3 !min-h-10">
          <Plus size={16} aria-hidden /> Add a layer
        </button>
      }
    />
  );
}
