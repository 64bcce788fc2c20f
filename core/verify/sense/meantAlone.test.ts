import { conditionsOf, DryingClocks } from '#core/drying/index';
import type { Decal, Facts, Label, Layer } from '#core/facts/index';
import { done, enamel, NOW, part, primer } from '#core/invented/index';
import { coats, line, type Line, told, type Told } from '#core/invented/planted/telling';
import { describe, expect, it } from 'vitest';
import { TOLERANCE } from '../verified.ts';
import { sense } from './index.ts';

/** What a rule is about, and what lies beside it: another zone, another part, another act, another minute. */

const begun = [line(0, 'teardown', ['record', 'open'], { wide: '-' })];
const findings = ({ facts, ...sensed }: Told) => sense(sensed, facts, conditionsOf(facts, NOW));
const rules = (own: Told) => findings(own).map(({ rule }) => rule);
const zones = [
  { id: 'all', name: 'Upper' },
  { id: 'low', name: 'Lower' },
];
const onZones = (lines: readonly Line[], ...zoneIds: readonly string[]): Line[] =>
  lines.map((own) => ({ ...own, more: { ...own.more, on: [{ partId: 'body', zoneIds }] } }));
const second = (lines: readonly Line[]): Line[] => lines.map((own) => ({ ...own, coat: 2 }));
const candy: Layer = {
  id: 'candy',
  wanted: { family: 'candy', role: 'colour', name: 'candy', lab: { l: 40, a: 0, b: 0 } },
  coats: 2,
  covers: 'all',
};

describe('paper beside a fresh film', () => {
  const keyed = (stage: 'coat' | 'look') => {
    const layers: Layer[] = [primer(), { ...enamel(), id: 'enamel', covers: ['low'] }, { ...primer(), id: 'next' }];
    const at = 30;
    const own = line(at, stage, stage === 'coat' ? ['spray'] : ['look'], {
      ...(stage === 'coat' ? { subject: 'next', coat: 1 } : { subject: 'sheen' }),
      more: {
        placed: { id: 'keyed', start: NOW + at * 60, end: NOW + at * 60 + 6, scuff: true, hold: { by: 'nothing', text: '' }, saved: 0 },
      },
    });
    return told([...begun, ...coats(1, 'primer', 1), ...onZones(coats(29.5, 'enamel', 1), 'low'), own], {
      parts: [part({ zones, layers })],
    });
  };
  it('is called out of a coat that is keyed for, and of nothing else', () => {
    expect(findings(keyed('coat')).filter(({ because }) => because.includes('scuffs'))).toHaveLength(1);
    expect(findings(keyed('look')).filter(({ because }) => because.includes('scuffs'))).toHaveLength(0);
  });
});

describe('a spell of warmth without a date', () => {
  it('warms nothing, and is read like the rest', () => {
    const warm = line(null, 'warm', ['heat'], { more: { warm: { by: 'oven', surfaceC: 50, minutes: 60 } } });
    expect(() => findings(told([...begun, ...coats(1, 'primer', 1), warm]))).not.toThrow();
  });
});

describe('a second coat on the next evening', () => {
  const parts = [part({ zones, layers: [primer(), enamel()] })];
  const first = [...begun, ...coats(1, 'primer', 1)];
  const layer = enamel().id;
  it('is called out on the same zone, and not on another', () => {
    const on = (zone: string) => [...first, ...onZones(coats(2, layer, 1), 'all'), ...onZones(second(coats(24.2, layer, 1)), zone)];
    expect(rules(told(on('all'), { parts }))).toContain('one-go');
    expect(rules(told(on('low'), { parts }))).not.toContain('one-go');
  });
  it('is nobody else’s doing where it was pinned there', () => {
    const pinned = second(coats(24.2, layer, 1)).map((own) => ({ ...own, more: { pinnedTo: NOW + 24.2 * 60 } }));
    expect(rules(told([...first, ...coats(2, layer, 1), ...pinned], { parts }))).not.toContain('one-go');
  });
  it('could not come sooner while one long step filled the stay, with a short one in it', () => {
    const busy = [line(2.15, 'look', ['look'], { subject: 'a', more: { minutes: 140 } }), line(2.3, 'look', ['look'], { subject: 'b' })];
    const lines = [...first, ...coats(2, layer, 1), ...busy, ...second(coats(24.2, layer, 1))];
    expect(rules(told(lines, { parts }))).not.toContain('one-go');
    expect(rules(told([...first, ...coats(2, layer, 1), ...second(coats(24.2, layer, 1))], { parts }))).toContain('one-go');
  });
});

describe('a look between two coats of a row', () => {
  it('takes its minutes in the short window of each of its parts', () => {
    const parts = [part({ layers: [primer(), candy] }), part({ id: 'lid', name: 'Lid', pegs: [2], layers: [primer(), candy] })];
    const both = ['body', 'lid'];
    const lines = [
      ...begun,
      ...coats(1, 'primer', 1, 20, both),
      ...coats(2, 'candy', 2, 40, both),
      line(2.3, 'look', ['look'], { subject: 'sheen' }),
    ];
    expect(rules(told(lines, { parts }))).toContain('extras-in-window');
  });
});

