import type { Piece } from '#core/facts/index';
import { coatsOf, demoTime, face, redOverMetal, simplePart } from './facts.ts';
import { base, picture } from './pieceFacts.ts';

/** Castings: a tram in two colours, a roller whose window shuts, a seaplane in transparent red and its sample board. */

/** Two colours with a waist line: the light one is on, tape may go on now. */
export function tram(): Piece {
  return {
    ...base,
    id: 'tram',
    worth: 8000,
    readyMade: 11900,
    portrait: 'tram',
    name: 'Tram no. 7',
    looksLike: 'cast-body',
    longestMm: 128,
    scale: 76,
    aim: 'own-scheme',
    createdAt: demoTime(-20 * 1440),
    swatches: ['#e6dcc0', '#1d4b78', '#3c4146'],
    pictures: [picture('tram-roof', 'detail', 'before', 12)],
    references: [
      {
        id: 'plate',
        kind: 'hidden-spot',
        where: 'under the number plate',
        lab: { l: 87.2, a: 0.9, b: 13.3 },
        light: 'both',
        readAt: demoTime(-12 * 1440),
      },
      {
        id: 'roof-photo',
        kind: 'photo-card',
        where: 'roof, by lamp, with a grey card',
        lab: { l: 88, a: -1.2, b: 15.4 },
        spread: 1,
        ageings: ['dirty'],
        pictureId: 'tram-roof',
        readAt: demoTime(-12 * 1440),
      },
    ],
    targets: [{ id: 'line-ivory', name: 'line ivory', lab: { l: 87.2, a: 0.9, b: 13.3 }, tolerance: 'family', referenceId: 'plate' }],
    parcels: [
      { id: 'decals', name: 'Number decals', price: 640, due: '2026-11-28', arrived: false, holds: { partId: 'body', stage: 'decal' } },
    ],
    parts: [
      simplePart('body', 'Body', {
        material: 'zinc',
        pegs: [2],
        faces: [face('sides', 128, 42, 2), face('ends', 38, 42, 2), face('roof', 128, 38)],
        cuts: [
          {
            id: 'waist',
            of: 'all',
            how: 'stripe',
            numbers: { mm: 2, fromMm: 18 },
            at: demoTime(-19 * 1440),
            into: [
              { id: 'upper', name: 'Upper' },
              { id: 'line', name: 'Waist line' },
              { id: 'lower', name: 'Lower' },
            ],
          },
        ],
        features: [
          { id: 'windows', kind: 'windows', count: 12, mm: 11 },
          { id: 'arches', kind: 'arches', count: 4, mm: 16 },
        ],
        layers: [
          coatsOf('primer', 'primer-white', 2, { flatAfter: 800 }),
          coatsOf('ivory', 'ivory', 3, { covers: ['upper'], targetId: 'line-ivory' }),
          coatsOf('line', 'slate', 3, { covers: ['line'] }),
          coatsOf('blue', 'estuary', 3, { covers: ['lower'] }),
          coatsOf('clear', 'satin', 2),
        ],
        hold: { by: 'rod', spot: 'the front tapped post', startOn: 'the underside' },
        decals: [
          {
            id: 'number',
            name: 'number 7',
            zoneId: 'lower',
            after: 'blue',
            kind: 'waterslide',
            count: 2,
            spare: true,
            longMm: 9,
            shortMm: 6,
            at: '20 mm behind the front door',
          },
        ],
      }),
      simplePart('underframe', 'Underframe', {
        material: 'zinc',
        faces: [face('plate', 120, 34, 1, 'all', false), face('sides', 120, 8, 2)],
        layers: [coatsOf('primer-u', 'primer-grey', 2), coatsOf('slate-u', 'slate', 2)],
        pegs: [3],
      }),
      simplePart('wheels', 'Wheel sets', {
        material: 'zinc',
        copies: 4,
        faces: [face('disc', 14, 14, 2)],
        layers: [coatsOf('primer-w', 'primer-grey', 2), coatsOf('slate-w', 'slate', 2)],
        pegs: [9],
      }),
    ],
  };
}

