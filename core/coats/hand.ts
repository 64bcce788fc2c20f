import type { Family, Hand, Layer, Product, Sheet } from '#core/facts/index';

/** What a layer is laid with: the tool chosen on it, else its sheet's, as far as it is owned and the paint comes so. */

export type HandQuestion = {
  readonly layer: Pick<Layer, 'hand'>;
  readonly family: Family;
  /** How the paint comes; absent: not said. */
  readonly form?: Sheet['form'];
  /** The hand its sheet names. */
  readonly usual?: Hand;
  readonly owned: readonly Hand[];
};

const BY_AIRBRUSH: readonly Family[] = ['alcohol-acrylic', 'water-acrylic', 'waterborne-base', 'waterborne-sealer'];

/** Whether a paint comes in a can that sprays itself: nothing can be stirred into it, and it is no tint until it is decanted (trade §10). */
export function isSprayCan({ form, hand }: Pick<Sheet, 'form' | 'hand'>): boolean {
  return form === 'aerosol' || (form === undefined && hand === 'aerosol');
}

/** Whether a paint stands in such a can still: what was mixed here is out of it, whatever its sheet. */
export function isInSprayCan({ mix }: Pick<Product, 'mix'>, sheet: Pick<Sheet, 'form' | 'hand'>): boolean {
  return !mix && isSprayCan(sheet);
}

/** Whether paint in this form can be laid so: a can sprays itself, a bottle or tin needs a tool. */
export function handServes(hand: Hand, form: Sheet['form']): boolean {
  if (form === undefined) return true;
  return form === 'aerosol' ? hand === 'aerosol' : hand !== 'aerosol';
}

/** The hand of a layer; a choice that its paint cannot take gives way to one that it can. */
export function handFor({ layer, family, form, usual, owned }: HandQuestion): Hand {
  if (layer.hand && handServes(layer.hand, form)) return layer.hand;
  if (form === 'aerosol') return 'aerosol';
  const able = owned.filter((hand) => handServes(hand, form));
  if (usual && (able.includes(usual) || able.length === 0)) return usual;
  if (family === 'latex') return 'brush';
  const order: readonly Hand[] = BY_AIRBRUSH.includes(family)
    ? ['airbrush', 'aerosol', 'gun', 'brush']
    : ['aerosol', 'airbrush', 'gun', 'brush'];
  return order.find((hand) => able.includes(hand)) ?? usual ?? 'brush';
}
