import { type Conditions, conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { base, NOW, part, planOf, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import type { CoatOfStep } from '../../steps/index.ts';
import { SprayAir } from './air.ts';

const coat = (family: CoatOfStep['family'], productId?: string): CoatOfStep =>
  ({ family, ...(productId ? { productId } : {}) }) as CoatOfStep;
const [place] = base.places;
const airOf = (changes: Partial<typeof place>, facts: Facts = shelf): SprayAir => {
  const own = { ...facts, places: [{ ...place, ...changes }] };
  return new SprayAir(conditionsOf(own, NOW), place.id, NOW, own);
};

describe('the air of the spray place', () => {
  it('lets a coat on at once where it is right', () => {
    const air = airOf({ meanC: 20, swingC: 0, meanRh: 50 });
    for (const family of ['acrylic-lacquer', 'water-acrylic', 'alkyd-enamel'] as const)
      expect(air.next(coat(family))(NOW + 7)).toBe(NOW + 7);
  });
  it('waits for the warm hours of a cold day, and never comes where none is warm', () => {
    const swinging = airOf({ meanC: 9, swingC: 6, meanRh: 40 });
    const night = NOW + 6 * 60;
    const next = swinging.next(coat('acrylic-lacquer'))(night);
    expect(next).toBeGreaterThan(night);
    expect(next).toBeLessThan(night + 1440);
    expect(airOf({ meanC: 2, swingC: 1, meanRh: 40 }).next(coat('acrylic-lacquer'))(NOW)).toBeNull();
  });
  it('asks more of water paints and two-packs than of lacquer', () => {
    const cool = airOf({ meanC: 12, swingC: 0, meanRh: 50 });
    expect(cool.next(coat('acrylic-lacquer'))(NOW)).toBe(NOW);
    expect(cool.next(coat('water-acrylic'))(NOW)).toBeNull();
    expect(cool.next(coat('urethane-2k'))(NOW)).toBeNull();
  });
  it('obeys the label before the family', () => {
    const product = shelf.products.find(({ id }) => id.includes('acrylic-lacquer-colour'));
    const cold = {
      ...shelf,
      sheets: shelf.sheets.map((sheet) => (sheet.id === product?.sheetId ? { ...sheet, label: { minC: 18 } } : sheet)),
    };
    const air = airOf({ meanC: 15, swingC: 0, meanRh: 50 }, cold);
    expect(air.next(coat('acrylic-lacquer'))(NOW)).toBe(NOW);
    expect(air.next(coat('acrylic-lacquer', product?.id))(NOW)).toBeNull();
  });
  it('is no hindrance where nothing is known of the place', () => {
    const unknown = new SprayAir({} as Conditions, 'nowhere', NOW, shelf);
    expect(unknown.next(coat('acrylic-lacquer'))(NOW + 3)).toBe(NOW + 3);
    expect(unknown.whyNotSooner(coat('acrylic-lacquer'), NOW)).toBe('the air is not right sooner');
  });
});

describe('why a coat is not on sooner', () => {
  it.each([
    ['cold', { meanC: 4, swingC: 0, meanRh: 40 }, '4.0 °C is outside 10–32 °C'],
    ['damp', { meanC: 20, swingC: 0, meanRh: 96 }, 'above the dew point'],
    ['hot', { meanC: 36, swingC: 0, meanRh: 30 }, '36.0 °C is outside'],
  ])('is said in its own words when it is %s', (_name, changes, said) => {
    expect(airOf(changes).whyNotSooner(coat('acrylic-lacquer'), NOW + 600)).toContain(said);
  });
  it('is said of the dark in the open', () => {
    const midnight = NOW + 5 * 60;
    expect(airOf({ kind: 'outdoors', meanC: 20, swingC: 0, meanRh: 50 }).whyNotSooner(coat('acrylic-lacquer'), midnight)).toContain('dark');
  });
  it('stands on the step that the air held', () => {
    const facts = {
      ...shelf,
      places: [{ ...place, meanC: 9, swingC: 6, meanRh: 40 }],
      workshop: [{ ...shelf.workshop[0], freeHours: [{ weekday: 3, from: '06:00', to: '18:00' }] }],
    };
    const held = planOf(part({ finish: 'bare' }), [], {}, facts).steps.filter((step) => step.placed?.hold.by === 'conditions');
    expect(held.length).toBeGreaterThan(0);
    for (const step of held) expect(step.placed?.hold.text).toMatch(/the air is not right sooner: .*°C is outside/);
  });
  it('in the open lays every coat by daylight', () => {
    const hours = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '06:00', to: '22:00' }));
    const yard = { ...place, kind: 'outdoors' as const, meanC: 20, swingC: 0, meanRh: 50, position: { latitude: 38.7, longitude: -9.1 } };
    const facts = { ...shelf, places: [yard], workshop: [{ ...shelf.workshop[0], freeHours: hours }] };
    const coats = planOf(part({ finish: 'bare' }), [], {}, facts).steps.filter((step) => step.coat && step.placed);
    expect(coats.length).toBeGreaterThan(2);
    for (const step of coats) {
      const hour = Number(toIso(step.placed?.start ?? 0).slice(11, 13));
      expect([step.title, hour >= 7 && hour < 18]).toEqual([step.title, true]);
    }
  });
});
