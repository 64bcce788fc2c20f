import { base, lacquer } from '#core/invented/index';
import type { Facts, Hand, Product } from '#core/facts/index';
import { isSprayCan } from '../hand.ts';
import { describe, expect, it } from 'vitest';
import { resolveLayer } from './resolve.ts';

/** Paint out of spray cans that was mixed in a cup is in no can any more. */

const productId = lacquer(1).productId ?? '';
const facts = (hands: readonly Hand[], mixed: boolean): Facts => ({
  ...base,
  workshop: [{ ...base.workshop[0], hands: [...hands] }],
  products: base.products.map(
    (own): Product => (own.id === productId && mixed ? { ...own, mix: { parts: [{ productId, ml: 10 }] } } : own),
  ),
});
const sheet = base.sheets.find(({ id }) => id === base.products.find((own) => own.id === productId)?.sheetId);

describe('paint in a spray can', () => {
  it('is one by its form, or by its hand where no form is said', () => {
    expect(sheet && isSprayCan(sheet)).toBe(true);
    expect(isSprayCan({ form: 'bottle', hand: 'aerosol' })).toBe(false);
    expect(isSprayCan({ hand: 'aerosol' })).toBe(true);
    expect(isSprayCan({ hand: 'airbrush' })).toBe(false);
    expect(isSprayCan({ form: 'aerosol', hand: 'airbrush' })).toBe(true);
  });
  it.each([
    [['aerosol', 'airbrush', 'brush'], 'airbrush'],
    [['aerosol', 'brush'], 'brush'],
    [['aerosol'], 'brush'],
  ] as const)('mixed in a cup, with %s at hand, goes on by %s', (hands, hand) => {
    expect(resolveLayer(lacquer(1), facts(hands, true)).hand).toBe(hand);
    expect(resolveLayer({ ...lacquer(1), hand: 'aerosol' }, facts(hands, true)).hand).toBe(hand);
    expect(resolveLayer(lacquer(1), facts(hands, false)).hand).toBe('aerosol');
  });
});
