import { useState } from 'react'
import { applyTheme, readTheme, type Theme } from '../lib/theme'
import { Choice } from './Choice'

const OPTIONS = [
  { value: 'system', label: 'System theme' },
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
] as const

export const ThemeButton = () => {
  const [theme, setTheme] = useState<Theme>(readTheme)
  const change = (next: Theme): void => {
    applyTheme(next)
    setTheme(next)
  }
  return <Choice label="Look" value={theme} options={OPTIONS} onChange={change} />
}
