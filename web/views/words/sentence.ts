/** The same words beginning with a capital, for the head of a card or a sentence. */
export function sentence(words: string): string {
  return words.length === 0 ? words : words[0].toUpperCase() + words.slice(1);
}
