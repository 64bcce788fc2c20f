import MiniSearch from 'minisearch';
import type { Place } from './places.ts';

/** Words that are in every question and lead nowhere. */
const SMALL = new Set(
  'a an and are as at be by can do does for from had has have how i in is it its me my of on or put so that the them then there they this to up was we what when where which will with would you your about after all any get goes go ask say read two one'.split(
    ' ',
  ),
);

function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}\p{N}:°-]+/u)
    .filter(Boolean);
}

/** What was typed without the small words, unless there are no others. */
function tellingWords(text: string): string[] {
  const words = wordsOf(text);
  const telling = words.filter((word) => !SMALL.has(word));
  return telling.length > 0 ? telling : words;
}

/** An ending off, so that “masked”, “masking” and “mask” are one. */
function stem(word: string): string {
  return word.length > 4 ? word.replace(/(ing|ers|er|ed|es|s)$/, '') : word.replace(/s$/, '');
}

/** Looks places up by what people say; of equals the one listed first. */
export class PlaceFinder {
  readonly #places: readonly Place[];
  readonly #index: MiniSearch;

  constructor(places: readonly Place[]) {
    this.#places = places;
    this.#index = new MiniSearch({
      fields: ['name', 'words'],
      tokenize: wordsOf,
      processTerm: stem,
      searchOptions: {
        tokenize: tellingWords,
        boost: { name: 2 },
        prefix: (term) => term.length >= 3,
        fuzzy: (term) => (term.length >= 6 ? 1 : false),
        combineWith: 'OR',
      },
    });
    this.#index.addAll(places.map(({ name, words }, id) => ({ id, name, words })));
  }

  /** Best first; none where nothing fits. */
  find(typed: string, most = 6): Place[] {
    return this.#index
      .search(typed)
      .sort((a, b) => b.terms.length - a.terms.length || b.score - a.score || a.id - b.id)
      .slice(0, most)
      .map(({ id }) => this.#places[id]);
  }
}

/** Whose name stands in what was typed, by any longer word of it; undefined for nobody’s. */
export function named<T extends { readonly name: string }>(list: readonly T[], typed: string): T | undefined {
  const said = new Set(wordsOf(typed));
  return list.find(({ name }) => wordsOf(name).some((word) => word.length >= SHORTEST_NAME && !SMALL.has(word) && said.has(word)));
}

const SHORTEST_NAME = 3;
