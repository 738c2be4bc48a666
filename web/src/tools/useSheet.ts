import { useElementSize } from '@vueuse/core'
import { computed, type Ref } from 'vue'

const NARROWEST = 300
/** Before it is laid out. */
const USUAL = 640

/** The sheet of a chart: as wide as its place, and so high as a share of that within bounds. */
export function useSheet(place: Ref<HTMLElement | undefined>, high: { least: number; most: number; share: number }) {
  const { width: measured } = useElementSize(place)
  const width = computed(() => Math.max(NARROWEST, Math.round(measured.value || USUAL)))
  const height = computed(() => Math.round(Math.min(high.most, Math.max(high.least, width.value * high.share))))
  return { width, height }
}
