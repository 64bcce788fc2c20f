import { z } from 'zod';
import { momentSchema } from '../basics.ts';
import { eventSchema } from '../event.ts';
import { FORMAT, FORMAT_VERSION } from './format.ts';
import { chartSchema } from '../paint/colours.ts';
import { canSchema, offerSchema, productSchema, sheetSchema, shopSchema } from '../paint/paint.ts';
import { goodsSchema } from '../goods.ts';
import { systemSchema } from '../paint/layer.ts';
import { budgetSchema, lotSchema } from '../money.ts';
import { pieceSchema } from '../piece/piece.ts';
import { stockSchema } from '../stock.ts';
import { upgraded } from '../upgrade/index.ts';
import { agreedSchema, airSeriesSchema, busyCalendarSchema, placeSchema, readingSchema, workshopSchema } from '../workshop.ts';

/** Every kind of stored fact except the log, by the name of its collection. */
export const COLLECTIONS = {
  workshop: workshopSchema,
  places: placeSchema,
  readings: readingSchema,
  sheets: sheetSchema,
  products: productSchema,
  cans: canSchema,
  shops: shopSchema,
  offers: offerSchema,
  pieces: pieceSchema,
  agreed: agreedSchema,
  airSeries: airSeriesSchema,
  systems: systemSchema,
  stock: stockSchema,
  charts: chartSchema,
  calendars: busyCalendarSchema,
  budgets: budgetSchema,
  lots: lotSchema,
  goods: goodsSchema,
} as const;
export type Collection = keyof typeof COLLECTIONS;
export type FactOf<C extends Collection> = z.infer<(typeof COLLECTIONS)[C]>;
export const COLLECTION_NAMES = Object.keys(COLLECTIONS) as Collection[];
export const collectionSchema = z.enum(COLLECTION_NAMES as [Collection, ...Collection[]]);

/** Everything a plan is made from. */
export const factsSchema = z.strictObject({
  workshop: z.array(workshopSchema).max(1),
  places: z.array(placeSchema),
  readings: z.array(readingSchema),
  sheets: z.array(sheetSchema),
  products: z.array(productSchema),
  cans: z.array(canSchema),
  shops: z.array(shopSchema),
  offers: z.array(offerSchema),
  pieces: z.array(pieceSchema),
  agreed: z.array(agreedSchema).max(1),
  airSeries: z.array(airSeriesSchema),
  systems: z.array(systemSchema),
  stock: z.array(stockSchema),
  charts: z.array(chartSchema),
  calendars: z.array(busyCalendarSchema),
  budgets: z.array(budgetSchema),
  lots: z.array(lotSchema),
  goods: z.array(goodsSchema),
  events: z.array(eventSchema),
});
export type Facts = z.infer<typeof factsSchema>;

/** The open file: the whole workshop as documented JSON. */
export const workshopFileSchema = z
  .strictObject({
    format: z.literal(FORMAT),
    version: z.literal(FORMAT_VERSION),
    /** The moment the file speaks of; a demo's times are shifted from it. */
    writtenAt: momentSchema,
    facts: factsSchema,
  })
  .meta({ id: 'WorkshopFile', title: 'Enamelos workshop file' });
export type WorkshopFile = z.infer<typeof workshopFileSchema>;

export type Problem = { readonly error: string; readonly at: string; readonly mend: string };
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

/** The first complaint of a schema as a place and a mend. */
export function problemOf(error: z.ZodError): Problem {
  const issue = error.issues[0];
  const path = issue.path.map(String).join('.') || '(whole)';
  if (issue.code === 'unrecognized_keys') {
    return { error: `Unknown field ${issue.keys.join(', ')}`, at: path, mend: 'Take it out or correct its name.' };
  }
  if (issue.code === 'invalid_type' && issue.message.startsWith(PLAIN_MESSAGE)) {
    const kind = KINDS[issue.expected] ?? `a value of type ${issue.expected}`;
    if (issue.message.endsWith('received undefined')) return { error: 'It is missing', at: path, mend: `Add it: ${kind}.` };
    return { error: `It is not ${kind}`, at: path, mend: `Give ${kind}.` };
  }
  return { error: issue.message, at: path, mend: mendOf(issue) };
}

/** How the schema library begins where no schema has a word of its own. */
const PLAIN_MESSAGE = 'Invalid input: expected';
const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  record: 'an object',
  object: 'an object',
};

function mendOf(issue: z.core.$ZodIssue): string {
  if (issue.code === 'invalid_value') return `Use one of: ${issue.values.join(', ')}.`;
  return 'Correct this value and try again.';
}

