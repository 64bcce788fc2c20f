import { describe, expect, it } from 'vitest';
import { type Family, type Hand, isMetal, MATERIALS, type Role } from '#core/facts/index';
import { labOf } from '#core/colour/index';
import { filmOfCoat, finestRelief, groundSuits, readySystems, reliefEffect, resolveLayer, stackJoint } from './index.ts';
import { EMPTY_FACTS, type Layer } from '#core/facts/index';
import { starterShelf } from '#core/buying/index';

const FIGURES: readonly (readonly [Family, Role, Hand, number, number])[] = [
  ['etch-primer', 'primer', 'aerosol', 8, 0.09],
  ['lacquer-primer', 'fine-primer', 'aerosol', 12, 0.1],
  ['lacquer-primer', 'filler-primer', 'aerosol', 22, 0.14],
  ['acrylic-lacquer', 'colour', 'aerosol', 12, 0.1],
  ['acrylic-lacquer', 'clear', 'aerosol', 13, 0.13],
  ['acrylic-lacquer', 'metallic', 'aerosol', 8, 0.07],
  ['alkyd-enamel', 'colour', 'brush', 18, 0.18],
  ['acrylic-enamel', 'colour', 'aerosol', 15, 0.15],
  ['candy', 'colour', 'airbrush', 7, 0.07],
  ['water-acrylic', 'colour', 'airbrush', 9, 0.17],
  ['water-acrylic', 'colour', 'aerosol', 10, 0.1],
  ['alcohol-acrylic', 'colour', 'airbrush', 9, 0.17],
  ['alcohol-acrylic', 'colour', 'aerosol', 10, 0.1],
  ['solvent-base', 'colour', 'gun', 10, 0.14],
  ['solvent-base', 'colour', 'aerosol', 8, 0.07],
  ['nitro-lacquer', 'colour', 'gun', 10, 0.09],
  ['wood-sealer', 'primer', 'gun', 14, 0.14],
  ['waterborne-base', 'colour', 'gun', 8, 0.14],
  ['waterborne-sealer', 'clear', 'gun', 10, 0.18],
  ['urethane-2k', 'clear', 'gun', 28, 0.42],
  ['urethane-2k', 'colour', 'gun', 25, 0.42],
  ['urethane-2k', 'clear', 'aerosol', 20, 0.22],
  ['epoxy-primer', 'primer', 'gun', 25, 0.4],
  ['dye', 'colour', 'aerosol', 6, 0.1],
  ['texture', 'colour', 'aerosol', 60, 0.3],
  ['high-temperature', 'colour', 'aerosol', 15, 0.15],
  ['rust-barrier', 'primer', 'aerosol', 30, 0.25],
  ['latex', 'colour', 'brush', 40, 0.35],
];

describe('film a coat', () => {
  for (const [family, role, hand, filmUm, solids] of FIGURES) {
    it(`${family} ${role} by ${hand}: ${filmUm} µm, ${solids}`, () => {
      expect(filmOfCoat(family, role, hand)).toEqual({ filmUm, solids, source: 'default' });
    });
  }
  it('takes the label first and says so', () => {
    expect(filmOfCoat('alkyd-enamel', 'colour', 'brush', { filmUm: 25 })).toEqual({ filmUm: 25, solids: 0.18, source: 'label' });
  });
});

describe('relief', () => {
  it('follows the scale', () => {
    expect([350, 144, 76, 64, 48, 43, 32, 24, 18, 8].map((scale) => finestRelief(scale))).toEqual([
      40, 80, 100, 150, 180, 200, 230, 250, 300, 400,
    ]);
    expect(finestRelief(1)).toBeNull();
  });
  it('warns by share', () => {
    expect([30, 60, 100, 101].map((um) => reliefEffect(um, 100).text)).toEqual([
      'detail stays crisp',
      'detail still good',
      'detail softens',
      'fine detail will fill',
    ]);
    expect(reliefEffect(500, null).share).toBe(0);
  });
});

