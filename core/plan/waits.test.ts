import { describe, expect, it } from 'vitest';
import type { Facts, Family, Layer, Role } from '#core/facts/index';
import { coat, layer, NOW, part, planOf, primed, primer, shelf, steps, workshop } from '#core/invented/index';

/** Waits that a plan keeps at a steady 20 °C and 50 %, with somebody at the bench day and night, against the table of the trade. */

const open: Facts = {
  ...shelf,
  workshop: [
    {
      ...workshop,
      started: true,
      hands: ['aerosol', 'airbrush', 'brush'],
      freeHours: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '00:00', to: '23:59' })),
    },
  ],
};
/** Minutes lost about midnight to packing up and laying out, and to cleaning between two paints. */
const SLACK = 45;
const H = 60;

const wanted = (id: string, family: Family, role: Role, coats = 2): Layer => ({
  id,
  wanted: { family, role, name: id, lab: { l: 30, a: 0, b: 0 } },
  coats,
  covers: 'all',
});
const coatsOf = (layers: Layer[]) => {
  const result = planOf(part({ material: 'steel', finish: 'bare', layers }), [], {}, open);
  return { result, coats: steps(result, 'coat') };
};
const endOf = (step: ReturnType<typeof steps>[number] | undefined) => step?.placed?.end ?? Number.NaN;
const startOf = (step: ReturnType<typeof steps>[number] | undefined) => step?.placed?.start ?? Number.NaN;
const within = (wait: number, expected: number) => {
  expect(wait).toBeGreaterThanOrEqual(expected - 0.5);
  expect(wait).toBeLessThanOrEqual(expected + SLACK);
};

/** Family, role, minutes between its coats. */
const BETWEEN_COATS: readonly (readonly [Family, Role, number])[] = [
  ['acrylic-lacquer', 'colour', 10],
  ['alkyd-enamel', 'colour', 20],
  ['acrylic-enamel', 'colour', 10],
  ['alcohol-acrylic', 'colour', 20],
  ['water-acrylic', 'colour', 30],
  ['waterborne-base', 'colour', 20],
  ['waterborne-sealer', 'colour', 15],
  ['urethane-2k', 'colour', 10],
  ['rust-barrier', 'colour', 15],
  ['texture', 'colour', 10],
  ['latex', 'colour', 4 * H],
];

describe('between two coats of one paint', () => {
  it.each(BETWEEN_COATS)('%s %s: %i min', (family, role, minutes) => {
    const { coats } = coatsOf([primer(), wanted('top', family, role)]);
    const [first, second] = coats.filter((step) => step.coat?.layerId === 'top');
    within(startOf(second) - endOf(first), minutes);
  });
});

/** Lower layer, upper layer, minutes from the last coat below to the first above. */
const BETWEEN_LAYERS: readonly (readonly [string, Layer, Layer, number])[] = [
  ['lacquer colour on lacquer primer', wanted('low', 'lacquer-primer', 'fine-primer'), wanted('top', 'acrylic-lacquer', 'colour'), 3 * H],
  ['enamel on lacquer primer', wanted('low', 'lacquer-primer', 'fine-primer'), wanted('top', 'alkyd-enamel', 'colour'), 3 * H],
  ['water acrylic on lacquer primer', wanted('low', 'lacquer-primer', 'fine-primer'), wanted('top', 'water-acrylic', 'colour'), 3 * H],
  ['lacquer on etch primer', wanted('low', 'etch-primer', 'primer', 1), wanted('top', 'acrylic-lacquer', 'colour'), 20],
  ['2K on epoxy', wanted('low', 'epoxy-primer', 'primer'), wanted('top', 'urethane-2k', 'colour'), 2 * H],
  ['enamel on epoxy', wanted('low', 'epoxy-primer', 'primer'), wanted('top', 'acrylic-enamel', 'colour'), 2 * H],
  ['lacquer on epoxy', wanted('low', 'epoxy-primer', 'primer'), wanted('top', 'acrylic-lacquer', 'colour'), 12 * H],
  ['another enamel colour on alkyd', wanted('low', 'alkyd-enamel', 'colour'), wanted('top', 'alkyd-enamel', 'colour'), 48 * H],
  ['another colour on acrylic enamel', wanted('low', 'acrylic-enamel', 'colour'), wanted('top', 'acrylic-enamel', 'colour'), 48 * H],
  ['1K clear on solvent base', wanted('low', 'solvent-base', 'metallic'), wanted('top', 'acrylic-lacquer', 'clear'), 20],
  ['2K clear on solvent base', wanted('low', 'solvent-base', 'colour'), wanted('top', 'urethane-2k', 'clear'), 20],
  ['2K clear on waterborne base', wanted('low', 'waterborne-base', 'colour'), wanted('top', 'urethane-2k', 'clear'), 45],
  ['1K clear on waterborne base', wanted('low', 'waterborne-base', 'colour'), wanted('top', 'acrylic-lacquer', 'clear'), 2 * H],
];