/** Reads the text of a workshop file: junk, a truncated file, a newer version and a broken reference each say where and what to do. */
export function readWorkshopText(text: string): Read<WorkshopFile> {
  let raw: unknown;
  try {
    raw = JSON.parse(withoutMark(text));
  } catch (error) {
    return fail(
      'This is no readable workshop file',
      (error as Error).message,
      'It may be cut short or of another kind. Export it again and import that.',
    );
  }
  const head = raw as { format?: unknown; version?: unknown } | null;
  if (!head || typeof head !== 'object' || head.format !== FORMAT) {
    return fail(
      'This is no workshop file',
      'format',
      `A workshop file begins with "format": "${FORMAT}". Choose a file exported from here.`,
    );
  }
  if (typeof head.version === 'number' && head.version > FORMAT_VERSION) {
    return fail(
      `The file is of version ${head.version}; this program reads up to ${FORMAT_VERSION}`,
      'version',
      'Update the program, then import again.',
    );
  }
  const parsed = workshopFileSchema.safeParse(upgraded(raw));
  if (!parsed.success) return { ok: false, problem: problemOf(parsed.error) };
  if (parsed.data.facts.workshop.length === 0) {
    return fail(
      'The file holds no workshop',
      'facts.workshop',
      'Export it again after the first run: without hours and places nothing can be planned.',
    );
  }
  const broken = brokenReference(parsed.data.facts);
  return broken ? { ok: false, problem: broken } : { ok: true, value: parsed.data };
}

/** Some editors begin a text with a byte-order mark; it says nothing. */
function withoutMark(text: string): string {
  return text.startsWith('\uFEFF') ? text.slice(1) : text;
}

function fail(error: string, at: string, mend: string): Read<never> {
  return { ok: false, problem: { error, at, mend } };
}

/** The first id that points at nothing or stands twice, or null. */
export function brokenReference(facts: Facts): Problem | null {
  for (const name of COLLECTION_NAMES) {
    const seen = new Set<string>();
    for (const [i, fact] of facts[name].entries()) {
      if (seen.has(fact.id))
        return { error: `The id ${fact.id} stands twice`, at: `facts.${name}.${i}.id`, mend: 'Give one of them another id.' };
      seen.add(fact.id);
    }
  }
  const eventIds = new Set<string>();
  for (const [i, event] of facts.events.entries()) {
    if (eventIds.has(event.id))
      return { error: `The event ${event.id} stands twice`, at: `facts.events.${i}.id`, mend: 'Take one of them out.' };
    eventIds.add(event.id);
  }
  const ids = (name: Collection) => new Set(facts[name].map((fact) => fact.id));
  const [places, sheets, products, shops] = [ids('places'), ids('sheets'), ids('products'), ids('shops')];
  const missing = (kind: string, id: string, at: string): Problem => ({
    error: `No ${kind} "${id}" in this file`,
    at,
    mend: `Add that ${kind} or correct the id.`,
  });
  for (const [i, shop] of facts.workshop.entries()) {
    for (const key of ['sprayPlaceId', 'dryPlaceId'] as const) {
      if (!places.has(shop[key])) return missing('place', shop[key], `facts.workshop.${i}.${key}`);
    }
  }
  for (const [i, reading] of facts.readings.entries())
    if (!places.has(reading.placeId)) return missing('place', reading.placeId, `facts.readings.${i}.placeId`);
  for (const [i, series] of facts.airSeries.entries())
    if (!places.has(series.placeId)) return missing('place', series.placeId, `facts.airSeries.${i}.placeId`);
  for (const [i, product] of facts.products.entries())
    if (!sheets.has(product.sheetId)) return missing('sheet', product.sheetId, `facts.products.${i}.sheetId`);
  for (const [i, can] of facts.cans.entries())
    if (!products.has(can.productId)) return missing('product', can.productId, `facts.cans.${i}.productId`);
  for (const [i, offer] of facts.offers.entries()) {
    if (!products.has(offer.productId)) return missing('product', offer.productId, `facts.offers.${i}.productId`);
    if (!shops.has(offer.shopId)) return missing('shop', offer.shopId, `facts.offers.${i}.shopId`);
  }
  for (const [i, own] of facts.goods.entries()) if (!shops.has(own.shopId)) return missing('shop', own.shopId, `facts.goods.${i}.shopId`);
  for (const [i, can] of facts.cans.entries())
    if (can.placeId !== undefined && !places.has(can.placeId)) return missing('place', can.placeId, `facts.cans.${i}.placeId`);
  for (const [i, system] of facts.systems.entries())
    for (const [k, layer] of system.layers.entries())
      if (layer.productId !== undefined && !products.has(layer.productId))
        return missing('product', layer.productId, `facts.systems.${i}.layers.${k}.productId`);
  for (const [i, piece] of facts.pieces.entries()) {
    for (const [k, part] of piece.parts.entries()) {
      for (const [m, layer] of part.layers.entries()) {
        if (layer.productId !== undefined && !products.has(layer.productId)) {
          return missing('product', layer.productId, `facts.pieces.${i}.parts.${k}.layers.${m}.productId`);
        }
      }
      for (const [m, { productId }] of (part.details ?? []).entries())
        if (productId !== undefined && !products.has(productId))
          return missing('product', productId, `facts.pieces.${i}.parts.${k}.details.${m}.productId`);
    }
  }
  return null;
}

export const EMPTY_FACTS: Facts = {
  workshop: [],
  places: [],
  readings: [],
  sheets: [],
  products: [],
  cans: [],
  shops: [],
  offers: [],
  pieces: [],
  agreed: [],
  airSeries: [],
  systems: [],
  stock: [],
  charts: [],
  calendars: [],
  budgets: [],
  lots: [],
  goods: [],
  events: [],
};
