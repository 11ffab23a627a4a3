export type Theme = 'light' | 'dark';

const KEY = 'gradino.theme';

export function storedTheme(): Theme {
  const stored = localStorage.getItem(KEY);
  if (stored === 'light' || stored === 'dark') return stored;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function applyTheme(theme: Theme) {
  document.documentElement.dataset['theme'] = theme;
}

export function storeTheme(theme: Theme) {
  localStorage.setItem(KEY, theme);
  applyTheme(theme);
}
