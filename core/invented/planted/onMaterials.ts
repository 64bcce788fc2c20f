import type { Act, Part, WorkStage } from '#core/facts/index';
import { layer, part, primer, wanted } from '../testBench.ts';
import { coats, line, papersOf, type Line, type Planted, told } from './telling.ts';

/** Work that a material does not bear, is too coarse for its relief, or leaves something lying too long. */

const START = line(0, 'teardown', ['record', 'open'], { wide: '-' });

/** One act on a part of a nature; the twin does another act to it. */
function on(
  name: string,
  nature: Partial<Part>,
  [stage, act]: readonly [WorkStage, Act],
  [thenStage, then]: readonly [WorkStage, Act],
): Planted {
  const parts = [part({ layers: [], ...nature })];
  return {
    name,
    rule: 'harms-material',
    absurd: told([START, line(0.5, stage, [act])], { parts }),
    mended: told([START, line(0.5, thenStage, [then])], { parts }),
  };
}

const WASH = ['wash', 'water-wash'] as const;
const WIPE = ['clean', 'solvent-wipe'] as const;

function untested(name: string, lines: readonly Line[]): Planted {
  const parts = [part({ material: 'unknown' })];
  return {
    name,
    rule: 'unknown-material',
    absurd: told([START, ...lines], { parts }),
    mended: told([START, line(0.2, 'material-test', ['test']), ...lines], { parts: [part({ toldBy: 'magnet' })] }),
  };
}

/** A first coat on bare wood or steel, and what should lie there before it. */
const wood = (family: 'acrylic-lacquer' | 'lacquer-primer' | 'alkyd-enamel', role: 'colour' | 'fine-primer'): Planted => {
  const bare = layer('top', family, role, 1);
  const sealer = wanted('sealer', 'wood-sealer', 'primer', { coats: 1 });
  return {
    name: `bare wood takes ${family} unsealed`,
    rule: 'sealed-wood',
    absurd: told([START, line(0.5, 'clean', ['solvent-wipe']), ...coats(1, 'top', 1)], {
      parts: [part({ material: 'wood', layers: [bare] })],
    }),
    mended: told([START, line(0.5, 'clean', ['solvent-wipe']), ...coats(1, 'sealer', 1), ...coats(2, 'top', 1)], {
      parts: [part({ material: 'wood', layers: [sealer, bare] })],
    }),
  };
};

const steel = (layers: Part['layers'] = [primer()]) => ({ parts: [part({ material: 'steel', layers })] });
const brightened = (act: Act, stage: WorkStage): Planted => ({
  name: `steel bared by ${act} lies bright for two days`,
  rule: 'bare-steel',
  absurd: told([START, line(0.5, stage, [act]), ...coats(48, 'primer', 2)], steel()),
  mended: told([START, line(0.5, stage, [act]), line(1, 'metal-prep', ['acid-prep']), ...coats(26, 'primer', 2)], steel()),
});

const small = { longestMm: 65, looksLike: 'cast-body' as const };
function paper(
  name: string,
  grits: readonly number[],
  fine: readonly number[],
  more: Parameters<typeof told>[1] = { more: small },
): Planted {
  const plan = (own: readonly number[]) => told([START, line(0.5, 'prep', ['dry-sand'], { more: papersOf(...own) })], more);
  return { name, rule: 'paper-fits', absurd: plan(grits), mended: plan(fine) };
}

function dwells(
  name: string,
  material: Part['material'],
  method: 'gel' | 'caustic' | 'alkaline',
  late: number | null,
  soon: number,
): Planted {
  const act: Act = method === 'gel' ? 'strip-gel' : method === 'caustic' ? 'strip-caustic' : 'strip-alkaline';
  const worked = { subject: method, more: { method } };
  const plan = (off: number | null) =>
    told([START, line(0.5, 'strip-on', [act], worked), ...(off === null ? [] : [line(off, 'strip-off', [act, 'water-wash'], worked)])], {
      parts: [part({ material, finish: 'sound', layers: [] })],
    });
  return { name, rule: 'watched', absurd: plan(late), mended: plan(soon) };
}

function lasting(name: string, hours: number, acts: readonly Act[], mended: readonly Act[]): Planted {
  const plan = (own: readonly Act[]) =>
    told([START, line(0.5, 'mask', own, { subject: 'bare' }), line(hours, 'unmask', ['untape'], { subject: 'bare' })]);
  return { name, rule: 'lasting-cover', absurd: plan(acts), mended: plan(mended) };
}

export const ON_MATERIALS: readonly Planted[] = [
  on('wood is washed wet', { material: 'wood' }, WASH, WIPE),
  on('wood lies in a bath', { material: 'wood' }, ['strip-on', 'bath'], WIPE),
  on('glazing that stays clear is sanded', { material: 'clear', staysClear: true }, ['prep', 'wet-sand'], WASH),
  on('glazing that stays clear is wiped with solvent', { material: 'clear', staysClear: true }, WIPE, WASH),
  on('plating that stays is stripped', { material: 'plated-plastic', staysPlated: true }, ['strip-on', 'strip-caustic'], WASH),
  on('plating nobody gave up is stripped', { material: 'plated-plastic' }, ['strip-on', 'strip-alkaline'], WASH),
  on('printing that stays meets gel', { material: 'tinplate', printed: true }, ['strip-on', 'strip-gel'], WASH),
  on('grain is sanded away', { material: 'abs', surface: 'grained' }, ['prep', 'dry-sand'], WASH),
  on('magnesium is sanded dry', { material: 'magnesium' }, ['prep', 'dry-sand'], WASH),
  on('a plastic shell meets gel', { material: 'polystyrene' }, ['strip-on', 'strip-gel'], WASH),
  untested('an unknown plastic is primed untested', coats(1, 'primer', 1)),
  untested('an unknown plastic meets gel untested', [line(0.5, 'strip-on', ['strip-gel'])]),
  untested('an unknown plastic lies in a bath untested', [line(0.5, 'strip-on', ['bath', 'strip-alcohol'])]),
  untested('an unknown plastic is wiped with solvent untested', [line(0.5, 'clean', ['solvent-wipe'])]),
  wood('acrylic-lacquer', 'colour'),
  wood('lacquer-primer', 'fine-primer'),
  wood('alkyd-enamel', 'colour'),
  brightened('dry-sand', 'prep'),
  brightened('strip-brush', 'strip'),
  brightened('strip-blast', 'strip'),
  paper('P240 goes over a casting of 65 mm', [240, 400], [600]),
  paper('P180 goes over a model in 1:87', [180], [400, 600], { more: { longestMm: 220, scale: 87, looksLike: 'cast-body' } }),
  paper('P320 goes all over a moulded shell of 120 mm', [320, 400], [400], {
    more: { longestMm: 120, looksLike: 'plastic-shell' },
    parts: [part({ material: 'abs' })],
  }),
  paper('P220 goes over small wheels', [220], [400], { more: { longestMm: 30, looksLike: 'wheels-axles' } }),
  dwells('gel is left on for three days', 'zinc', 'gel', 72, 1),
  dwells('zinc lies in caustic over night', 'zinc', 'caustic', 12, 0.55),
  dwells('zinc lies in the alkaline soak for a day', 'zinc', 'alkaline', 24, 3),
  dwells('gel goes on and nobody takes it off', 'zinc', 'gel', null, 1),
  lasting('plain tape stays on for four days', 96, ['tape'], ['tape', 'cover']),
  lasting('plain tape stays on over two nights', 50, ['tape'], ['tape', 'cover']),
  lasting('a mask stays on through a fortnight', 24 * 14, ['tape'], ['cover']),
];
