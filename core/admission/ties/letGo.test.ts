import { type Facts, type Layer, type Part, type Piece, pieceSchema } from '#core/facts/index';
import { clear, dressedPiece, inventedJob, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { letGo } from './letGo.ts';

const withParts = (own: Piece, change: (part: Part) => Part): Piece => ({ ...own, parts: own.parts.map(change) });
/** The piece with one thing taken out, every way there is. */
function* takenOut(own: Piece): Generator<readonly [string, Piece]> {
  for (const { id, name } of own.parts.length > 1 ? own.parts : [])
    yield [`part ${name}`, { ...own, parts: own.parts.filter((each) => each.id !== id) }];
  for (const { id, layers } of own.parts)
    for (const layer of layers)
      yield [
        `layer ${layer.id}`,
        withParts(own, (each) => (each.id === id ? { ...each, layers: layers.filter((other) => other !== layer) } : each)),
      ];
  for (const task of own.tasks ?? []) yield [`task ${task.name}`, { ...own, tasks: own.tasks?.filter((each) => each !== task) }];
  for (const target of own.targets ?? [])
    yield [`colour ${target.id}`, { ...own, targets: own.targets?.filter((each) => each !== target) }];
}

const glossy: Layer = { ...clear, id: 'top' };
const number = {
  id: 'number',
  name: 'Number 7',
  zoneId: 'all',
  after: 'colour',
  kind: 'waterslide' as const,
  count: 1,
  spare: true,
  longMm: 20,
  shortMm: 8,
};
const body = part({ layers: [primer(), lacquer(), glossy], decals: [number] });
const pane = part({ id: 'pane', name: 'Pane', layers: [], fit: { stage: 'before-layer', onPartId: 'body', layerId: 'top' } });
const felt = { id: 'felt', kind: 'own' as const, name: 'Glue the felt', partIds: ['pane'], minutes: 5 };
const look = { ...felt, id: 'look', name: 'Look once', partIds: ['body', 'pane'], after: { taskId: 'felt' } };
const own = piece(body, {
  parts: [body, pane],
  tasks: [felt, look, { ...look, id: 'rub', name: 'Rub it', after: { partId: 'body', layerId: 'colour' } }],
  parcels: [{ id: 'tyres', name: 'Tyres', price: 100, arrived: false, holds: { partId: 'pane' } }],
  fastenings: [{ id: 'screw', kind: 'screw', a: 'body', b: 'pane', count: 2, note: '' }],
});
const without = (layerId: string) => withParts(own, (each) => ({ ...each, layers: each.layers.filter(({ id }) => id !== layerId) }));

describe('what hung on something that is taken out', () => {
  it('leaves the guesses of another part whose name ends alike', () => {
    const before = piece(body, { parts: [body, part({ id: 'anybody' })], guesses: ['size:anybody', 'size:body', 'lead'] });
    const after = { ...before, parts: before.parts.slice(1) };
    expect(letGo(after, before, shelf).piece.guesses).toEqual(['size:anybody', 'lead']);
  });
  it('hangs on the layer below, and says so', () => {
    const { piece: kept, moved } = letGo(without('colour'), own, shelf);
    expect(kept.parts[0].decals?.[0].after).toBe('primer');
    expect(kept.tasks?.[2].after).toEqual({ partId: 'body', layerId: 'primer' });
    expect(moved).toEqual([
      expect.stringMatching(/^Number 7 follows .*primer.* now\.$/),
      expect.stringMatching(/“Rub it” comes after .*primer/),
    ]);
    const bare = letGo(
      withParts(own, (each) => ({ ...each, layers: [] })),
      own,
      shelf,
    );
    expect(bare.piece.parts[0].decals?.[0].after).toBeNull();
    expect(bare.piece.parts[1].fit).toEqual({ stage: 'after-clear', onPartId: 'body' });
    expect(bare.moved).toContain('Number 7 goes on before all layers now.');
    expect(bare.moved).toContain('“Rub it” is no longer tied after anything.');
  });
  it('goes on before the layer above the one that is gone', () => {
    const twice = withParts(own, (each) => (each.id === 'body' ? { ...each, layers: [...each.layers, { ...glossy, id: 'last' }] } : each));
    const gone = withParts(twice, (each) => ({ ...each, layers: each.layers.filter(({ id }) => id !== 'top') }));
    const { piece: kept, moved } = letGo(gone, twice, shelf);
    expect(kept.parts[1].fit).toEqual({ stage: 'before-layer', onPartId: 'body', layerId: 'last' });
    expect(moved).toEqual([expect.stringContaining('Pane goes on body before')]);
  });
  it('is out with its part, and what waited for that waits for the fit', () => {
    const { piece: kept, moved } = letGo({ ...own, parts: [body] }, own, shelf);
    expect(kept.tasks?.map(({ id, after }) => [id, after])).toEqual([
      ['look', undefined],
      ['rub', { partId: 'body', layerId: 'colour' }],
    ]);
    expect(kept.fastenings).toEqual([]);
    expect(kept.parcels[0]).not.toHaveProperty('holds');
    expect(moved).toEqual([
      '“Glue the felt” is out with the part it was about.',
      '“Look once” is no longer tied after anything.',
      'The fit waits for Tyres now.',
      'What held it goes with it: screw.',
    ]);
  });
  it('moves nothing where nothing is gone', () => {
    expect(letGo(own, own, shelf)).toEqual({ piece: own, moved: [] });
    expect(letGo(own, undefined, shelf).piece).toBe(own);
  });
  it('leaves every piece one that can be kept, whatever is taken out of it', () => {
    const jobs: Facts[] = Array.from({ length: 60 }, (_, seed) => inventedJob(seed, NOW));
    const pieces = [dressedPiece(NOW), ...jobs.flatMap(({ pieces: all }) => all)];
    let [tried, broken] = [0, 0];
    for (const each of pieces)
      for (const [what, less] of takenOut(each)) {
        const problem = pieceSchema.safeParse(letGo(less, each, shelf).piece).error?.issues[0];
        expect([what, problem?.path.join('.'), problem?.message]).toEqual([what, undefined, undefined]);
        tried++;
        if (!pieceSchema.safeParse(less).success) broken++;
      }
    expect(tried).toBeGreaterThan(400);
    // Kept as they were left, many of them would be refused.
    expect(broken).toBeGreaterThan(50);
  });
});