/** Enamel: one window shuts in 35 minutes, another has been missed. */
export function roller(): Piece {
  return {
    ...base,
    id: 'roller',
    worth: 6500,
    portrait: 'roller',
    name: 'Road roller',
    looksLike: 'cast-body',
    longestMm: 96,
    scale: 43,
    aim: 'as-original',
    createdAt: demoTime(-15 * 1440),
    swatches: ['#2c6b3a', '#c23a2a'],
    parts: [
      simplePart('frame', 'Frame', {
        material: 'zinc',
        faces: [face('body', 96, 38, 5)],
        layers: [coatsOf('primer-f', 'primer-grey', 2, { flatAfter: 800 }), coatsOf('green-f', 'lock-green', 3)],
        details: [
          {
            id: 'plate',
            name: 'maker’s plate, light grey',
            zoneId: 'all',
            after: 'green-f',
            way: 'brush',
            family: 'water-acrylic',
            lab: { l: 70, a: -1, b: -2 },
            count: 1,
          },
        ],
        pegs: [7],
      }),
      simplePart('drum', 'Drum', {
        material: 'zinc',
        faces: [face('shell', 94, 40), face('ends', 30, 30, 2)],
        cuts: [
          {
            id: 'drum-rim',
            of: 'all',
            how: 'rim',
            numbers: { mm: 2 },
            at: demoTime(-14 * 1440),
            into: [
              { id: 'shell', name: 'Shell' },
              { id: 'rim', name: 'Rim' },
            ],
          },
        ],
        layers: [
          coatsOf('primer-d', 'primer-grey', 2, { flatAfter: 800 }),
          coatsOf('green-d', 'lock-green', 3),
          coatsOf('rim-d', 'soot', 2, { covers: ['rim'] }),
        ],
        pegs: [8],
      }),
      simplePart('canopy', 'Canopy', {
        material: 'zinc',
        faces: [face('top', 70, 36, 2)],
        layers: [coatsOf('primer-c', 'primer-grey', 2), coatsOf('soot-c', 'soot', 2)],
        pegs: [11],
      }),
    ],
  };
}

/** A transparent red over polished metal: care, for display only. */
export function seaplane(): Piece {
  return {
    ...base,
    id: 'seaplane',
    portrait: 'seaplane',
    name: 'Seaplane',
    looksLike: 'cast-body',
    longestMm: 185,
    scale: 48,
    aim: 'own-scheme',
    createdAt: demoTime(-9 * 1440),
    swatches: ['#a8121c', '#c9ccd0'],
    targets: [
      { id: 'deep-red', name: 'deep red over metal', lab: redOverMetal(3), tolerance: 'near', shifted: 'as the middle tile of the board' },
    ],
    parts: [
      simplePart('hull', 'Hull', {
        material: 'aluminium',
        faces: [face('sides', 185, 40, 2), face('bottom', 185, 30)],
        layers: [coatsOf('red-h', 'candy-red', 3, { targetId: 'deep-red' }), coatsOf('clear-h', 'satin', 2)],
        pegs: [17],
      }),
      simplePart('wings', 'Wings', {
        material: 'aluminium',
        faces: [face('wing', 240, 38, 2)],
        layers: [coatsOf('primer-g', 'primer-grey', 2), coatsOf('ivory-g', 'ivory', 3), coatsOf('clear-g', 'satin', 2)],
        pegs: [18],
      }),
    ],
  };
}

/** Three tiles of polished aluminium under the transparent red, a coat apart: they dry and are judged for tone. */
export function redBoard(): Piece {
  const tile = (coats: number) =>
    simplePart(`tile-${coats}`, `Tile, ${coats} coats`, {
      material: 'aluminium',
      faces: [face('tile', 70, 50)],
      layers: [coatsOf(`red-b${coats}`, 'candy-red', coats), coatsOf(`clear-b${coats}`, 'satin', 2)],
    });
  return {
    ...base,
    id: 'red-board',
    name: 'Board: red on polished metal',
    looksLike: 'bracket-set',
    longestMm: 70,
    aim: 'own-scheme',
    createdAt: demoTime(-2 * 1440),
    swatches: ['#a8121c'],
    board: { varies: 'coats', forPieceId: 'seaplane' },
    parts: [tile(2), tile(3), tile(4)],
  };
}
