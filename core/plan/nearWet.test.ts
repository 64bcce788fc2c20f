import { conditionsOf } from '#core/drying/index';
import type { Facts, Hand, Layer, LogEvent, StripMethod } from '#core/facts/index';
import { clear, coat, enamel, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { plan } from './index.ts';

/** Two pieces on one bench: one hangs wet, the other is worked. */

const hung = (event: LogEvent, placeId: string): LogEvent =>
  event.kind === 'done' && event.coat ? { ...event, coat: { ...event.coat, placeId } } : event;
const wetBell = (minutesAgo: number, layer: Layer, family: 'acrylic-lacquer' | 'alkyd-enamel') => ({
  own: piece(part({ finish: 'bare', layers: [{ ...layer, coats: 1 }] })),
  event: coat(layer.id, 1, minutesAgo, family, 'colour', 15),
});
const beside = (
  layers: Layer[],
  minutesAgo: number,
  family: 'acrylic-lacquer' | 'alkyd-enamel' = 'alkyd-enamel',
  more: { method?: StripMethod; onePlace?: boolean } = {},
) => {
  const { own, event } = wetBell(minutesAgo, lacquer(), family);
  const worked = piece(
    part({ id: 'drum', name: 'Drum', finish: 'sound', oldPaint: 'own-coat', stripMethod: more.method, layers, pegs: [2] }),
    { id: 'drum' },
  );
  const [workshop] = shelf.workshop;
  const facts: Facts = {
    ...shelf,
    pieces: [own, worked],
    events: [hung(event, more.onePlace === false ? 'place-room' : workshop.sprayPlaceId)],
  };
  return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }).steps.filter((step) => step.pieceId === 'drum');
};

describe('dust and overspray beside a wet film', () => {
  it('says what to move or cover, and until when', () => {
    const dusty = beside([primer()], 5, 'alkyd-enamel', { method: 'scuff' }).filter((step) => step.wetNearby);
    expect(dusty.length).toBeGreaterThan(0);
    for (const { wetNearby, placed } of dusty) {
      expect(wetNearby?.who).toEqual([{ pieceId: 'bell', partId: 'body', pegs: [1] }]);
      expect(wetNearby?.until).toBeGreaterThan(placed?.start ?? Number.POSITIVE_INFINITY);
    }
  });
  it('says nothing once it is dry to the touch', () => {
    expect(beside([primer()], 3 * 1440, 'alkyd-enamel', { method: 'scuff' }).some((step) => step.wetNearby)).toBe(false);
  });
  it('says nothing of washing, wet sanding and brushes', () => {
    const quiet = beside([primer(), clear], 5, 'alkyd-enamel', { method: 'wet-sand' });
    for (const step of quiet) if (['wash', 'strip', 'mask', 'flat', 'fit'].includes(step.stage)) expect(step.wetNearby).toBeUndefined();
  });
  it.each<[string, boolean, Hand, boolean]>([
    ['another mix where it hangs', true, 'aerosol', true],
    ['another mix in a place of its own', false, 'aerosol', false],
    ['a brush', true, 'brush', false],
  ])('of %s', (_, onePlace, hand, told) => {
    const steps = beside([{ ...enamel(), hand }], -1, 'alkyd-enamel', { onePlace, method: 'scuff' });
    expect(steps.filter((step) => step.coat).some((step) => step.wetNearby)).toBe(told);
  });
});
