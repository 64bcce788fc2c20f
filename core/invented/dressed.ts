import { type Layer, newPart, newPiece, type Piece, type Role, type Family } from '#core/facts/index';
import { toIso } from '#core/units/index';

/** A piece with everything on it: five zones in three colours, covers, details, decals, steps of its own, glazing, touch-ups. */

const layer = (id: string, family: Family, role: Role, name: string, l: number, covers: Layer['covers'] = 'all'): Layer => ({
  id,
  wanted: { family, role, name, lab: { l, a: 0, b: 0 } },
  coats: 2,
  covers,
});

const zone = (id: string, name: string) => ({ id, name });

export function dressedPiece(now: number): Piece {
  const at = toIso(now - 1440);
  const body = newPart({
    id: 'body',
    name: 'Body',
    material: 'zinc',
    finish: 'bare',
    lit: true,
    faces: [
      { id: 'sides', zoneId: 'all', longMm: 128, shortMm: 42, count: 2, seen: true },
      { id: 'ends', zoneId: 'all', longMm: 42, shortMm: 38, count: 2, seen: true },
      { id: 'roof', zoneId: 'all', longMm: 128, shortMm: 38, count: 1, seen: true },
    ],
    cuts: [
      {
        id: 'c1',
        of: 'all',
        how: 'stripe',
        numbers: { mm: 2, fromMm: 18 },
        at,
        into: [zone('upper', 'Upper'), zone('line', 'Waist line'), zone('lower', 'Lower')],
      },
      {
        id: 'c2',
        of: 'lower',
        how: 'shapes',
        numbers: { shape: 'star', count: 6, longMm: 6 },
        at,
        into: [zone('side', 'Side'), zone('stars', 'Stars')],
      },
      { id: 'c3', of: 'upper', how: 'line', numbers: { mm: 16 }, at, into: [zone('roof', 'Roof'), zone('band', 'Window band')] },
    ],
    layers: [
      layer('grey', 'lacquer-primer', 'fine-primer', 'fine primer, grey', 62),
      layer('cream', 'acrylic-lacquer', 'colour', 'cream', 88, ['band', 'stars']),
      layer('slate', 'acrylic-lacquer', 'colour', 'slate', 30, ['line', 'roof']),
      layer('blue', 'acrylic-lacquer', 'colour', 'blue', 32, ['side']),
      layer('gloss', 'acrylic-lacquer', 'clear', 'clear lacquer, gloss', 97),
    ],
    features: [
      { id: 'w', kind: 'windows', count: 12 },
      { id: 'g', kind: 'grille', count: 1 },
    ],
    details: [
      {
        id: 'rail',
        name: 'rail, silver',
        zoneId: 'band',
        after: 'slate',
        way: 'brush',
        family: 'alcohol-acrylic',
        lab: { l: 75, a: 0, b: 0 },
        count: 4,
      },
      {
        id: 'dirt',
        name: 'dirt in the seams',
        zoneId: 'side',
        after: 'gloss',
        way: 'wash',
        family: 'alkyd-enamel',
        lab: { l: 20, a: 3, b: 6 },
        count: 1,
      },
    ],
    decals: [
      {
        id: 'number',
        name: 'number 7',
        zoneId: 'side',
        after: 'blue',
        kind: 'waterslide',
        count: 2,
        spare: true,
        longMm: 9,
        shortMm: 6,
        at: '20 mm behind the door',
      },
      {
        id: 'crest',
        name: 'crest',
        zoneId: 'side',
        after: 'blue',
        kind: 'waterslide',
        count: 1,
        spare: false,
        longMm: 6,
        shortMm: 6,
        unseen: true,
      },
    ],
    hold: { by: 'clip', spot: 'the front tapped post', startOn: 'the underside' },
  });
  const glazing = newPart({
    id: 'glazing',
    name: 'Glazing',
    material: 'clear',
    staysClear: true,
    finish: 'bare',
    zones: [{ id: 'pane', name: 'Panes', bare: 'stays clear' }],
    faces: [{ id: 'pane', zoneId: 'pane', longMm: 110, shortMm: 14, count: 2, seen: true }],
    layers: [],
    fit: { stage: 'after-clear', onPartId: 'body' },
  });
  return newPiece({
    id: 'dressed',
    name: 'A tram with everything on it',
    looksLike: 'cast-body',
    longestMm: 128,
    scale: 76,
    createdAt: at,
    leadExcluded: true,
    parts: [body, glazing],
    tasks: [
      {
        id: 'light',
        kind: 'light-test',
        name: 'Light test',
        partIds: ['body'],
        minutes: 10,
        after: { partId: 'body', layerId: 'gloss' },
        before: { taskId: 'join' },
      },
      { id: 'join', kind: 'join', name: 'Join the shells', partIds: ['body', 'glazing'], minutes: 15, aloneMinutes: 720 },
    ],
    touchUps: [{ id: 'chip', where: 'step, left', partId: 'body', layerId: 'blue', clear: true }],
  });
}
