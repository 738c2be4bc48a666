import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { computed, ref, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api, Problem, type Entry, type Outcome, type Visit } from './client'

const RETRY_MS = 3000

export type NewEntry = Omit<Entry, 'id' | 'madeAt'>

/**
 * A visit and the way into its log. An entry gets its id here and stays in the outbox until the server has it, so that
 * nothing is lost when server or database is away, and nothing is counted twice.
 */
export function useVisit(id: MaybeRefOrGetter<string>) {
  const client = useQueryClient()
  const key = computed(() => ['visit', toValue(id)])
  const query = useQuery({
    queryKey: key,
    queryFn: () => answer<Visit>(api.GET('/api/visits/{id}', { params: { path: { id: toValue(id) } } })),
  })
  const outbox = useLocalStorage<Entry[]>(`brick-outbox-${toValue(id)}`, [])
  const problem = ref<Problem | null>(null)
  const sending = ref(false)

  async function flush(): Promise<boolean> {
    if (sending.value) return false
    sending.value = true
    try {
      while (outbox.value.length > 0) {
        const entry = outbox.value[0]!
        const visit = await answer<Visit>(
          api.POST('/api/visits/{id}/log', { params: { path: { id: toValue(id) } }, body: entry }),
        )
        outbox.value = outbox.value.filter((e) => e.id !== entry.id)
        problem.value = null
        client.setQueryData(key.value, visit)
      }
      return true
    } catch (failure) {
      const refused = failure instanceof Problem ? failure : new Problem(0, String(failure))
      if (!refused.passing) outbox.value = outbox.value.slice(1)
      problem.value = refused
      return false
    } finally {
      sending.value = false
    }
  }

  /** Adds an entry; true when the server has it. A refused entry is not kept: its problem is told beside the field. */
  async function add(entry: NewEntry): Promise<boolean> {
    problem.value = null
    outbox.value = [...outbox.value, { ...entry, id: crypto.randomUUID(), madeAt: new Date().toISOString() }]
    return flush()
  }

  async function close(outcome: Outcome, decided: string): Promise<void> {
    const visit = await answer<Visit>(
      api.POST('/api/visits/{id}/close', { params: { path: { id: toValue(id) } }, body: { outcome, decided } }),
    )
    client.setQueryData(key.value, visit)
  }

  useIntervalFn(() => {
    if (outbox.value.length > 0 && (problem.value === null || problem.value.passing)) void flush()
  }, RETRY_MS)

  return {
    visit: query.data,
    error: query.error,
    loading: query.isPending,
    refetch: query.refetch,
    outbox,
    problem,
    sending,
    add,
    close,
  }
}

export type VisitHandle = ReturnType<typeof useVisit>
