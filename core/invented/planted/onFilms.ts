import type { Act, Decal, Layer } from '#core/facts/index';
import { lacquer, NOW, part, primer } from '../testBench.ts';
import { BEGUN, coats, HARD, line, ownStep, ownTask, PAINTED, type Planted, told } from './telling.ts';

/** Acts on films that do not bear them yet. */

/** The same act too soon, and once the film bears it. */
function tooSoon(name: string, acts: readonly Act[], hour: number, ready = HARD): Planted {
  const task = ownTask('own', { acts: [...acts] });
  const plan = (at: number) => told([...PAINTED, ownStep(at, task, acts)], { more: { tasks: [task] } });
  return { name, rule: 'film-bears', absurd: plan(hour), mended: plan(ready) };
}

const number = (kind: Decal['kind'], after = 'colour'): Decal => ({
  id: 'number',
  name: 'Number',
  zoneId: 'all',
  after,
  kind,
  count: 1,
  spare: false,
  longMm: 20,
  shortMm: 10,
});

const lettered = (kind: Decal['kind']) => part({ layers: [primer(), lacquer(), glossy('clear')], decals: [number(kind, 'clear')] });
const decalAt = (hour: number, acts: readonly Act[] = ['decal']) => line(hour, 'decal', acts, { subject: 'number' });
const glossy = (id: string): Layer => ({
  id,
  wanted: { family: 'acrylic-lacquer', role: 'clear', name: 'gloss clear', lab: { l: 95, a: 0, b: 0 }, gloss: 85 },
  coats: 2,
  covers: 'all',
});
const CLEARED = [...PAINTED, ...coats(2.8, 'clear', 2)];

/** A clear whose zone is polished, edges too or not, so many coats thick. */
function polished(count: number, edges: boolean) {
  const clear = { ...glossy('clear'), coats: count };
  const zones = [{ id: 'all', name: 'All over', polish: { papers: [1500, 2000] as (1500 | 2000)[], edges } }];
  return told([...PAINTED, ...coats(2.8, 'clear', count), line(HARD * 3, 'flat', ['wet-sand']), line(HARD * 3 + 1, 'flat', ['polish'])], {
    parts: [part({ zones, layers: [primer(), lacquer(), clear] })],
  });
}

/** A stripe on a cured clear, and a last clear whose ground is scuffed beside it so many hours later. */
function scuffedBeside(later: number): Planted['absurd'] {
  const zones = ['all', 'stripe'].map((id) => ({ id, name: id }));
  const layers = [primer(), lacquer(), glossy('clear'), { ...lacquer(), id: 'red', covers: ['stripe'] }, glossy('last')];
  const striped = HARD;
  const [last] = coats(striped + later, 'last');
  const [red] = coats(striped, 'red');
  const start = NOW + (striped + later) * 60;
  const scuffs = { placed: { id: 'last', start, end: start + 12, scuff: true, hold: { by: 'nothing' as const, text: '' }, saved: 0 } };
  return told([...CLEARED, { ...red, more: { on: [{ partId: 'body', zoneIds: ['stripe'] }] } }, { ...last, more: scuffs }], {
    parts: [part({ zones, layers })],
  });
}

export const ON_FILMS: readonly Planted[] = [
  {
    name: 'two coats of clear are polished, edges too',
    rule: 'polished-through',
    absurd: polished(2, true),
    mended: polished(3, true),
  },
  {
    name: 'one coat of clear is polished on its faces',
    rule: 'polished-through',
    absurd: polished(1, false),
    mended: polished(2, false),
  },
  {
    name: 'a cleared ground is scuffed beside a fresh stripe',
    rule: 'film-bears',
    absurd: scuffedBeside(2),
    mended: scuffedBeside(HARD),
  },
  tooSoon('a felt pad is glued into wet lacquer', ['glue-on'], 2.6),
  tooSoon('a hinge is screwed on an hour after the colour', ['screw-on'], 3.5),
  tooSoon('a tyre is slid on the evening after', ['slide-on'], 24),
  tooSoon('a bumper of rubber is pressed on at once', ['press-on'], 2.7),
  tooSoon('tape goes on half an hour after the colour', ['tape'], 3),
  tooSoon('sheeting lies on a film that is wet', ['cover'], 2.6),
  tooSoon('it is hung on another hook while it is wet', ['hang'], 2.5),
  tooSoon('the halves are closed the same evening', ['close'], 4),
  tooSoon('a hole is drilled through fresh colour', ['drill'], 3),
  tooSoon('fresh colour is sanded dry', ['dry-sand'], 5),
  tooSoon('fresh colour is flatted wet', ['wet-sand'], 10),
  tooSoon('it is washed while the colour is soft', ['water-wash'], 2.5),
  tooSoon('it is polished the next day', ['polish'], 26),
  {
    name: 'vinyl goes onto a clear that has not cured',
    rule: 'film-bears',
    absurd: told([...CLEARED, decalAt(30, ['press-on'])], { parts: [lettered('vinyl')] }),
    mended: told([...CLEARED, decalAt(24 * 30, ['press-on'])], { parts: [lettered('vinyl')] }),
  },
  {
    name: 'vinyl goes onto a clear that bears a screw and has not cured',
    rule: 'film-bears',
    absurd: told([...CLEARED, decalAt(150, ['press-on'])], { parts: [lettered('vinyl')] }),
    mended: told([...CLEARED, decalAt(24 * 30, ['press-on'])], { parts: [lettered('vinyl')] }),
  },
  {
    name: 'a waterslide lies in wet clear',
    rule: 'film-bears',
    absurd: told([...CLEARED, decalAt(3.2)], { parts: [lettered('waterslide')] }),
    mended: told([...CLEARED, decalAt(48)], { parts: [lettered('waterslide')] }),
  },
  {
    name: 'a number goes onto matt primer',
    rule: 'decal-ground',
    absurd: told([...BEGUN, ...coats(1, 'primer', 2), decalAt(48)], {
      parts: [part({ layers: [primer()], decals: [number('waterslide', 'primer')] })],
    }),
    mended: told([...PAINTED, ...coats(2.8, 'clear', 2), decalAt(48)], { parts: [lettered('waterslide')] }),
  },
  ...[1, 5, 20].map(
    (wait): Planted => ({
      name: `clear goes over a waterslide ${wait} h old`,
      rule: 'decal-ground',
      absurd: overDecal(wait),
      mended: overDecal(26),
    }),
  ),
];

function overDecal(wait: number) {
  const layers = [primer(), lacquer(), glossy('clear'), glossy('over')];
  return told([...CLEARED, decalAt(48), ...coats(48 + wait, 'over', 2)], {
    parts: [part({ layers, decals: [number('waterslide', 'clear')] })],
  });
}
