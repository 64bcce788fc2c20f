/** Which sections this device keeps folded: a look, like light and dark, and no fact. */

const KEY = 'enamelos-folded';

function folded(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((own): own is string => typeof own === 'string') : [];
  } catch {
    return [];
  }
}

export function isFolded(title: string): boolean {
  return folded().includes(title);
}

export function keepFolded(title: string, fold: boolean): void {
  const others = folded().filter((own) => own !== title);
  localStorage.setItem(KEY, JSON.stringify(fold ? [...others, title] : others));
}
