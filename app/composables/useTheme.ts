import { createSharedComposable, useColorMode } from '@vueuse/core'

/** Light or dark, as the painter has chosen or, until then, as the device is. */
export const useTheme = createSharedComposable(() => {
  const mode = useColorMode({ storageKey: 'janusform-theme', disableTransition: false })
  const dark = computed(() => mode.value === 'dark')
  const toggle = () => {
    mode.value = dark.value ? 'light' : 'dark'
  }
  return { dark, toggle }
})

/** Colours of charts, which know nothing of style sheets. */
export function useChartColours() {
  const { dark } = useTheme()
  return computed(() =>
    dark.value
      ? { ink: '#f4f0e8', soft: '#b9b0a3', rule: '#47413a', accent: '#e193c2' }
      : { ink: '#23201d', soft: '#5c564e', rule: '#ddd7cc', accent: '#7a2e5d' },
  )
}
