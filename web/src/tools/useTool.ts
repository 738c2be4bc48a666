import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Problem } from '../api/client'
import { told } from '../api/useTrouble'
import { fromLink, toLink } from './query'

/** What is typed is computed as soon as it rests; what was computed last stays while something cannot be. */
export function useComputed<I, O>(name: string, inputs: Readonly<Ref<I>>, compute: (inputs: I) => Promise<O>) {
  const settled = refDebounced(
    computed(() => JSON.parse(JSON.stringify(inputs.value)) as I),
    250,
  )
  const answered = useQuery({
    queryKey: ['tool', name, settled],
    queryFn: () => compute(settled.value),
    retry: false,
    meta: told,
  })
  const result = shallowRef<O>()
  watch(
    answered.data,
    (now) => {
      if (now !== undefined) result.value = now
    },
    { immediate: true },
  )
  return { settled, result, problem: computed(() => answered.error.value as Problem | null) }
}

/** A calculator whose link carries what was typed. */
export function useTool<I extends Record<string, number | string | null>, O>(
  name: string,
  usual: I,
  compute: (inputs: I) => Promise<O>,
) {
  const route = useRoute()
  const router = useRouter()
  const inputs = ref(fromLink(usual, route.query)) as Ref<I>
  const { settled, result, problem } = useComputed(name, inputs, compute)
  watch(settled, (now) => void router.replace({ query: toLink(now) }))
  return { inputs, result, problem }
}