describe('between two layers', () => {
  it.each(BETWEEN_LAYERS)('%s', (_name, below, above, minutes) => {
    const { coats } = coatsOf([below, { ...above, id: 'top' }]);
    const last = coats.filter((step) => step.coat?.layerId === below.id).at(-1);
    const first = coats.find((step) => step.coat?.layerId === 'top');
    // From when it may: on a lacquer primer that is after half an hour, but left till that is dry the piece ends sooner.
    within((first?.window?.from ?? startOf(first)) - endOf(last), minutes);
    expect(startOf(first)).toBeGreaterThanOrEqual(first?.window?.from ?? 0);
  });
});

/** Top family, hours after its last coat at which screws and sliding may begin. */
const FIT: readonly (readonly [Family, number])[] = [
  ['acrylic-lacquer', 24],
  ['alkyd-enamel', 48],
  ['acrylic-enamel', 48],
  ['alcohol-acrylic', 24],
  ['water-acrylic', 24],
  ['urethane-2k', 36],
  ['rust-barrier', 48],
];

describe('until it is fitted together', () => {
  it.each(FIT)('%s: %i h', (family, hours) => {
    // Over a primer long dry the film counts by itself.
    const { result, coats } = coatsOf([
      layer('primer', 'lacquer-primer', 'fine-primer', 1, { flatAfter: 800 }),
      wanted('top', family, 'colour'),
    ]);
    within(startOf(steps(result, 'fit')[0]) - endOf(coats.at(-1)), hours * H);
  });
});

describe('a film grows old', () => {
  const D = 1440;
  const laid = (days: number, family: Family, role: Role) => [coat('low', 1, days * D, family, role, 12)];
  const stackOn = (days: number, family: Family, role: Role, above: Layer) =>
    planOf(part({ material: 'steel', finish: 'bare', layers: [layer('low', family, role, 1), above] }), laid(days, family, role), {}, open);
  const enamelTop = layer('top', 'alkyd-enamel', 'colour', 1);
  const first = (days: number) => steps(stackOn(days, 'lacquer-primer', 'fine-primer', enamelTop), 'coat')[0];
  it('a matt primer is its own key for a week, then it is scuffed first', () => {
    expect(first(3).placed?.scuff).toBe(false);
    expect(first(9).placed?.scuff).toBe(true);
    expect(first(9).minutes).toBeGreaterThan(first(3).minutes);
  });
  it('and where nobody is at the bench within that week', () => {
    const away: Facts = { ...open, workshop: [{ ...open.workshop[0], away: [{ from: '2026-12-01', to: '2026-12-08' }] }] };
    const result = planOf(
      part({ material: 'steel', finish: 'bare', layers: [layer('low', 'lacquer-primer', 'fine-primer', 1), enamelTop] }),
      laid(0.5, 'lacquer-primer', 'fine-primer'),
      {},
      away,
    );
    expect(steps(result, 'coat')[0].placed?.scuff).toBe(true);
  });
  it('a lacquer older than sixty days is care under fresh lacquer', () => {
    const top = layer('top', 'acrylic-lacquer', 'clear', 1);
    const verdict = (days: number) =>
      stackOn(days, 'acrylic-lacquer', 'colour', top).pieces[0].steps.joints.find((entry) => entry.layerId === 'top')?.joint.verdict;
    expect(verdict(20)).toBe('sits');
    expect(verdict(70)).toBe('care');
  });
});

describe('paint that is on no shelf', () => {
  const cream = wanted('cream', 'acrylic-lacquer', 'colour');
  const coatsAfter = (events: Parameters<typeof planOf>[1], facts: Facts = open) =>
    steps(planOf(part({ material: 'steel', finish: 'bare', layers: [primer(), cream] }), events, {}, facts), 'coat');
  const laid = (id: string, number: number, ago: number) => coat(id, number, ago, 'acrylic-lacquer', 'colour', 15);
  const unowned = (event: ReturnType<typeof laid>) => {
    if (event.kind !== 'done' || !event.coat) return event;
    const { productId: _none, ...own } = event.coat;
    return { ...event, coat: own };
  };
  it('is waited for until the shop can have it here', () => {
    const [first] = coatsAfter(primed);
    expect(first.notBeforeWhy).toContain('must be bought first');
    expect(first.placed?.hold.text).toContain('must be bought first');
  });
  it('is in hand once a coat of it has been logged', () => {
    const [next] = coatsAfter([...primed, unowned(laid('cream', 1, 15))]);
    expect(next.notBefore).toBeUndefined();
    expect(startOf(next) - NOW).toBeLessThan(30);
  });
});

describe('what an evening was missed for', () => {
  it('is said, with the free hours after it', () => {
    const flat = steps(
      planOf(part({ finish: 'bare', layers: [primer({ flatAfter: 600 }), wanted('c', 'acrylic-lacquer', 'colour')] })),
      'flat',
    )[0];
    expect(flat.placed?.hold.text).toMatch(/must be hard enough to sand; these are your next free hours$/);
  });
});
