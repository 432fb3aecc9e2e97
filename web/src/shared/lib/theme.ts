export type Theme = 'system' | 'light' | 'dark'

const KEY = 'unimorph.theme'
const prefersDark = () => matchMedia('(prefers-color-scheme: dark)')

export const readTheme = (): Theme => {
  const stored = localStorage.getItem(KEY)
  return stored === 'light' || stored === 'dark' ? stored : 'system'
}

/** Shows the page in a theme and remembers it. `system` follows the machine, also when that changes. */
export const applyTheme = (theme: Theme): void => {
  localStorage.setItem(KEY, theme)
  const isDark = theme === 'dark' || (theme === 'system' && prefersDark().matches)
  document.documentElement.dataset['theme'] = isDark ? 'dark' : 'light'
}

prefersDark().addEventListener('change', () => applyTheme(readTheme()))
