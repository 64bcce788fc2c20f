import { usualPlace } from '#core/drying/index';
import type { Family, Hand, Lab, Place, Product, Role, Sheet, Workshop } from '#core/facts/index';
import { typicalPack } from './typical.ts';

/** The starter shelf: one generic product per family, invented typical price and pack, source default. */

type Row = readonly [family: Family, role: Role, hand: Hand, name: string, lab: Lab];
const GREY: Lab = { l: 62, a: 0, b: 0 };
const WHITE: Lab = { l: 95, a: 0, b: 1 };
/** The starter clears are satin, as their names say. */
const SATIN_GLOSS = 30;
const CLEAR: Lab = { l: 100, a: 0, b: 0 };

const ROWS: readonly Row[] = [
  ['lacquer-primer', 'fine-primer', 'aerosol', 'fine primer, grey', GREY],
  ['lacquer-primer', 'filler-primer', 'aerosol', 'filler primer, grey', GREY],
  ['etch-primer', 'primer', 'aerosol', 'etch primer', { l: 58, a: -4, b: 12 }],
  ['epoxy-primer', 'primer', 'aerosol', 'epoxy primer', GREY],
  ['acrylic-lacquer', 'colour', 'aerosol', 'acrylic lacquer, white', WHITE],
  ['acrylic-lacquer', 'clear', 'aerosol', 'clear lacquer, satin', CLEAR],
  ['acrylic-enamel', 'colour', 'aerosol', 'acrylic enamel, white', WHITE],
  ['alkyd-enamel', 'colour', 'brush', 'alkyd enamel, white', WHITE],
  ['alcohol-acrylic', 'colour', 'airbrush', 'hobby acrylic, alcohol type, white', WHITE],
  ['water-acrylic', 'colour', 'airbrush', 'hobby acrylic, water type, white', WHITE],
  ['water-acrylic', 'primer', 'airbrush', 'water-type primer, grey', GREY],
  ['water-acrylic', 'clear', 'airbrush', 'water-type clear, satin', CLEAR],
  ['rust-barrier', 'primer', 'aerosol', 'rust barrier', { l: 30, a: 12, b: 10 }],
];

/** Sheets and products of the starter shelf; ids are fixed, so a second start finds the same. */
export function starterShelf(): { sheets: Sheet[]; products: Product[] } {
  const sheets: Sheet[] = [];
  const products: Product[] = [];
  for (const [family, role, hand, name, lab] of ROWS) {
    const id = `starter-${family}-${role}`;
    const pack = typicalPack(family, role);
    sheets.push({
      id,
      name,
      family,
      role,
      hand,
      forPlastics: false,
      isocyanate: false,
      label: role === 'clear' ? { gloss: SATIN_GLOSS } : {},
      source: 'default',
    });
    products.push({ id: `${id}-product`, sheetId: id, name, lab, transparent: false, typicalMl: pack.ml, typicalPrice: pack.price });
  }
  return { sheets, products };
}

/** A workshop that is not yet set up: usual evenings, a room, aerosols. */
export function newWorkshop(timeZone: string): { workshop: Workshop; places: Place[] } {
  const places = [usualPlace('place-spray', 'Spare room', 'room')];
  return {
    places,
    workshop: {
      id: 'workshop',
      name: 'My bench',
      currency: 'EUR',
      timeZone,
      units: { length: 'mm', volume: 'mL', temperature: 'C', clock: 24 },
      freeHours: [2, 4].map((weekday) => ({ weekday, from: '19:00', to: '21:30' })).concat([{ weekday: 6, from: '10:00', to: '13:00' }]),
      extraFree: [],
      away: [],
      hands: ['aerosol'],
      sprayPlaceId: 'place-spray',
      dryPlaceId: 'place-spray',
      started: false,
    },
  };
}
