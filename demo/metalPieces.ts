import type { Piece } from '#core/facts/index';
import { coatsOf, demoTime, face, features, simplePart } from './facts.ts';
import { base, mark, picture } from './pieceFacts.ts';

/** Sheet, wire and iron: a crane under old paint, a fan to be primed tonight, a weather vane that is finished. */

/** Old paint of unknown make: the gel is working. */
export function crane(): Piece {
  return {
    ...base,
    id: 'crane',
    worth: 9500,
    portrait: 'crane',
    name: 'Harbour crane',
    looksLike: 'pressed-toy',
    longestMm: 300,
    aim: 'own-scheme',
    neededBy: '2026-12-24',
    createdAt: demoTime(-3 * 1440),
    swatches: ['#c23a2a', '#3c4146'],
    leadExcluded: false,
    guesses: ['lead', 'size:tower'],
    limit: 'inside-too',
    set: 'Harbour front',
    wishes: 'The harbour master wants the red of the old buoys, and the jib to turn again.',
    factory: { sprayed: 'apart', words: 'Sprayed before the tabs were folded; the drum and the hook were left bare.' },
    surveyed: ['stops', 'limit', 'repaint', 'joined', 'pictures'],
    pictures: [
      picture('crane-front', 'front', 'before', 3),
      picture('crane-left', 'left', 'before', 3),
      picture('crane-under', 'under', 'before', 3),
    ],
    fastenings: [
      { id: 'tabs', kind: 'tab', a: 'tower', b: 'base', count: 4, note: 'straighten with wide pliers, once only' },
      {
        id: 'pivot',
        kind: 'rivet',
        a: 'jib',
        b: 'tower',
        count: 1,
        note: 'M2 × 6, washer under the head',
        post: { acrossMm: 4.2, deepMm: 7, thread: 'M2' },
      },
      { id: 'line', kind: 'clip', a: 'hook', b: 'jib', count: 1, note: 'new line after paint' },
      { id: 'drum', kind: 'axle', a: 'winch', b: 'tower', count: 1, note: 'peened: stays in', behind: 'base' },
    ],
    bags: [
      { id: 'bag-1', number: 1, contents: 'Hook and old line', from: 'Jib' },
      { id: 'bag-2', number: 2, contents: 'Washer of the pivot', from: 'Jib to tower', pictureId: 'crane-front' },
    ],
    spares: [{ id: 'spare-1', name: 'Old winch handle, bent' }],
    parcels: [
      {
        id: 'handle',
        name: 'Winch handle, new',
        price: 480,
        source: 'Quay Street toys',
        orderedAt: '2026-11-20',
        leadDays: 12,
        arrived: false,
      },
    ],
    parts: [
      simplePart('tower', 'Tower', {
        material: 'steel',
        toldBy: 'magnet',
        finish: 'flaking',
        features: features('edges', 'hole-rims', 'inside-corners'),
        service: ['handling'],
        marks: [
          mark('foot-rust', 'rust-light', 'marked', 'foot, left', { pictureId: 'crane-front', x: 0.4, y: 0.76 }),
          mark('side-dent', 'dent', 'marked', 'right side', { pictureId: 'crane-front', x: 0.56, y: 0.6 }),
        ],
        faces: [face('sides', 280, 90, 4)],
        layers: [coatsOf('primer-t', 'primer-grey', 2), coatsOf('red-t', 'buoy-red', 3)],
        pegs: [12],
      }),
      simplePart('jib', 'Jib', {
        material: 'steel',
        toldBy: 'magnet',
        finish: 'flaking',
        within: 'tower',
        features: features('edges', 'hole-rims', 'hinge'),
        marks: [mark('jib-bent', 'bent', 'slight', 'tip', { pictureId: 'crane-front', x: 0.86, y: 0.19 })],
        faces: [{ ...face('sides', 300, 30, 4), holes: { count: 14, acrossMm: 12, wallMm: 0.3 } }],
        layers: [coatsOf('primer-j', 'primer-grey', 2), coatsOf('red-j', 'buoy-red', 3)],
        pegs: [13],
      }),
      simplePart('hook', 'Hook', {
        material: 'brass',
        finish: 'bare',
        zones: [{ id: 'all', name: 'All over', bare: 'runs on the line' }],
        faces: [face('hook', 20, 8, 2)],
        within: 'jib',
        layers: [],
      }),
      simplePart('base', 'Base plate', {
        material: 'tinplate',
        toldBy: 'magnet',
        finish: 'sound',
        printed: true,
        zones: [{ id: 'all', name: 'All over', bare: 'its printing stays' }],
        faces: [face('plate', 120, 110, 1, 'all', false)],
        layers: [],
      }),
      simplePart('winch', 'Winch drum', {
        material: 'steel',
        stops: ['spring'],
        within: 'tower',
        zones: [{ id: 'all', name: 'All over', bare: 'works oiled' }],
        faces: [face('drum', 30, 18, 2, 'all', false)],
        layers: [],
      }),
    ],
  };
}

