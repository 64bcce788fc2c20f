import { describe, expect, it } from 'vitest';
import { belowFamilySchema, FAMILIES } from '#core/facts/index';
import { joint } from '../index.ts';

/**
 * Every family over every film on steel, s sits, c care, x stop; alkyd and latex by brush, the rest from an aerosol; dry and
 * cured films scuffed. Columns: acrylic and nitro lacquer, lacquer primer, wood sealer; alkyd and acrylic enamel; alcohol and
 * water acrylic, waterborne base and sealer; solvent base, 2K, epoxy, etch, dye; candy, high-temperature, rust barrier,
 * texture, latex, unknown; baked enamel, powder coat, polyester filler, putty, decal, home-printed decal.
 */
const TABLES = {
  fresh: `
acrylic-lacquer   scss xx xxxx sxssx xxxxxx xxsxcx
nitro-lacquer     xsxx xx xxxx xxssx xxxxxx xxsxcx
lacquer-primer    scss xx xxxx sxssx xxxxxx xxsxcx
wood-sealer       scss xx xxxx sxssx xxxxxx xxsxcx
alkyd-enamel      xxxx sx xxxx xxssx xxxxxx xxsssc
acrylic-enamel    xxxx xs xxxx xxssx xxxxxx xxscsx
alcohol-acrylic   xxxx xx sxxx xxsxx xxxxxx xxsssc
water-acrylic     xxxx xx xsxs xxsxx xxxxxx xxssss
waterborne-base   xxxx xx xxss xxscx xxxxxx xxssss
waterborne-sealer xxxx xx xxxs xxsxx xxxxxx xxssss
solvent-base      scss xx xxxx sxssx xxxxxx xxsxcx
urethane-2k       xxxx xx xxxx xsssx xxxxxx xxscsx
epoxy-primer      xxxx xx xxxx xxsxx xxxxxx xxscsx
etch-primer       xxxx xx xxxx xxxcx xxxxxx xxcxcx
dye               xxxx xx xxxx xxxxs xxxxxx xxxxxx
candy             xxxx xx xxxx xxxxx sxxxxx xxxxxx
high-temperature  xxxx xx xxxx xxxxx xsxxxx xxxxxx
rust-barrier      xxxx xx xxxx xxsxx xxsxxx xxsxcx
texture           xxxx xx xxxx xxssx xxxsxx xxscsx
latex             xxxx xx xxxx xxsxx xxxxsx xxssss
unknown           xxxx xx xxxx xxcxx xxxxxc xxcxcx`,
  dry: `
acrylic-lacquer   scss xx cxxx ssssc xxxxxx sssxcx
nitro-lacquer     xssx xx cxxx xsssc xxxxxx sssxcx
lacquer-primer    scss xx cxxx ssssc xxxxxx sssxcx
wood-sealer       scss xx cxxx ssssc xxxxxx sssxcx
alkyd-enamel      ssss sc ssss sssss xxsscs sssssc
acrylic-enamel    ccsc xs sccc cssss xxccxc ssscsx
alcohol-acrylic   ssss cc ssss sssss xxsscs sssssc
water-acrylic     ssss ss ssss sssss xxssss ssssss
waterborne-base   ssss ss ssss ssscs xxssss ssssss
waterborne-sealer ssss ss ssss sssss xxssss ssssss
solvent-base      scss xx cxxx ssssc xxxxxx sssxcx
urethane-2k       ccsc xx sccc cssss xxccxc ssscsx
epoxy-primer      cccc xx sccc cssxs xxccxc ssscsx
etch-primer       xxxx xx cxxx xcxcc xxxxxx cccxcx
dye               xxxx xx xxxx xxxxs xxxxxx xxxxxx
candy             xxxx xx xxxx xxxxx xxxxxx xxxxxx
high-temperature  xxxx xx xxxx xxxxx xsxxxx xxxxxx
rust-barrier      xxsx xx cxxx xsssc xxsxxx sssxcx
texture           ccsc xx sccc cssss xxcsxc ssscsx
latex             ssss ss ssss sssss xxssss ssssss
unknown           xxcx xx cxxx xcccc xxxxxc cccxcx`,
  cured: `
acrylic-lacquer   scss cc ccxc ssssc xxscxx sssxcx
nitro-lacquer     xssx cc ccxc xsssc xxscxx sssxcx
lacquer-primer    scss cc ccxc ssssc xxscxx sssxcx
wood-sealer       scss cc ccxc ssssc xxscxx sssxcx
alkyd-enamel      ssss ss ssss sssss xxssss sssssc
acrylic-enamel    ccsc ss sscs cssss xxsscc ssscsx
alcohol-acrylic   ssss ss ssss sssss xxssss sssssc
water-acrylic     ssss ss ssss sssss xxssss ssssss
waterborne-base   ssss ss ssss ssscs xxssss ssssss
waterborne-sealer ssss ss ssss sssss xxssss ssssss
solvent-base      scss cc ccxc ssssc xxscxx sssxcx
urethane-2k       scsc cc sscs cssss xxsscc ssscsx
epoxy-primer      cccc cc sscs cssxs xxsscc ssscsx
etch-primer       xxxx cc ccxc xcxcc xxccxx cccxcx
dye               xxxx xx xxxx xxxxs xxxxxx xxxxxx
candy             xxxx xx xxxx xxxxx xxxxxx xxxxxx
high-temperature  xxxx xx xxxx xxxxx xsxxxx xxxxxx
rust-barrier      xxsx cc ccxc xsssc xxscxx sssxcx
texture           ccsc ss sscs cssss xxsscc ssscsx
latex             ssss ss ssss sssss xxssss ssssss
unknown           xxcx cc ccxc xcccc xxccxc cccxcx`,
};

const LETTERS = { sits: 's', care: 'c', stop: 'x' } as const;
const BRUSHED: readonly string[] = ['alkyd-enamel', 'latex'];

describe.each(Object.entries(TABLES))('every family over a %s film', (state, table) => {
  const rows = table
    .trim()
    .split('\n')
    .map((row) => row.split(/\s+/));
  it('has a row for every family', () => expect(rows.map(([name]) => name)).toEqual([...FAMILIES]));
  it.each(rows.map(([name, ...verdicts]) => ({ name: name as (typeof FAMILIES)[number], verdicts: verdicts.join('') })))(
    '$name',
    ({ name, verdicts }) => {
      const got = belowFamilySchema.options.map((family) => {
        const below = { family, material: 'steel' as const, state: state as 'fresh' | 'dry' | 'cured', scuffed: state !== 'fresh' };
        const role = name.endsWith('primer') || name === 'wood-sealer' ? ('primer' as const) : ('colour' as const);
        return LETTERS[joint(below, { family: name, by: BRUSHED.includes(name) ? 'brush' : 'aerosol', role }).verdict];
      });
      expect(got.join('')).toBe(verdicts);
    },
  );
});
