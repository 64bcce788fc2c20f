import type { Layer, LogEvent } from '#core/facts/index';
import { clear, coat, enamel, lacquer, layer, part, primer, wanted } from '../testBench.ts';
import { BEGUN, coats, HARD, line, ownStep, ownTask, type Planted, told } from './telling.ts';

/** Work in an order nobody would choose: unrecorded, primer over colour, one colour over two evenings. */

const START = line(0, 'teardown', ['record', 'open'], { wide: '-' });
const OPEN = line(0.2, 'teardown', ['open'], { wide: 'posts' });

/** An act before the pictures, and after them. */
function unrecorded(name: string, act: Parameters<typeof line>[2][number], stage: Parameters<typeof line>[1]): Planted {
  const work = (at: number) => line(at, stage, [act]);
  return {
    name,
    rule: 'record-first',
    absurd: told([work(0), line(0.5, 'teardown', ['record'], { wide: '-' })]),
    mended: told([START, work(0.5)]),
  };
}

const readFrom = { id: 'old', kind: 'hidden-spot' as const, where: 'under the plate', partId: 'body' };
const unread = { more: { references: [readFrom] } };
const reading = (at: number) => line(at, 'reference', ['record'], { subject: 'old' });

const laid = (events: readonly LogEvent[], layers: readonly Layer[]) => ({ parts: [part({ layers: [...layers] })], events });
const redBefore = [coat('colour', 1, 90 * 1440, 'acrylic-lacquer', 'colour', 12)];
const clearBefore = [...redBefore, coat('clear', 1, 80 * 1440, 'acrylic-lacquer', 'clear', 13)];
const silver = (coats: number) => wanted('silver', 'solvent-base', 'metallic', { coats });
const candy = (coats: number) => wanted('candy', 'candy', 'colour', { coats });
const texture = wanted('texture', 'texture', 'colour');
const dye = wanted('dye', 'dye', 'colour');

const sanded = (name: string, own: Layer, act: 'scuff' | 'wet-sand', then: Layer = clear): Planted => {
  const parts = [part({ layers: [primer(), own, then] })];
  const painted = [...BEGUN, ...coats(1, 'primer', 2), ...coats(2, own.id, 2, 15)];
  return {
    name,
    rule: 'never-scuffed',
    absurd: told([...painted, line(HARD, 'flat', [act], { subject: own.id }), ...coats(HARD + 1, then.id, 1)], { parts }),
    mended: told([...painted, ...coats(2.75, then.id, 1)], { parts }),
  };
};

/** The second coat on another day than the first, or right behind it. */
const split = (name: string, own: Layer, days: number): Planted => {
  const parts = [part({ layers: [primer(), own] })];
  const start = [...BEGUN, ...coats(1, 'primer', 2)];
  const [one, two] = coats(2, own.id, 2, 15);
  return {
    name,
    rule: 'one-go',
    absurd: told([...start, one, { ...two, at: 24 * days }], { parts }),
    mended: told([...start, one, two], { parts }),
  };
};

const extra = (name: string, stage: 'look' | 'scrap-test' | 'material-test', acts: Parameters<typeof line>[2]): Planted => {
  const parts = [part({ layers: [primer(), candy(2), clear] })];
  const start = [...BEGUN, ...coats(1, 'primer', 2), ...coats(2, 'candy', 2, 12)];
  return {
    name,
    rule: 'extras-in-window',
    absurd: told([...start, line(2.32, stage, acts), ...coats(2.45, 'clear', 1)], { parts }),
    mended: told(
      [line(0, 'teardown', ['record', 'open'], { wide: '-' }), line(0.1, stage, acts), ...start.slice(1), ...coats(2.45, 'clear', 1)],
      { parts },
    ),
  };
};

