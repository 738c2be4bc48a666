import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'

/** Seconds since the technician placed the call; kept on this device so that a reload does not lose it. */
export function useCallClock(visitId: string) {
  const placed = useLocalStorage<number>(`brick-call-${visitId}`, 0)
  const now = ref(Date.now())
  useIntervalFn(() => (now.value = Date.now()), 250)
  const seconds = computed(() => (placed.value ? (now.value - placed.value) / 1000 : null))
  return {
    seconds,
    place: () => {
      now.value = Date.now()
      placed.value = Date.now()
    },
    end: () => (placed.value = 0),
  }
}
