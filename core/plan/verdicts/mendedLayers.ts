import type { Remedy } from '#core/coats/index';
import { type Family, type Layer, type Part, plain } from '#core/facts/index';

/** A remedy put into the stack of a part. */

const BARRIER_LAB = { l: 70, a: 0, b: 0 };
const METALLIC_LAB = { l: 78, a: 0, b: 0 };
const CLEAR_LAB = { l: 100, a: 0, b: 0 };

type Added = Omit<Layer, 'id' | 'covers'>;

/** A metallic base of its own, or one more coat of the one that is past its window. */
function freshBase(family: Family, under: Layer | undefined, remedy: Remedy): Added {
  const again = remedy.text.startsWith('scuff') && under;
  if (again) return { ...(under.productId ? { productId: under.productId } : { wanted: under.wanted }), coats: 1 };
  return { wanted: { family, role: 'metallic', name: 'silver base', lab: METALLIC_LAB }, coats: 2 };
}

/** A clear barrier is keyed with a grey pad at most: what lies below is to be seen. */
function barrierLayer(family: Family, role: 'primer' | 'clear'): Added {
  const lab = role === 'clear' ? CLEAR_LAB : BARRIER_LAB;
  const name = role === 'clear' ? `clear barrier, ${plain(family)}` : `barrier, ${plain(family)}`;
  return { wanted: { family, role, name, lab }, coats: 2, flatAfter: 800 };
}

/** What goes first on a bare ground. */
function primerLayer(family: Family): Added {
  return { wanted: { family, role: 'primer', name: plain(family), lab: BARRIER_LAB }, coats: 2, flatAfter: 800 };
}

/** A remedy as a changed stack, where it is one; waits and scuffs the schedule does by itself. Null where it is none. */
export function layersMended(remedy: Remedy, part: Part, layerId: string, newId: () => string): Layer[] | null {
  const at = part.layers.findIndex((layer) => layer.id === layerId);
  const layer = part.layers[at];
  if (!layer) return null;
  const below = (added: Added): Layer[] => [
    ...part.layers.slice(0, at),
    { ...added, id: newId(), covers: layer.covers },
    ...part.layers.slice(at),
  ];
  const instead = (own: Layer): Layer[] => part.layers.map((candidate, index) => (index === at ? own : candidate));
  switch (remedy.kind) {
    case 'mist':
      return instead({ ...layer, mistFirst: true });
    case 'brush':
      return remedy.above?.by ? instead({ ...layer, hand: remedy.above.by }) : null;
    case 'base':
      return remedy.barrier ? below(freshBase(remedy.barrier, part.layers[at - 1], remedy)) : null;
    case 'primer':
      return remedy.barrier ? below(primerLayer(remedy.barrier)) : null;
    case 'barrier':
      return remedy.barrier ? below(barrierLayer(remedy.barrier, remedy.barrierRole ?? 'primer')) : null;
    case 'stand-in': {
      if (!remedy.above) return null;
      const { productId: _product, wanted, ...rest } = layer;
      const role = remedy.above.role ?? 'colour';
      return instead({
        ...rest,
        wanted: {
          ...(wanted ?? { name: plain(remedy.above.family), lab: remedy.lab ?? BARRIER_LAB }),
          ...(role === 'clear' && remedy.gloss !== undefined ? { gloss: remedy.gloss } : {}),
          role,
          family: remedy.above.family,
        },
      });
    }
    case 'wait':
    case 'scuff':
    case 'thinner':
    case 'promoter':
    case 'product':
      return null;
  }
}
