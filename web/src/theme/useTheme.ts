import { useLocalStorage } from '@vueuse/core'
import { watch } from 'vue'

export type Theme = 'daylight' | 'closet'

const theme = useLocalStorage<Theme>('brick-theme', 'daylight')

/** Daylight for a bright roof, Closet for a dark one. */
export function useTheme() {
  const apply = () => {
    document.documentElement.dataset.bsTheme = theme.value === 'closet' ? 'dark' : 'light'
  }
  watch(theme, apply)
  return { theme, apply, toggle: () => (theme.value = theme.value === 'closet' ? 'daylight' : 'closet') }
}