/** Bare steel and iron, to be primed tonight before it rusts; a mains appliance. */
export function fan(): Piece {
  return {
    ...base,
    id: 'fan',
    portrait: 'fan',
    name: 'Desk fan',
    looksLike: 'wire-cage',
    longestMm: 260,
    aim: 'serviceable',
    createdAt: demoTime(-6 * 1440),
    swatches: ['#26282a'],
    mains: true,
    limit: 'inside-too',
    surveyed: ['stops', 'limit', 'repaint', 'joined', 'pictures'],
    pictures: [picture('fan-front', 'front', 'before', 6)],
    fastenings: [
      { id: 'clips', kind: 'clip', a: 'cage', b: 'foot', count: 4, note: 'wrap the clips in tape', heads: 'repaint' },
      { id: 'motor', kind: 'screw', a: 'foot', count: 3, note: 'M4 × 12, earth tag under the left one', heads: 'leave' },
    ],
    bags: [{ id: 'bag-f1', number: 1, contents: 'Three motor screws, earth tag', from: 'Foot' }],
    parts: [
      simplePart('cage', 'Cage', {
        material: 'steel',
        rustGuard: 'prime',
        toldBy: 'magnet',
        marks: [mark('cage-rust', 'rust-light', 'marked', 'lower wires', { pictureId: 'fan-front', x: 0.5, y: 0.63 })],
        features: features('inside-corners'),
        faces: [face('wire', 1800, 8, 4)],
        layers: [coatsOf('primer-k', 'primer-grey', 2), coatsOf('soot-k', 'soot', 2)],
        pegs: [4],
      }),
      simplePart('foot', 'Foot', {
        material: 'cast-iron',
        rustGuard: 'prime',
        toldBy: 'magnet',
        marks: [mark('foot-pits', 'pitting', 'marked', 'rim of the foot', { pictureId: 'fan-front', x: 0.42, y: 0.8 })],
        features: features('edges', 'countersinks'),
        zones: [
          { id: 'all', name: 'All over' },
          { id: 'seat', name: 'Earth tag seat', bare: 'earth contact' },
        ],
        faces: [face('dome', 160, 120, 2), face('seat', 12, 12, 1, 'seat')],
        edges: [{ a: 'all', b: 'seat', mm: 48, curve: 'straight' }],
        layers: [coatsOf('primer-b', 'primer-grey', 2), coatsOf('soot-b', 'soot', 2)],
        pegs: [5],
      }),
    ],
  };
}

/** Finished last week, one fault healed on the way. */
export function weatherVane(): Piece {
  return {
    ...base,
    id: 'vane',
    worth: 7000,
    portrait: 'vane',
    name: 'Weather vane',
    looksLike: 'bracket-set',
    longestMm: 420,
    aim: 'serviceable',
    createdAt: demoTime(-40 * 1440),
    swatches: ['#26282a'],
    finished: true,
    pictures: [picture('vane-before', 'front', 'before', 38), picture('vane-after', 'front', 'after', 7)],
    parts: [
      simplePart('arrow', 'Arrow and ship', {
        material: 'steel',
        faces: [face('sheet', 420, 210, 2)],
        layers: [coatsOf('primer-v', 'primer-grey', 2), coatsOf('soot-v', 'soot', 3)],
      }),
    ],
  };
}