describe('ready systems', () => {
  const colours = [{ name: 'yellow', lab: labOf('#e8b820'), covers: 'all' as const }];
  const layersOn = (material: (typeof MATERIALS)[number], kind: number) =>
    readySystems({ material, colours })[kind].layers.map((layer, index): Layer => ({ ...layer, id: `l${index}` }));

  it('are three, each with a primer below and a colour', () => {
    for (const material of MATERIALS) {
      const systems = readySystems({ material, colours });
      expect(systems.map((system) => system.kind)).toEqual(['quickest', 'hardest', 'cheapest']);
      for (const system of systems) expect(system.layers.some((layer) => layer.wanted?.role === 'colour')).toBe(true);
    }
  });
  it('lay yellow over white and in enough coats to hide', () => {
    const [primer, colour] = layersOn('steel', 0);
    expect(primer.wanted?.name).toContain('white');
    expect(colour.coats).toBeGreaterThanOrEqual(3);
  });
  it('keep a light ground under a weak colour, even beside a black', () => {
    const both = [...colours, { name: 'black', lab: labOf('#1e1f20'), covers: 'all' as const }];
    const [system] = readySystems({ material: 'steel', colours: both });
    expect(system.layers[0].wanted?.name).toContain('white');
    expect(groundSuits({ l: 62, a: 0, b: 0 }, labOf('#c23a2a'))).toBe(true);
    expect(groundSuits({ l: 15, a: 0, b: 0 }, labOf('#c23a2a'))).toBe(false);
    expect(groundSuits({ l: 15, a: 0, b: 0 }, labOf('#1d4b78'))).toBe(true);
  });
  it('never choose a two-pack paint', () => {
    for (const material of MATERIALS)
      for (const kind of [0, 1, 2])
        for (const layer of layersOn(material, kind)) expect(['urethane-2k', 'epoxy-primer']).not.toContain(layer.wanted?.family);
  });
  it('sit or need care on every metal and on the plastics they are made for, joint by joint', () => {
    for (const material of MATERIALS.filter((name) => isMetal(name) || ['abs', 'polystyrene', 'resin', 'wood'].includes(name))) {
      for (const kind of [0, 1, 2]) {
        const resolved = layersOn(material, kind).map((layer) => resolveLayer(layer, EMPTY_FACTS));
        resolved.forEach((layer, index) => {
          const below =
            index === 0
              ? null
              : {
                  family: resolved[index - 1].family,
                  role: resolved[index - 1].role,
                  flatted: resolved[index - 1].layer.flatAfter !== undefined,
                };
          const { verdict, answer } = stackJoint(material, below, layer, true);
          expect({ material, kind, layer: layer.name, verdict, because: answer.because }).not.toMatchObject({ verdict: 'stop' });
        });
      }
    }
  });
});

describe('layers', () => {
  const facts = { ...EMPTY_FACTS, ...starterShelf() };
  it('are met by an owned product of the same family, role and colour', () => {
    const wanted: Layer = {
      id: 'a',
      coats: 2,
      covers: 'all',
      wanted: { family: 'lacquer-primer', role: 'fine-primer', name: 'primer, grey', lab: { l: 62, a: 0, b: 0 } },
    };
    expect(resolveLayer(wanted, facts).product?.id).toBe('starter-lacquer-primer-fine-primer-product');
    const other = { ...wanted, wanted: { ...wanted.wanted, lab: { l: 20, a: 30, b: 0 } } } as Layer;
    expect(resolveLayer(other, facts).product).toBeUndefined();
  });
  it('keep planning when their product is gone', () => {
    const lost = resolveLayer({ id: 'a', coats: 2, covers: 'all', productId: 'gone' }, facts);
    expect(lost.family).toBe('unknown');
    expect(lost.name).toContain('no longer');
  });
});

describe('the states a joint may be laid in', () => {
  const layer = (family: Family, role: Role, hand: Hand = 'aerosol') => ({
    ...resolveLayer({ id: 'x', coats: 1, covers: 'all', wanted: { family, role, name: family, lab: { l: 50, a: 0, b: 0 } } }, EMPTY_FACTS),
    hand,
  });
  const states = (below: Family, above: ReturnType<typeof layer>, flatted = false) =>
    stackJoint('steel', { family: below, role: 'colour', flatted }, above, true).branches.map(
      (branch) => `${branch.state}${branch.scuff ? '+scuff' : ''}`,
    );

  it('let lacquers fuse fresh, dry or cured', () =>
    expect(states('acrylic-lacquer', layer('acrylic-lacquer', 'clear'))).toEqual(['fresh', 'dry', 'cured']));
  it('lay clear on solvent base in its window, or scuffed after', () =>
    expect(states('solvent-base', layer('acrylic-lacquer', 'clear'))[0]).toBe('fresh'));
  it('wait for a cured enamel under 2K and key it', () =>
    expect(states('alkyd-enamel', layer('urethane-2k', 'clear'))).toContain('cured+scuff'));
  it('ask twelve hours of epoxy under lacquer', () => {
    const joint = stackJoint('steel', { family: 'epoxy-primer', role: 'primer', flatted: false }, layer('acrylic-lacquer', 'colour'), true);
    expect(joint.branches.find((branch) => branch.state === 'fresh')?.minHours).toBe(12);
  });
  it('have none where it would lift', () =>
    expect(stackJoint('polystyrene', null, layer('acrylic-lacquer', 'colour'), true).branches).toEqual([]));
});
