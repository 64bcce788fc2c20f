import { describe, expect, it } from 'vitest';
import { named, PlaceFinder } from './findPlaces.ts';
import { PIECE_PLACES, PLACES } from './places.ts';

/** A hundred things people say, and the address each must lead to among the first three. */
const SAID: readonly (readonly [said: string, to: string])[] = [
  ['aim', 'survey?view=walk'],
  ['inside', 'survey?view=parts'],
  ['how far', 'survey?view=walk'],
  ['drill', 'survey?view=apart'],
  ['donor', 'survey?view=parts'],
  ['lot', '/shelf'],
  ['stencil', '/masking'],
  ['polish', '/finish'],
  ['wind', '/workshop'],
  ['oven', '/workshop'],
  ['can it be done today', '/dates'],
  ['what do I do now', '/'],
  ['what does it cost', '/money'],
  ['am I over budget', '/money'],
  ['is it worth it', '/money'],
  ['when is it ready', '/dates'],
  ['where are the cans', '/shelf'],
  ['how much paint is left', '/shelf'],
  ['what do I have to buy', '/buying'],
  ['nearest paint', '/colour'],
  ['tint', '/colour'],
  ['spot of the original colour', 'survey?view=colours'],
  ['post diameter', 'survey?view=apart'],
  ['screws', 'survey?view=apart'],
  ['decal', 'masking?view=details'],
  ['tape', '/masking'],
  ['glazing', '/masking'],
  ['primer', '/coats'],
  ['clear coat', '/coats'],
  ['sample board', '/coats'],
  ['test patch', '/strip'],
  ['P600', 'strip?view=surface'],
  ['dew point', '/workshop'],
  ['humidity', '/workshop'],
  ['holiday', '/workshop'],
  ['neighbours', '/workshop'],
  ['pair a phone', '/workshop'],
  ['backup', '/workshop#copies'],
  ['inches', '/workshop'],
  ['dark theme', '/workshop'],
  ['wax', '/finish'],
  ['touch-up', '/finish'],
  ['lesson', '/record'],
  ['what was done before', '/record'],
  ['print the job card', 'print/card'],
  ['duplicate a piece', '/pieces'],
  ['lay it aside', '/dates'],
  ['hanging', '/board'],
  ['shop prices', '/buying/shops'],
  ['orange peel', '/bench'],
  // As it is said in whole jobs.
  ['Add the piece with the inside', '/pieces/new'],
  ['Change the wish', 'survey?view=walk'],
  ['outside only', 'survey?view=walk'],
  ['The shop is out of the primer', '/buying'],
  ['what happens without primer', '/coats'],
  ['Compare strip and scuff', '/strip'],
  ['tested the old enamel for lead', '/strip'],
  ['Tick six of the eight countersinks', 'strip?view=surface'],
  ['late entry', '/record'],
  ['The first brown coat takes 14 minutes', '/dates'],
  ['The felt comes five days late', '/dates'],
  ['Decide for the clear', '/coats'],
  ['Set the aim to preserve', 'survey?view=walk'],
  ['Take pictures of six views', 'survey?view=walk'],
  ['An alcohol patch', '/strip'],
  ['rub with lacquer thinner', '/strip'],
  ['part repaint of the maroon', 'survey?view=walk'],
  ['First coat of maroon by airbrush', '/coats'],
  ['The propeller arrives bent; straightening takes 20 min', 'strip?view=surface'],
  ['Log the float test', 'survey?view=walk'],
  ['the scratch test', 'survey?view=walk'],
  ['log the brown used from the jar', '/shelf'],
  ['Decals of wagon one', 'masking?view=details'],
  ['gloss first, solution', 'masking?view=details'],
  ['A home-printed decal tears', 'masking?view=details'],
  ['Ask for rust treatments', '/strip'],
  ['before the laboratory has answered', '/strip'],
  ['the garage reads 7 °C', '/workshop'],
  ['Choose metal prep', 'strip?view=surface'],
  ['asked for a day earlier', '/dates'],
  ['give the three post diameters', 'survey?view=apart'],
  ['Make the estimate', 'print/estimate'],
  ['the friend approves the sketch', 'survey?view=colours'],
  ['The hand-rail breaks on removal', 'survey?view=apart'],
  ['swap to grey', '/coats'],
  ['The tyre parcel slips by eight days', '/dates'],
  ['a common budget', '/money'],
  ['another has it for 13.50 + 5.90 delivery', '/buying/shops'],
  ['Choose between custom can and shelf brown', '/coats'],
  ['Divide the frame', '/masking'],
  ['the wind is 3.6 m/s', '/workshop'],
  ["A diamond's edge bleeds", '/masking'],
  ['how many minutes a mix lives', '/shelf'],
  ['Trial tint', '/colour'],
  ['remove that face from the inside paint', 'survey?view=parts'],
  ['print the estimate again', 'print/estimate'],
  ['Pour together', '/colour'],
  ['Ask for the way back', '/colour'],
  ['Ask to tape the bands', '/masking'],
  ['Ask to close the halves', '/finish'],
  ['enter the unlabelled tin', '/shelf'],
];

describe('what people say', () => {
  const finder = new PlaceFinder([...PIECE_PLACES, ...PLACES]);
  it('that leads nowhere finds nothing', () => expect(finder.find('xyzzy qqq')).toEqual([]));
  it('is a hundred phrases', () => expect(SAID.length).toBeGreaterThanOrEqual(100));
  it.each(SAID)('“%s” leads there among the first three', (said, to) => {
    expect(finder.find(said, 3).filter((place) => place.to.endsWith(to))).not.toEqual([]);
  });
});

describe('a piece that is named in what was typed', () => {
  const pieces = [{ name: 'Harbour crane' }, { name: 'Desk fan' }, { name: 'The Goat' }];
  it('is the one the places are of', () => {
    expect(named(pieces, 'crane coats')?.name).toBe('Harbour crane');
    expect(named(pieces, 'fan drill')?.name).toBe('Desk fan');
    expect(named(pieces, 'how far is the goat')?.name).toBe('The Goat');
    expect(named(pieces, 'what will it cost')).toBeUndefined();
  });
});
