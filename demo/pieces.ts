import type { Mark, Picture, PictureView, Piece } from '#core/facts/index';
import { DEMO_PICTURE_SIZE } from './drawPictures.ts';
import { coatsOf, demoTime, face, simplePart } from './facts.ts';

/** Breakwater bench: eight invented pieces in every state a bench knows. */
export function demoPieces(): Piece[] {
  return [tram(), roller(), crane(), fan(), balance(), seaplane(), lampShells(), weatherVane(), redBoard()];
}

const base = { guesses: [], swatches: [], finished: false, parcels: [], leadExcluded: true, mains: false };

const picture = (id: string, view: PictureView, when: Picture['when'], daysAgo: number): Picture => ({
  id,
  view,
  when,
  at: demoTime(-daysAgo * 1440),
  ...DEMO_PICTURE_SIZE,
});
const mark = (id: string, kind: Mark['kind'], severity: Mark['severity'], where: string, pin?: Mark['pin']): Mark => ({
  id,
  kind,
  severity,
  where,
  ...(pin ? { pin } : {}),
});

/** Two colours with a waist line: the light one is on, tape may go on now. */
function tram(): Piece {
  return {
    ...base,
    id: 'tram',
    portrait: 'tram',
    name: 'Tram no. 7',
    looksLike: 'cast-body',
    longestMm: 128,
    scale: 76,
    aim: 'own-scheme',
    budget: 5500,
    createdAt: demoTime(-20 * 1440),
    swatches: ['#e6dcc0', '#1d4b78', '#3c4146'],
    parcels: [{ id: 'decals', name: 'Number decals', price: 640, due: '2026-11-28', arrived: false }],
    parts: [
      simplePart('body', 'Body', {
        material: 'zinc',
        pegs: [2],
        zones: [
          { id: 'upper', name: 'Upper' },
          { id: 'waist', name: 'Waist and below' },
        ],
        faces: [
          face('sides-up', 128, 24, 2, 'upper'),
          face('ends-up', 38, 24, 2, 'upper'),
          face('roof', 128, 38, 1, 'upper'),
          face('sides-low', 128, 18, 2, 'waist'),
          face('ends-low', 38, 18, 2, 'waist'),
        ],
        edges: [{ a: 'upper', b: 'waist', mm: 332, curve: 'straight' }],
        layers: [
          coatsOf('primer', 'primer-white', 2, { flatAfter: 800 }),
          coatsOf('ivory', 'ivory', 3, { covers: ['upper'] }),
          coatsOf('blue', 'estuary', 3, { covers: ['waist'] }),
          coatsOf('clear', 'satin', 2),
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
function roller(): Piece {
  return {
    ...base,
    id: 'roller',
    portrait: 'roller',
    name: 'Road roller',
    looksLike: 'cast-body',
    longestMm: 96,
    scale: 43,
    aim: 'as-original',
    budget: 6000,
    createdAt: demoTime(-15 * 1440),
    swatches: ['#2c6b3a', '#c23a2a'],
    parts: [
      simplePart('frame', 'Frame', {
        material: 'zinc',
        faces: [face('body', 96, 38, 5)],
        layers: [coatsOf('primer-f', 'primer-grey', 2, { flatAfter: 800 }), coatsOf('green-f', 'lock-green', 3)],
        pegs: [7],
      }),
      simplePart('drum', 'Drum', {
        material: 'zinc',
        faces: [face('shell', 94, 40), face('ends', 30, 30, 2)],
        layers: [coatsOf('primer-d', 'primer-grey', 2, { flatAfter: 800 }), coatsOf('green-d', 'lock-green', 3)],
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

/** Old paint of unknown make: the gel is working. */
function crane(): Piece {
  return {
    ...base,
    id: 'crane',
    portrait: 'crane',
    name: 'Harbour crane',
    looksLike: 'pressed-toy',
    longestMm: 300,
    aim: 'own-scheme',
    budget: 7000,
    neededBy: '2026-12-24',
    createdAt: demoTime(-3 * 1440),
    swatches: ['#c23a2a', '#3c4146'],
    leadExcluded: false,
    guesses: ['lead', 'size:tower'],
    limit: 'inside-too',
    set: 'Harbour front',
    wishes: 'The harbour master wants the red of the old buoys, and the jib to turn again.',
    factory: 'Sprayed apart before the tabs were folded; the drum and the hook were left bare.',
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
        features: ['edges', 'hole-rims', 'inside-corners'],
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
        features: ['edges', 'hole-rims', 'hinge'],
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
function fan(): Piece {
  return {
    ...base,
    id: 'fan',
    portrait: 'fan',
    name: 'Desk fan',
    looksLike: 'wire-cage',
    longestMm: 260,
    aim: 'serviceable',
    budget: 4500,
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
        toldBy: 'magnet',
        marks: [mark('cage-rust', 'rust-light', 'marked', 'lower wires', { pictureId: 'fan-front', x: 0.5, y: 0.63 })],
        features: ['inside-corners'],
        faces: [face('wire', 1800, 8, 4)],
        layers: [coatsOf('primer-k', 'primer-grey', 2), coatsOf('soot-k', 'soot', 2)],
        pegs: [4],
      }),
      simplePart('foot', 'Foot', {
        material: 'cast-iron',
        toldBy: 'magnet',
        marks: [mark('foot-pits', 'pitting', 'marked', 'rim of the foot', { pictureId: 'fan-front', x: 0.42, y: 0.8 })],
        features: ['edges', 'countersinks'],
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

/** One material not known, one face not planned at all. */
function balance(): Piece {
  return {
    ...base,
    id: 'balance',
    portrait: 'balance',
    name: 'Kitchen balance',
    looksLike: 'bracket-set',
    longestMm: 220,
    aim: 'preserve',
    createdAt: demoTime(-2 * 1440),
    swatches: ['#5d7c4a'],
    leadExcluded: false,
    guesses: ['lead', 'material:beam', 'finish:column'],
    limit: 'outside',
    wishes: 'Clean and green again, nothing replaced.',
    surveyed: ['stops', 'limit', 'repaint', 'pictures'],
    pictures: [picture('balance-front', 'front', 'before', 2)],
    fastenings: [{ id: 'knife', kind: 'screw', a: 'beam', b: 'column', count: 2, note: 'keep the knife edge dry and bare' }],
    parts: [
      simplePart('beam', 'Beam', {
        material: 'unknown',
        finish: 'unknown',
        features: ['raised-detail'],
        faces: [face('sides', 220, 18, 4)],
        layers: [coatsOf('primer-m', 'primer-grey', 2), coatsOf('green-m', 'marram', 2)],
        pegs: [15],
      }),
      simplePart('column', 'Column', {
        material: 'cast-iron',
        toldBy: 'magnet',
        finish: 'unknown',
        oldCoats: 2,
        features: ['edges', 'inside-corners'],
        marks: [mark('column-chip', 'chip', 'marked', 'foot, front', { pictureId: 'balance-front', x: 0.45, y: 0.82 })],
        faces: [face('shaft', 180, 90, 2), face('under', 120, 80, 1, 'all', false)],
        layers: [coatsOf('primer-n', 'primer-grey', 2), coatsOf('green-n', 'marram', 2)],
        pegs: [16],
      }),
      simplePart('pan', 'Pan', {
        material: 'brass',
        finish: 'bare',
        faces: [face('bowl', 160, 160, 2)],
        layers: [],
        stops: ['food'],
      }),
    ],
  };
}

/** A transparent red over polished metal: care, for display only. */
function seaplane(): Piece {
  return {
    ...base,
    id: 'seaplane',
    portrait: 'seaplane',
    name: 'Seaplane',
    looksLike: 'cast-body',
    longestMm: 185,
    scale: 48,
    aim: 'own-scheme',
    budget: 5000,
    createdAt: demoTime(-9 * 1440),
    swatches: ['#a8121c', '#c9ccd0'],
    parts: [
      simplePart('hull', 'Hull', {
        material: 'aluminium',
        faces: [face('sides', 185, 40, 2), face('bottom', 185, 30)],
        layers: [coatsOf('red-h', 'candy-red', 3), coatsOf('clear-h', 'satin', 2)],
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
function redBoard(): Piece {
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

/** Soft plastic under a hot lacquer: a stop, and more than the budget holds. */
function lampShells(): Piece {
  return {
    ...base,
    id: 'lamp',
    portrait: 'lamp',
    name: 'Lamp shells',
    looksLike: 'plastic-shell',
    longestMm: 170,
    aim: 'serviceable',
    budget: 900,
    createdAt: demoTime(-4 * 1440),
    swatches: ['#5d7c4a'],
    parts: [
      simplePart('shells', 'Shells', {
        material: 'polystyrene',
        copies: 2,
        lit: true,
        faces: [face('outer', 170, 110, 3)],
        layers: [coatsOf('green-s', 'marram', 3), coatsOf('clear-s', 'satin', 2)],
        pegs: [21],
      }),
      simplePart('trim', 'Trim rings', {
        material: 'abs',
        copies: 2,
        faces: [face('ring', 330, 9, 2)],
        layers: [coatsOf('cream-r', 'cream', 4)],
        pegs: [22],
      }),
    ],
  };
}

/** Finished last week, one fault healed on the way. */
function weatherVane(): Piece {
  return {
    ...base,
    id: 'vane',
    portrait: 'vane',
    name: 'Weather vane',
    looksLike: 'bracket-set',
    longestMm: 420,
    aim: 'serviceable',
    budget: 4000,
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
