import type { Piece } from '#core/facts/index';
import { coatsOf, demoTime, face, features, simplePart } from './facts.ts';
import { base, mark, picture } from './pieceFacts.ts';

/** Plastic and the unknown: a balance with a refused pan, lamp shells that hate strong solvents. */

/** One material not known, one face not planned at all. */
export function balance(): Piece {
  return {
    ...base,
    id: 'balance',
    portrait: 'balance',
    name: 'Kitchen balance',
    looksLike: 'bracket-set',
    longestMm: 220,
    aim: 'as-original',
    createdAt: demoTime(-2 * 1440),
    swatches: ['#5d7c4a'],
    leadExcluded: false,
    guesses: ['lead', 'material:beam', 'finish:column'],
    limit: 'outside',
    wishes: 'Clean and green again, nothing replaced.',
    surveyed: ['stops', 'limit', 'repaint', 'pictures'],
    pictures: [picture('balance-front', 'front', 'before', 2)],
    references: [{ id: 'under-pan', kind: 'hidden-spot', where: 'under the pan bracket', partId: 'column' }],
    fastenings: [{ id: 'knife', kind: 'screw', a: 'beam', b: 'column', count: 2, note: 'keep the knife edge dry and bare' }],
    parts: [
      simplePart('beam', 'Beam', {
        material: 'unknown',
        finish: 'unknown',
        features: features('raised-detail'),
        faces: [face('sides', 220, 18, 4)],
        layers: [coatsOf('primer-m', 'primer-grey', 2), coatsOf('green-m', 'marram', 2)],
        pegs: [15],
      }),
      simplePart('column', 'Column', {
        material: 'cast-iron',
        toldBy: 'magnet',
        finish: 'unknown',
        oldCoats: 2,
        features: features('edges', 'inside-corners'),
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

/** Soft plastic under a hot lacquer: a stop, and more than the budget holds. */
export function lampShells(): Piece {
  return {
    ...base,
    id: 'lamp',
    portrait: 'lamp',
    name: 'Lamp shells',
    looksLike: 'plastic-shell',
    longestMm: 170,
    aim: 'serviceable',
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
