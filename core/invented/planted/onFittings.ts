import type { Act, Fitting, WorkStage } from '#core/facts/index';
import { part } from '../testBench.ts';
import { BEGUN, coats, HARD, line, ownStep, ownTask, PAINTED, type Line, type Planted, told } from './telling.ts';

/** What sits on a part while something is done that it does not bear; and wholes put together before their parts. */

/** Something is put on before an act that ruins it; in the twin after all of them. */
function before(name: string, fits: Fitting, puts: Act, act: Act, stage: WorkStage): Planted {
  const task = ownTask('own', { acts: [puts], fits });
  const work: Line = line(1, stage, [act], stage === 'coat' ? { subject: 'primer', coat: 1 } : {});
  const plan = (first: boolean) =>
    told(
      [
        line(0, 'teardown', ['record', 'open'], { wide: '-' }),
        ...(first ? [ownStep(0.3, task, [puts])] : []),
        work,
        ...coats(2, 'primer', 2).map((coat) => (stage === 'coat' ? { ...coat, coat: (coat.coat ?? 1) + 1 } : coat)),
        ...(first ? [] : [ownStep(HARD, task, [puts])]),
      ],
      { more: { tasks: [task] } },
    );
  return { name, rule: 'ruins-fitted', absurd: plan(true), mended: plan(false) };
}

const closing = ownTask('close', { acts: ['close'] });
const seat = ownTask('seat', { acts: ['glue-on'], fits: 'pad' });
const glazing = ownTask('glazing', { kind: 'glazing' });
const covered = ownTask('glazing', { kind: 'glazing', acts: ['glue-on', 'cover'] });

/** The lid hangs before its hinges, or after them. */
function whole(name: string, act: Act, then: Act, fits?: Fitting): Planted {
  const hang = ownTask('whole', { acts: [act] });
  const hinge = ownTask('inner', { acts: [then], ...(fits ? { fits } : {}) });
  const plan = (late: boolean) =>
    told(
      [
        ...PAINTED,
        ownStep(HARD, late ? hang : hinge, late ? [act] : [then]),
        ownStep(HARD + 48, late ? hinge : hang, late ? [then] : [act]),
      ],
      {
        more: { tasks: [hang, hinge] },
      },
    );
  return { name, rule: 'whole-waits', absurd: plan(true), mended: plan(false) };
}

export const ON_FITTINGS: readonly Planted[] = [
  before('glazing is glued in before the stripper', 'glazing', 'glue-on', 'strip-gel', 'strip-on'),
  before('glazing is glued in and sprayed over', 'glazing', 'glue-on', 'spray', 'coat'),
  before('a seal lies in the way of the last wipe', 'seal', 'glue-on', 'solvent-wipe', 'clean'),
  before('a felt pad is glued in before washing', 'pad', 'glue-on', 'water-wash', 'wash'),
  before('wires hang in the bath', 'wire', 'screw-on', 'bath', 'strip-on'),
  before('a tyre is on while the wheel is sprayed', 'rubber', 'slide-on', 'spray', 'coat'),
  before('a badge is on in the gel', 'badge', 'press-on', 'strip-gel', 'strip-on'),
  before('a seal is baked in the oven', 'seal', 'glue-on', 'heat', 'warm'),
  before('glazing stands in the dust of dry sanding', 'glazing', 'glue-on', 'dry-sand', 'prep'),
  before('a rubber foot is blasted', 'rubber', 'press-on', 'strip-blast', 'strip'),
  {
    name: 'glazing that is not covered stands in the spray of the colour',
    rule: 'ruins-fitted',
    absurd: told([...BEGUN, ownStep(0.8, glazing, ['glue-on']), ...coats(1, 'primer', 2)], { more: { tasks: [glazing] } }),
    mended: told([...BEGUN, ownStep(0.8, covered, ['glue-on', 'cover']), ...coats(1, 'primer', 2)], { more: { tasks: [covered] } }),
  },
  whole('a lid is hung nine days before its hinges', 'hang', 'screw-on'),
  whole('a door is aligned before its seals', 'hang', 'glue-on', 'seal'),
  whole('the halves are closed before the lamp is in', 'close', 'glue-on'),
  whole('the light is tested before the wires are in', 'test', 'screw-on', 'wire'),
  {
    name: 'a box is closed before its inside is sprayed',
    rule: 'whole-waits',
    absurd: told([...BEGUN, ...coats(1, 'primer', 2), ownStep(HARD, closing, ['close']), ...coats(HARD + 24, 'colour', 2)], {
      more: { tasks: [closing] },
    }),
    mended: told([...PAINTED, ownStep(HARD, closing, ['close'])], { more: { tasks: [closing] } }),
  },
  {
    name: 'a seat is glued in before its own colour',
    rule: 'ruins-fitted',
    absurd: told([...BEGUN, ...coats(1, 'primer', 2), ownStep(HARD, seat, ['glue-on']), ...coats(HARD + 3, 'colour', 2)], {
      parts: [part()],
      more: { tasks: [seat] },
    }),
    mended: told([...PAINTED, ownStep(HARD, seat, ['glue-on'])], { more: { tasks: [seat] } }),
  },
];