describe('a decal', () => {
  const layers = [primer(), enamel()];
  const decals = (kind: 'waterslide' | 'vinyl'): Decal[] => [
    { id: 'd', name: 'Number', kind, zoneId: 'all', longMm: 20, shortMm: 10, count: 1, spare: false, after: enamel().id },
  ];
  const own = (kind: 'waterslide' | 'vinyl') => part({ layers, decals: decals(kind) });
  const labelled = ({ facts, ...rest }: Told, label: Label): Told => {
    const sheetId = facts.products.find(({ id }) => id === enamel().productId)?.sheetId;
    const sheets = facts.sheets.map((sheet) => (sheet.id === sheetId ? { ...sheet, label: { ...sheet.label, ...label } } : sheet));
    return { ...rest, facts: { ...facts, sheets } as Facts };
  };
  const laid = [...begun, ...coats(1, 'primer', 1), ...coats(24, enamel().id, 1)];
  const slid = told([...laid, line(200, 'decal', ['decal'], { subject: 'd' })], { parts: [own('waterslide')] });
  it.each([
    [45, true],
    [50, false],
    [60, false],
  ])('on a film of %d units silvers: %s', (gloss, silvers) => {
    expect(rules(labelled(slid, { gloss })).includes('decal-ground')).toBe(silvers);
  });
  it('that is pressed on waits for cure where it is of vinyl, and not where it is not', () => {
    const pressed = (kind: 'waterslide' | 'vinyl') =>
      rules(told([...laid, line(24 + 60, 'decal', ['press-on'], { subject: 'd' })], { parts: [own(kind)] }));
    expect(pressed('vinyl')).toContain('film-bears');
    expect(pressed('waterslide')).not.toContain('film-bears');
  });
  it('under a clear on one of its zones is safe from paper there', () => {
    const clear: Layer = {
      id: 'clear',
      wanted: { family: 'acrylic-lacquer', role: 'clear', name: 'clear', lab: { l: 90, a: 0, b: 0 } },
      coats: 1,
      covers: ['all'],
    };
    const parts = [part({ zones, layers: [...layers, clear], decals: decals('waterslide') })];
    const lines = [
      ...begun,
      ...coats(1, 'primer', 1),
      ...coats(24, enamel().id, 1),
      line(200, 'decal', ['decal'], { subject: 'd' }),
      ...onZones(coats(240, 'clear', 1), 'all'),
      ...onZones([line(900, 'task', ['scuff'], { wide: 'rub' })], 'all'),
    ];
    const tasks = [{ id: 'rub', kind: 'own' as const, name: 'Rub', partIds: ['body'], minutes: 5, acts: ['scuff' as const] }];
    expect(rules(told(lines, { parts, more: { tasks } }))).not.toContain('ruins-fitted');
    const bare = lines.filter(({ subject }) => subject !== 'clear');
    expect(rules(told(bare, { parts, more: { tasks } }))).toContain('ruins-fitted');
  });
});

describe('plain tape', () => {
  const taped = (minutes: number) => {
    const off = NOW + 60 + 6 + minutes;
    return told(
      [
        ...begun,
        line(1, 'mask', ['tape'], { subject: 's' }),
        line(30, 'unmask', ['untape'], {
          subject: 's',
          more: { placed: { id: 'off', start: off, end: off + 6, scuff: false, hold: { by: 'nothing', text: '' }, saved: 0 } },
        }),
      ],
      { parts: [part({ layers: [primer()] })] },
    );
  };
  it('may stay for a day to the minute', () => {
    expect(rules(taped(1440))).not.toContain('lasting-cover');
    expect(rules(taped(1440.5))).toContain('lasting-cover');
  });
});

describe('bright steel', () => {
  const steel = part({ material: 'steel', finish: 'bare', layers: [primer()] });
  it('is primed in time within what rounding may cost, and no later', () => {
    const story = (start: number) =>
      told(
        [
          ...begun,
          line(0.5, 'strip', ['strip-blast']),
          line(2, 'coat', ['spray'], {
            subject: 'primer',
            coat: 1,
            more: { placed: { id: 'coat', start, end: start + 6, scuff: false, hold: { by: 'nothing', text: '' }, saved: 0 } },
          }),
        ],
        { parts: [steel] },
      );
    const { facts, steps } = story(NOW + 90);
    const rusts = new DryingClocks(conditionsOf(facts, NOW)).flashRust(facts.workshop[0].sprayPlaceId, steps[1].placed?.end ?? Number.NaN);
    expect(rules(story(rusts + TOLERANCE))).not.toContain('bare-steel');
    expect(rules(story(rusts + 2 * TOLERANCE))).toContain('bare-steel');
  });
  it('left so for days is said where its rust is brushed off, not at any other work', () => {
    const bared = done('strip', 3 * 1440);
    const work = (acts: readonly ['strip-brush'] | readonly ['look']) =>
      findings(told([line(0.5, 'prep', acts)], { parts: [steel], events: [bared] })).filter(({ because }) =>
        because.includes('left bright'),
      );
    expect(work(['strip-brush'])).toHaveLength(1);
    expect(work(['look'])).toHaveLength(0);
  });
});

describe('a stack upside down', () => {
  it('is seen on a layer that covers one of the zones that are sprayed', () => {
    const low: Layer = { ...primer(), id: 'under', covers: ['all'] };
    const high: Layer = { ...enamel(), id: 'over', covers: ['all'] };
    const lines = [...begun, ...coats(1, 'over', 1), ...coats(200, 'under', 1)];
    expect(rules(told(lines, { parts: [part({ zones, layers: [low, high] })] }))).toContain('coat-order');
  });
});

describe('a part that is put on another', () => {
  it.each([[{ material: 'clear' as const }], [{ material: 'abs' as const, staysClear: true }]])(
    'is glazing, and ruined by paint, with %o',
    (more) => {
      const glass = part({ id: 'glass', name: 'Glass', pegs: [2], layers: [], ...more });
      const lines = [...begun, line(0.5, 'assemble', ['glue-on'], { wide: 'glass', on: ['body', 'glass'] }), ...coats(24, 'primer', 1)];
      expect(rules(told(lines, { parts: [part({ layers: [primer()] }), glass] }))).toContain('ruins-fitted');
    },
  );
});
