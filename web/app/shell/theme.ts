export type Theme = 'light' | 'dark' | 'system';
const KEY = 'enamelos-theme';

export function chosenTheme(): Theme {
  const saved = localStorage.getItem(KEY);
  return saved === 'light' || saved === 'dark' ? saved : 'system';
}

/** Puts the chosen look on the page; the system's own where nothing was chosen. */
export function applyTheme(theme: Theme = chosenTheme()): void {
  if (theme === 'system') localStorage.removeItem(KEY);
  else localStorage.setItem(KEY, theme);
  const dark = theme === 'dark' || (theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
}