export const IN_ORDER: readonly Planted[] = [
  unrecorded('posts are drilled before the pictures', 'drill', 'teardown'),
  unrecorded('it is washed before the pictures', 'water-wash', 'wash'),
  unrecorded('it is stripped before the pictures', 'strip-gel', 'strip-on'),
  unrecorded('it is sanded before the pictures', 'wet-sand', 'prep'),
  {
    name: 'the old paint is stripped before its colour is read',
    rule: 'record-first',
    absurd: told([START, line(0.5, 'strip-on', ['strip-gel']), line(1, 'strip-off', ['strip-gel', 'water-wash']), reading(2)], unread),
    mended: told([START, reading(0.3), line(0.5, 'strip-on', ['strip-gel']), line(1, 'strip-off', ['strip-gel', 'water-wash'])], unread),
  },
  {
    name: 'the old paint is scuffed before its colour is read',
    rule: 'record-first',
    absurd: told([START, line(0.5, 'prep', ['scuff']), reading(2)], unread),
    mended: told([START, reading(0.3), line(0.5, 'prep', ['scuff'])], unread),
  },
  {
    name: 'primer goes over the colour that was entered as laid',
    rule: 'coat-order',
    absurd: told([...BEGUN, ...coats(1, 'primer', 1)], laid(redBefore, [primer(), lacquer()])),
    mended: told([...BEGUN, ...coats(1, 'colour', 1)], laid(redBefore, [primer(), lacquer()])),
  },
  {
    name: 'filler primer goes over a clear',
    rule: 'coat-order',
    absurd: told(
      [...BEGUN, ...coats(1, 'filler', 1)],
      laid(clearBefore, [layer('filler', 'lacquer-primer', 'filler-primer', 1), lacquer(), clear]),
    ),
    mended: told([...BEGUN, ...coats(1, 'clear', 1)], laid(clearBefore, [primer(), lacquer(), clear])),
  },
  {
    name: 'colour goes over the clear that is to be seen',
    rule: 'coat-order',
    absurd: told([...BEGUN, ...coats(1, 'colour', 1)], laid(clearBefore, [primer(), lacquer(), clear])),
    mended: told([...BEGUN, ...coats(1, 'clear', 1)], laid(clearBefore, [primer(), lacquer(), clear])),
  },
  {
    name: 'primer goes over the colour of the same evening',
    rule: 'coat-order',
    absurd: told([...BEGUN, ...coats(1, 'colour', 1), ...coats(2, 'primer', 1)]),
    mended: told([...BEGUN, ...coats(1, 'primer', 1), ...coats(2, 'colour', 1)]),
  },
  sanded('silver is scuffed for its clear', silver(2), 'scuff'),
  sanded('candy is flatted', candy(2), 'wet-sand'),
  sanded('texture is flatted away', texture, 'wet-sand', { ...clear, id: 'top' }),
  sanded('a dye is scuffed', dye, 'scuff', { ...clear, id: 'top' }),
  split('silver is sprayed on two evenings', silver(2), 1),
  split('candy is sprayed on two evenings', candy(2), 1),
  split('lacquer is sprayed two days apart, though the evening was free', lacquer(2), 2),
  split('enamel is sprayed nine days apart', enamel(2), 9),
  extra('the candy is looked at while its window runs', 'look', ['look']),
  extra('a scrap is sprayed while the candy’s window runs', 'scrap-test', []),
  extra('the material is tested between candy and clear', 'material-test', ['test']),
  {
    name: 'what was sanded bare a day ago is scuffed again',
    rule: 'done-again',
    absurd: told([START, line(0.5, 'prep', ['dry-sand']), line(24, 'prep', ['scuff']), ...coats(25, 'primer', 1)]),
    mended: told([START, line(0.5, 'prep', ['dry-sand']), ...coats(1.5, 'primer', 1)]),
  },
  {
    name: 'it is washed twice with nothing between',
    rule: 'done-again',
    absurd: told([START, line(0.5, 'wash', ['water-wash']), line(2, 'wash', ['water-wash'])]),
    mended: told([START, line(0.5, 'wash', ['water-wash']), line(1, 'prep', ['dry-sand']), line(2, 'clean', ['water-wash'])]),
  },
  {
    name: 'it is sanded with the same paper twice',
    rule: 'done-again',
    absurd: told([START, line(0.5, 'prep', ['dry-sand'], { more: { grit: 400 } }), line(2, 'prep', ['dry-sand'], { more: { grit: 400 } })]),
    mended: told([START, line(0.5, 'prep', ['dry-sand'], { more: { grit: 400 } }), line(2, 'prep', ['dry-sand'], { more: { grit: 600 } })]),
  },
  {
    name: 'a step without a date names another without one',
    rule: 'no-date',
    absurd: told([
      START,
      line(null, 'wash', ['water-wash'], { more: { unplacedWhy: 'another has no date', heldBy: 'bell.body.prep.-.3' } }),
      line(null, 'prep', ['dry-sand'], { more: { unplacedWhy: 'no stay is long enough' } }),
    ]),
    mended: told([
      START,
      line(null, 'wash', ['water-wash'], { more: { unplacedWhy: 'no stay is long enough' } }),
      line(null, 'prep', ['dry-sand'], { more: { unplacedWhy: 'no stay is long enough' } }),
    ]),
  },
  {
    name: 'a step has no date and nobody says why',
    rule: 'no-date',
    absurd: told([START, line(null, 'wash', ['water-wash'])]),
    mended: told([START, line(0.5, 'wash', ['water-wash'])]),
  },
  {
    name: 'a step is planned on a part that was taken out',
    rule: 'gone',
    absurd: told([START, ...coats(1, 'primer', 1)], { parts: [part({ gone: true })] }),
    mended: told([START, ...coats(1, 'primer', 1)]),
  },
  {
    name: 'a coat goes onto a zone that stays bare',
    rule: 'gone',
    absurd: told([START, ...coats(1, 'primer', 1)], { parts: [part({ zones: [{ id: 'all', name: 'All over', bare: 'it slides' }] })] }),
    mended: told([START, ...coats(1, 'primer', 1)]),
  },
  {
    name: 'an own step is about a part that was taken out',
    rule: 'gone',
    absurd: told([START, OPEN, ownStep(1, ownTask('own'), ['handle'])], {
      parts: [part({ gone: true })],
      more: { tasks: [ownTask('own')] },
    }),
    mended: told([START, OPEN, ownStep(1, ownTask('own'), ['handle'])], { more: { tasks: [ownTask('own')] } }),
  },
];
