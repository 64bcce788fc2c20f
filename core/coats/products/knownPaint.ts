import { type FilmReading, fitPaint, hidingShare, type PaintFit, readDrawdown } from '#core/colour/index';
import { type Facts, type Family, type Lab, type LogEvent, type Product, type Source, standingEvents } from '#core/facts/index';
import { shareSeen } from '../looks/hidingSeen.ts';

/** What is known of a paint's colour and of how it hides: films read on this bench, else a drawdown, else what was entered. */

export type KnownPaint = {
  readonly lab: Lab;
  /** Of contrast that one coat lets through. */
  readonly share: number;
  readonly source: Source;
  /** What the readings of its films gave; null where there are none. */
  readonly fit: PaintFit | null;
};

const KNOWN = new WeakMap<Product, WeakMap<readonly LogEvent[], KnownPaint>>();

/** Remembered for as long as the product and the log stand as they are. */
export function knownPaint(product: Product, { events, sheets }: Pick<Facts, 'events' | 'sheets'>): KnownPaint {
  const known = fromItsFilms(product, events);
  const family = sheets.find(({ id }) => id === product.sheetId)?.family;
  return known.source === 'own' || product.share !== undefined ? known : { ...known, share: usualShare(family, known.share) };
}

/** A coat of texture is many times as thick as one of gloss paint: what is below it is gone with the first. */
const TEXTURE_SHARE = 0.02;

/** What a coat of a family lets through where nobody has measured it. @param gloss what one of gloss paint in its colour would */
export function usualShare(family: Family | undefined, gloss: number): number {
  return family === 'texture' ? Math.min(gloss, TEXTURE_SHARE) : gloss;
}

function fromItsFilms(product: Product, events: readonly LogEvent[]): KnownPaint {
  const own = KNOWN.get(product) ?? new WeakMap<readonly LogEvent[], KnownPaint>();
  KNOWN.set(product, own);
  const known = own.get(events) ?? reckoned(product, events);
  own.set(events, known);
  return known;
}

function reckoned(product: Product, events: readonly LogEvent[]): KnownPaint {
  const start = startOf(product);
  const readings = readingsOf(product.id, events);
  if (readings.length > 0) {
    const fit = fitPaint(readings, { ...start, transparent: product.transparent });
    return { lab: fit.lab, share: fit.share, source: 'own', fit };
  }
  // An inspection that asked for one more coat has shown that it lets more through.
  const seen = shareSeen(product.id, events) ?? 0;
  return { ...start, share: Math.max(start.share, seen), source: seen > start.share ? 'own' : start.source, fit: null };
}

function startOf({ lab, share, flake, drawdown, measured }: Product): Pick<KnownPaint, 'lab' | 'share' | 'source'> {
  if (drawdown) {
    const { masstone, share: through } = readDrawdown(drawdown);
    return { lab: masstone, share: through, source: 'own' };
  }
  const source = measured ? (measured.with === 'label' ? 'label' : 'own') : 'default';
  return { lab, share: share ?? hidingShare(lab, flake), source };
}

const READ = new WeakMap<readonly LogEvent[], ReadonlyMap<string, readonly FilmReading[]>>();

function readingsOf(productId: string, events: readonly LogEvent[]): readonly FilmReading[] {
  const known = READ.get(events) ?? allReadings(events);
  READ.set(events, known);
  return known.get(productId) ?? [];
}

function allReadings(events: readonly LogEvent[]): ReadonlyMap<string, readonly FilmReading[]> {
  const found = new Map<string, FilmReading[]>();
  if (!events.some(({ kind }) => kind === 'colour-read')) return found;
  for (const event of standingEvents(events)) {
    if (event.kind !== 'colour-read') continue;
    const { productId, coats, groundLab, lab } = event;
    found.set(productId, [...(found.get(productId) ?? []), { ground: groundLab, coats, lab }]);
  }
  return found;
}
