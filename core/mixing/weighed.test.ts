import type { Sheet } from '#core/facts/index';
import { shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { leftByWeight } from './index.ts';

/** A can on the kitchen scale. */

const [product] = shelf.products;
const sheet = shelf.sheets.find(({ id }) => id === product.sheetId);
const aerosol = sheet && { ...sheet, form: 'aerosol' as const };
const tin = sheet && { ...sheet, form: 'tin' as const };
const left = (gross: number, empty: number, own: Sheet | undefined = aerosol, density?: number) =>
  leftByWeight({ packMl: 400 }, density === undefined ? product : { ...product, density }, own, gross, empty);

describe('what is left in a can', () => {
  it('is its weight less the empty one, by the density of what is in it', () => {
    expect(left(260, 100)).toEqual({ ok: true, ml: 200 });
    expect(left(210, 100, tin)).toEqual({ ok: true, ml: 100 });
    expect(left(225, 100, tin, 1.25)).toEqual({ ok: true, ml: 100 });
    expect(left(100, 100)).toEqual({ ok: true, ml: 0 });
  });
  it('is never more than it holds; a little over is the scale', () => {
    expect(left(100 + 0.8 * 410, 100)).toEqual({ ok: true, ml: 400 });
    expect(left(100 + 0.8 * 440, 100)).toMatchObject({ ok: false, mend: expect.stringContaining('440 mL') });
  });
  it('is refused where the weights cannot be', () => {
    expect(left(90, 100)).toMatchObject({ ok: false, mend: expect.stringContaining('other way round') });
    expect(left(90, 0)).toMatchObject({ ok: false, mend: expect.stringContaining('empty can') });
  });
});
