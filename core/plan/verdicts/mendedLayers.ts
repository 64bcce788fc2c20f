import type { Remedy } from '#core/coats/index';
import { type Layer, type Part, plain } from '#core/facts/index';

/** A remedy put into the stack of a part. */

const BARRIER_LAB = { l: 70, a: 0, b: 0 };
const METALLIC_LAB = { l: 78, a: 0, b: 0 };

/** A remedy as a changed stack, where it is one; waits and scuffs the schedule does by itself. Null where it is none. */
export function layersMended(remedy: Remedy, part: Part, layerId: string, newId: () => string): Layer[] | null {
  const at = part.layers.findIndex((layer) => layer.id === layerId);
  const layer = part.layers[at];
  if (!layer) return null;
  const below = (added: Omit<Layer, 'id' | 'covers'>): Layer[] => [
    ...part.layers.slice(0, at),
    { ...added, id: newId(), covers: layer.covers },
    ...part.layers.slice(at),
  ];
  const instead = (own: Layer): Layer[] => part.layers.map((candidate, index) => (index === at ? own : candidate));
  switch (remedy.kind) {
    case 'mist':
      return instead({ ...layer, mistFirst: true });
    case 'base':
      return remedy.barrier
        ? below({ wanted: { family: remedy.barrier, role: 'metallic', name: 'silver base', lab: METALLIC_LAB }, coats: 2 })
        : null;
    case 'barrier':
      return remedy.barrier
        ? below({
            wanted: { family: remedy.barrier, role: 'primer', name: `barrier, ${plain(remedy.barrier)}`, lab: BARRIER_LAB },
            coats: 2,
            flatAfter: 800,
          })
        : null;
    case 'stand-in': {
      if (!remedy.above) return null;
      const { productId: _product, wanted, ...rest } = layer;
      const role = remedy.above.role ?? 'colour';
      return instead({
        ...rest,
        wanted: { ...(wanted ?? { name: plain(remedy.above.family), lab: remedy.lab ?? BARRIER_LAB }), role, family: remedy.above.family },
      });
    }
    case 'wait':
    case 'scuff':
    case 'brush':
    case 'thinner':
    case 'promoter':
    case 'product':
      return null;
  }
}
