import { lacquer, part, piece, primer, shelf } from '#core/invented/index';
import type { Facts } from '#core/facts/index';
import { describe, expect, it } from 'vitest';
import { batchMl, coatMinutes } from '#core/amounts/index';
import { facesToPaint } from '#core/zones/index';
import { stackView } from './stackView.ts';
import { byTools } from './byTools.ts';

const own = part({ layers: [primer(), lacquer(3)] });
const facts: Facts = { ...shelf, pieces: [piece(own)] };
const tools = byTools(own.layers[1], own, facts);
const by = (hand: string) => tools.find((tool) => tool.hand === hand);

describe('one layer by every tool', () => {
  it('has a row each, and by its own tool takes what the stack says', () => {
    expect(tools.map(({ hand }) => hand)).toEqual(['aerosol', 'airbrush', 'gun', 'brush']);
    const context = { facts, workshop: shelf.workshop[0], history: { coatsOn: () => [] } } as never;
    const view = stackView(facts.pieces[0], own, context).layers.find(({ layerId }) => layerId === 'colour');
    expect(by('aerosol')?.mlPerCoat).toBeCloseTo(view?.mlPerCoat ?? 0, 9);
    expect(by('aerosol')?.filmUm).toBe((view?.um ?? 0) / 3);
  });
  it('takes set-up once, two minutes before each further coat, and the laying itself', () => {
    const coats = (count: number) => byTools({ ...own.layers[1], coats: count }, own, facts).find(({ hand }) => hand === 'gun');
    const laying = coatMinutes(facesToPaint(own, ['all']), 'gun', 1, by('gun')?.mlPerCoat);
    expect(coats(3)?.minutes).toBe(Math.round(10 + 2 * 2 + 3 * laying));
    expect(by('gun')?.ml).toBeCloseTo(batchMl(3 * (by('gun')?.mlPerCoat ?? 0)), 9);
  });
  it('is laid on the zones it covers and on no other', () => {
    const two = part({
      zones: [
        { id: 'all', name: 'All' },
        { id: 'rim', name: 'Rim' },
      ],
      faces: [...own.faces, { id: 'r', longMm: 30, shortMm: 10, count: 1, seen: true, zoneId: 'rim' }],
      layers: [{ ...lacquer(2), covers: ['rim'] }],
    });
    const rim = byTools(two.layers[0], two, { ...facts, pieces: [piece(two)] });
    expect(rim[0].mlPerCoat).toBeLessThan((by('aerosol')?.mlPerCoat ?? 0) / 3);
  });
  it('wastes least by brush and is cleared soonest from a can', () => {
    expect(Math.min(...tools.map(({ ml }) => ml))).toBe(by('brush')?.ml);
    expect(tools.map(({ cleanUpMinutes }) => cleanUpMinutes)).toEqual([3, 12, 20, 5]);
  });
  it('takes twice as much for two copies, but not for the nozzle', () => {
    const two = byTools(own.layers[1], { ...own, copies: 2 }, facts).find(({ hand }) => hand === 'aerosol');
    expect(two?.mlPerCoat).toBeCloseTo(2 * (by('aerosol')?.mlPerCoat ?? 0), 9);
    expect(two?.ml).toBeLessThan(2 * (by('aerosol')?.ml ?? 0));
  });
  it('costs its own paint where it is sprayed as it comes, else a usual one', () => {
    const product = shelf.products.find(({ id }) => id === own.layers[1].productId);
    expect(by('aerosol')?.minor).toBe(Math.round(((by('aerosol')?.ml ?? 0) * (product?.typicalPrice ?? 0)) / (product?.typicalMl ?? 1)));
    for (const { minor } of tools) expect(minor).toBeGreaterThan(0);
  });
});
