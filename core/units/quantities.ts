/** Reading what a person types: a number with an optional unit, decimal comma or point, or a fraction. */

export type Dimension = 'length' | 'volume' | 'temperature' | 'mass' | 'duration';

type Scale = { readonly factor: number; readonly offset?: number };

/** Every unit to the one used inside: mm, mL, °C, g, min. US fluid ounce for "oz" of volume, avoirdupois for mass. */
const SCALES: Record<Dimension, Record<string, Scale>> = {
  length: {
    mm: { factor: 1 },
    cm: { factor: 10 },
    m: { factor: 1000 },
    in: { factor: 25.4 },
    '"': { factor: 25.4 },
    inch: { factor: 25.4 },
    ft: { factor: 304.8 },
  },
  volume: {
    ml: { factor: 1 },
    cl: { factor: 10 },
    l: { factor: 1000 },
    oz: { factor: 29.5735 },
    'fl oz': { factor: 29.5735 },
  },
  temperature: {
    c: { factor: 1 },
    '°c': { factor: 1 },
    f: { factor: 5 / 9, offset: -32 },
    '°f': { factor: 5 / 9, offset: -32 },
  },
  mass: { g: { factor: 1 }, kg: { factor: 1000 }, oz: { factor: 28.3495 } },
  duration: {
    min: { factor: 1 },
    h: { factor: 60 },
    hours: { factor: 60 },
    d: { factor: 1440 },
    day: { factor: 1440 },
    days: { factor: 1440 },
  },
};

const EXAMPLES: Record<Dimension, string> = {
  length: '75 mm, 7,5 cm or 3/4 in',
  volume: '400 mL or 15 oz',
  temperature: '18 °C or 64 °F',
  mass: '310 g',
  duration: '40 min, 6 h or 2 days',
};

export type Parsed = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly mend: string };

/**
 * Parses a typed quantity into the unit used inside (mm, mL, °C, g, min).
 * A bare number is taken in `fallbackUnit`. Fractions ("3/4 in", "1 1/2 in") are accepted.
 */
export function parseQuantity(text: string, dimension: Dimension, fallbackUnit: string): Parsed {
  const refuse: Parsed = { ok: false, mend: `Type a number, such as ${EXAMPLES[dimension]}.` };
  const match = /^\s*([-+]?[\d.,\s/]*\d)\s*([^\d]*)$/u.exec(spelledOut(text));
  if (!match) return refuse;
  const amount = parseNumber(match[1]);
  if (amount === null) return refuse;
  const unit = (match[2].trim() || fallbackUnit).toLowerCase();
  const scale = SCALES[dimension][unit];
  if (!scale) return { ok: false, mend: `"${match[2].trim()}" is no unit of ${dimension} here. Type ${EXAMPLES[dimension]}.` };
  return { ok: true, value: (amount + (scale.offset ?? 0)) * scale.factor };
}

/** Units that amounts are kept in, each with how it is measured, or counted by its own word. */
const MEASURED: Readonly<Record<string, { readonly dimension: Dimension; readonly unit: string; readonly factor: number }>> = {
  mL: { dimension: 'volume', unit: 'ml', factor: 1 },
  g: { dimension: 'mass', unit: 'g', factor: 1 },
  m: { dimension: 'length', unit: 'm', factor: 0.001 },
};

/**
 * An amount in the unit it is kept in: a bare number, or with a unit that turns into it. Another kind of unit is refused, never
 * left out of sight: 60 g are no 60 mL.
 */
export function parseAmount(text: string, unit: string): Parsed {
  const measured = MEASURED[unit];
  if (measured) {
    const read = parseQuantity(text, measured.dimension, measured.unit);
    return read.ok ? { ok: true, value: read.value * measured.factor } : read;
  }
  const match = /^\s*([-+]?[\d.,/\s]*\d)\s*([^\d]*)$/u.exec(spelledOut(text));
  const amount = match && parseNumber(match[1]);
  if (!match || amount === null) return { ok: false, mend: `Type a number, such as 4 or 4 ${unit}.` };
  const said = match[2].trim().toLowerCase();
  const own = said === '' || said === unit || said === `${unit}s`;
  return own ? { ok: true, value: amount } : { ok: false, mend: `It is counted by the ${unit} here, not in “${match[2].trim()}”.` };
}

/** "4¾" as "4 3/4": a fraction that is one sign becomes the two numbers it stands for. */
function spelledOut(text: string): string {
  return text.replace(/[¼-¾⅓-⅞]/g, (sign) => ` ${sign.normalize('NFKC').replace('\u2044', '/')}`);
}

/** Reads "7,5", "7.5", "1 1/2", "3/4" or "4¾"; null when it is no number. */
export function parseNumber(typed: string): number | null {
  const text = spelledOut(typed);
  const fraction = /^([-+]?\d+\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text.trim());
  if (fraction) {
    const [, whole, top, bottom] = fraction;
    if (Number(bottom) === 0) return null;
    return Number(whole ?? 0) + Number(top) / Number(bottom);
  }
  const plain = text.trim().replace(',', '.');
  return /^[-+]?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
}

