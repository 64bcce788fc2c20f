/** The six signs of trouble a glove can point at, with the usual causes and the cure (trade §13). */

export type Sign = 'run' | 'fish-eye' | 'blushing' | 'crazing' | 'dust' | 'tape-lift';

export type Fault = {
  readonly sign: Sign;
  readonly name: string;
  readonly looks: string;
  readonly causes: readonly string[];
  readonly cure: string;
};

export const FAULTS: readonly Fault[] = [
  {
    sign: 'run',
    name: 'Run',
    looks: 'curtains of paint',
    causes: ['one coat too heavy', 'too near', 'too cold', 'thin product'],
    cure: 'Let it cure, level with a block, recoat.',
  },
  {
    sign: 'fish-eye',
    name: 'Craters',
    looks: 'round holes',
    causes: ['silicone or polish left', 'degrease skipped'],
    cure: 'Wipe off while wet, degrease, start the coat again.',
  },
  {
    sign: 'blushing',
    name: 'Milky',
    looks: 'a white bloom',
    causes: ['damp air', 'surface near the dew point', 'cold part'],
    cure: 'Let it dry in warm dry air; a mist of thinner, or flat and recoat.',
  },
  {
    sign: 'crazing',
    name: 'Crazed',
    looks: 'fine cracks or skin folds',
    causes: ['a shut window', 'hot solvent over enamel', 'sanded too young', 'too thick'],
    cure: 'Let it cure fully, flat back, barrier; or strip.',
  },
  {
    sign: 'dust',
    name: 'Dust',
    looks: 'specks in the film',
    causes: ['no tack cloth', 'the room'],
    cure: 'P2000 on the spot, then polish or recoat.',
  },
  {
    sign: 'tape-lift',
    name: 'Torn edge',
    looks: 'paint came off with the tape',
    causes: ['taped before tape-safe', 'poor key'],
    cure: 'Feather, spot prime, recolour.',
  },
];
