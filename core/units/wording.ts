/** Counts, lists and beginnings of sentences, by the platform's own plural and list rules. English is the one language here. */

const PLURAL = new Intl.PluralRules('en');
const AND = new Intl.ListFormat('en', { type: 'conjunction', style: 'long' });
const OR = new Intl.ListFormat('en', { type: 'disjunction', style: 'long' });

/** Words whose plural is no mere s. */
const PLURALS: Readonly<Record<string, string>> = {
  guess: 'guesses',
  patch: 'patches',
  piece: 'pieces',
  copy: 'copies',
  entry: 'entries',
  finish: 'finishes',
  box: 'boxes',
  is: 'are',
  has: 'have',
  needs: 'need',
  wants: 'want',
  waits: 'wait',
  it: 'they',
  this: 'these',
};

/** The word as it stands beside a count: piece, pieces. `many` where the plural follows no rule. */
export function plural(count: number, one: string, many = PLURALS[one] ?? `${one}s`): string {
  return PLURAL.select(count) === 'one' ? one : many;
}

/** A count with its word: "1 piece", "no pieces", "3 pieces". */
export function counted(count: number, one: string, many?: string): string {
  return `${count === 0 ? 'no' : count} ${plural(count, one, many)}`;
}

/** "a", "a and b", "a, b and c"; the same word twice stands once, empty ones are left out. */
export function listed(words: readonly string[], how: 'and' | 'or' = 'and'): string {
  const own = [...new Set(words.filter((word) => word !== ''))];
  // The comma before the last is left out, as on every label here.
  return (how === 'and' ? AND : OR).format(own).replace(/, (and|or) ([^,]*)$/, ' $1 $2');
}

/** The first so many of a list and how many more there are: "a, b and 3 more". */
export function listedShort(words: readonly string[], most: number): string {
  const own = [...new Set(words.filter((word) => word !== ''))];
  if (own.length <= most) return listed(own);
  return listed([...own.slice(0, most), `${own.length - most} more`]);
}

/** With a capital at its head; the rest as it is. */
export function capital(text: string): string {
  return text === '' ? '' : `${text[0].toLocaleUpperCase('en')}${text.slice(1)}`;
}

/** A whole sentence: a capital at its head and one mark at its end. */
export function asSentence(text: string): string {
  const trimmed = text.trim();
  if (trimmed === '') return '';
  return /[.!?…]$/.test(trimmed) ? capital(trimmed) : `${capital(trimmed)}.`;
}

/** Several remarks as sentences, one after the other; empty ones are left out. */
export function sentences(...texts: readonly (string | undefined)[]): string {
  return texts
    .map((text) => asSentence(text ?? ''))
    .filter((text) => text !== '')
    .join(' ');
}