/** A value from inside (mm, mL, °C) in a unit of the person's, rounded as it would be said. */
export function formatQuantity(value: number, unit: 'mm' | 'in' | 'mL' | 'oz' | 'C' | 'F'): string {
  switch (unit) {
    case 'mm':
      return `${Math.round(value)} mm`;
    case 'in':
      return `${(value / 25.4).toFixed(value < 254 ? 2 : 1)} in`;
    case 'mL':
      return `${value < 10 ? value.toFixed(1) : Math.round(value)} mL`;
    case 'oz':
      return `${(value / 29.5735).toFixed(1)} oz`;
    case 'C':
      return `${value.toFixed(1)} °C`;
    case 'F':
      return `${(value * 1.8 + 32).toFixed(1)} °F`;
  }
}

const UNIT_OF = {
  mm: [SCALES.length.mm, 'mm'],
  in: [SCALES.length.in, 'in'],
  mL: [SCALES.volume.ml, 'mL'],
  oz: [SCALES.volume.oz, 'oz'],
  C: [SCALES.temperature.c, '°C'],
  F: [SCALES.temperature.f, '°F'],
} as const;
/** So many places bring back what was typed, and none of the noise of reckoning. */
const PLACES = 5;

/** The same as it stands in a field: as exact as it was typed, so that nothing changes by being looked at and saved again. */
export function typedQuantity(value: number, unit: keyof typeof UNIT_OF): string {
  const [{ factor, offset = 0 }, name] = UNIT_OF[unit];
  return `${typedNumber(value / factor - offset)} ${name}`;
}

/** A number as it stands in a field: to the last place that was typed, without the noise of reckoning. */
export function typedNumber(value: number): string {
  return String(Number(value.toFixed(PLACES)));
}

/** A span of time as it stands in a field: in days or hours where it is whole ones, else in minutes, never rounded. */
export function typedTime(minutes: number): string {
  if (minutes >= 1440 && minutes % 1440 === 0) return `${minutes / 1440} d`;
  if (minutes >= 60 && minutes % 60 === 0) return `${minutes / 60} h`;
  return `${typedNumber(minutes)} min`;
}

/** A sum of money as it stands in a field, without its currency. */
export function typedMoney(minor: number): string {
  return (minor / 100).toFixed(2);
}

/** Minor units of money as text, "13.10 EUR"; a figure that rests on no offer reads "about". */
export function formatMoney(minor: number, currency: string, about = false): string {
  return `${about ? 'about ' : ''}${(minor / 100).toFixed(2)} ${currency}`;
}

/** The most that is typed at once, minor units: more is a slip of the finger. */
const MOST_MONEY = 100_000_000;

/** Reads a sum of money into minor units: "7", "7.20", "7,20", or with the workshop's currency behind it; never another. */
export function parseMoney(text: string, currency: string): Parsed {
  const match = /^\s*([-+]?[\d.,]+)\s*([A-Za-z]*)\s*$/.exec(text);
  const amount = match ? parseNumber(match[1]) : null;
  if (!match || amount === null) return { ok: false, mend: 'Type a sum of money, such as 45 or 45,50.' };
  if (match[2] !== '' && match[2].toUpperCase() !== currency)
    return { ok: false, mend: `Prices are in ${currency} here: change the sum into that.` };
  const minor = Math.round(amount * 100);
  if (minor < 0) return { ok: false, mend: 'A sum of money is 0 or more.' };
  return minor > MOST_MONEY ? { ok: false, mend: 'That is too much money. Check the sum.' } : { ok: true, value: minor };
}

/**
 * Parts to one part of paint, by volume, as people say them: "0.25", "25 %", "4:1" (four of paint to one); null when it is none.
 */
export function parseRatio(text: string): number | null {
  const trimmed = text.trim();
  if (trimmed.endsWith('%')) {
    const percent = parseNumber(trimmed.slice(0, -1));
    return percent === null ? null : percent / 100;
  }
  const parts = trimmed.split(':').map((part) => parseNumber(part));
  if (parts.length === 1) return parts[0];
  const [paint, other] = parts;
  return parts.length === 2 && paint !== null && other !== null && paint > 0 && other >= 0 ? other / paint : null;
}

/** "12:1:1", paint to hardener to reducer, as parts to one of paint; "4:1" is paint to reducer. Null when it is no such mix. */
export function parseMix(text: string): { readonly hardener: number | null; readonly reducer: number } | null {
  const parts = text.split(':').map((part) => parseNumber(part));
  const [paint, second, third] = parts;
  if (parts.some((part) => part === null || part < 0) || !paint || second == null) return null;
  if (parts.length === 2) return { hardener: null, reducer: second / paint };
  return parts.length === 3 && third != null ? { hardener: second / paint, reducer: third / paint } : null;
}

/** How hot, said in whole degrees of the person's: heat of an oven or the sun, not the air. */
export function heatText(celsius: number, unit: 'C' | 'F'): string {
  return `${Math.round(unit === 'C' ? celsius : (celsius * 9) / 5 + 32)} °${unit}`;
}

/** A weight as it is said: grams, from a kilogram on kilograms. */
export function weightText(grams: number): string {
  return grams < 1000 ? `${Math.round(grams * 10) / 10} g` : `${Math.round(grams / 10) / 100} kg`;
}
