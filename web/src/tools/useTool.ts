import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Problem } from '../api/client'
import { fromLink, toLink } from './query'

/** A calculator: what is typed is computed as it is typed and kept in the link; what was computed last stays while something cannot be. */
export function useTool<I extends Record<string, number | string | null>, O>(
  name: string,
  usual: I,
  compute: (inputs: I) => Promise<O>,
) {
  const route = useRoute()
  const router = useRouter()
  const inputs = ref(fromLink(usual, route.query))
  const settled = refDebounced(
    computed(() => ({ ...inputs.value }) as I),
    250,
  )
  watch(settled, (now) => void router.replace({ query: toLink(now) }))
  const result = useQuery({
    queryKey: ['tool', name, settled],
    queryFn: () => compute(settled.value),
    placeholderData: (before) => before,
    retry: false,
  })
  const problem = computed(() => result.error.value as Problem | null)
  return { inputs, result: result.data, problem }
}
