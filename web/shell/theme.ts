const STORED = 'elderleaf.theme';
const dark = window.matchMedia('(prefers-color-scheme: dark)');

type Theme = 'light' | 'dark';

function wanted(): Theme {
  const stored = localStorage.getItem(STORED);
  if (stored === 'light' || stored === 'dark') return stored;
  return dark.matches ? 'dark' : 'light';
}

function apply(): void {
  document.documentElement.dataset.theme = wanted();
}

/** Applies the member's theme, else the system's, and follows the system when it changes. */
export function followTheme(): void {
  apply();
  dark.addEventListener('change', apply);
}

/** Changes to the other theme and remembers it on this computer. */
export function switchTheme(): void {
  localStorage.setItem(STORED, wanted() === 'dark' ? 'light' : 'dark');
  apply();
}
