/** Text of a search with what matched set off; the marks are the server's. */
export function Marked({ text }: { text: string }) {
  const parts = text.split(/[\uE000\uE001]/);
  // biome-ignore lint/suspicious/noArrayIndexKey: the pieces of one text have no other name than their place in it.
  return parts.map((part, index) => (index % 2 === 1 ? <mark key={index}>{part}</mark> : <span key={index}>{part}</span>));
}
