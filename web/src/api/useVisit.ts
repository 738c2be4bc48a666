import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, ref, toValue } from 'vue'
import {
  answer,
  api,
  Problem,
  type Entry,
  type LogAnswer,
  type NewEntry,
  type Outcome,
  type Visit,
  type When,
} from './client'
import { useMe } from './useMe'
import { postEntry } from './postEntry'
import { useOutbox } from './useOutbox'
import { told } from './useTrouble'
import { tell } from '../words/words'

const RETRY_MS = 1000
const LONGEST_WAIT = 120
/** The kinds of entries that may be of another time, as the server has them. */
const OF_A_TIME = new Set(['TAPS', 'FILM', 'FILMED', 'PATTERN', 'READING', 'FREE_READING', 'ANSWER'])

/** A visit, the way into its log, and what is asked for beside it. */
export function useVisit(id: MaybeRefOrGetter<string>) {
  const client = useQueryClient()
  const visitId = toValue(id)
  const path = { path: { id: visitId } }
  const key = ['visit', visitId]
  const query = useQuery({
    queryKey: key,
    queryFn: () => answer<Visit>(api.GET('/api/visits/{id}', { params: path })),
    // a unit on its way to be ready tells how far it is; a server that is away may come back
    retry: (count, failure) => failure instanceof Problem && failure.passing && count < LONGEST_WAIT,
    retryDelay: RETRY_MS,
    meta: told,
  })

  function taken(answered: LogAnswer) {
    client.setQueryData<Visit>(key, (visit) =>
      visit
        ? {
            ...visit,
            page: answered.page,
            twinsSaid: answered.twins,
            openedAt: visit.openedAt ?? new Date().toISOString(),
            job: { ...visit.job, state: visit.job.state === 'PLANNED' ? 'OPEN' : visit.job.state },
          }
        : visit,
    )
    if (!query.data.value) void client.invalidateQueries({ queryKey: key })
  }
  const { me } = useMe()
  const who = () => me.data.value?.login
  const outbox = useOutbox(
    visitId,
    async (entry: Entry, login?: string) => taken(await postEntry(visitId, entry, login)),
    async () => void (await api.GET('/api/me')),
    undefined,
    who,
  )

  /** When what is entered next was so; nothing for now. It holds for one entry. */
  const when = ref<When>()
  async function add(entry: NewEntry): Promise<boolean> {
    const earlier = when.value && OF_A_TIME.has(entry.kind)
    const taken = await outbox.add(earlier ? ({ ...entry, when: when.value } as NewEntry) : entry)
    if (taken && earlier) when.value = undefined
    return taken
  }

  /** Ends the visit, when everything entered is with the server. */
  async function close(outcome: Outcome, decided: string): Promise<void> {
    await outbox.flush()
    if (outbox.waiting.value.length > 0) throw new Problem(0, tell('useVisit.somethingEnteredIsNotSaved'))
    if (outbox.refused.value.length > 0) throw new Problem(0, tell('useVisit.anEntryWasRefusedCorrect'))
    client.setQueryData(
      key,
      await answer<Visit>(api.POST('/api/visits/{id}/close', { params: path, body: { outcome, decided } })),
    )
  }

  async function reopen(reason: string): Promise<void> {
    client.setQueryData(
      key,
      await answer<Visit>(api.POST('/api/visits/{id}/reopen', { params: path, body: { reason } })),
    )
  }

  /** Goes over to the pack as it is installed. */
  async function goOver(): Promise<void> {
    client.setQueryData(key, await answer<Visit>(api.POST('/api/visits/{id}/pack', { params: path })))
    await client.invalidateQueries({ queryKey: key })
  }

  return {
    id: visitId,
    visit: query.data,
    page: computed(() => query.data.value?.page ?? undefined),
    unit: computed(() => query.data.value?.unit ?? undefined),
    error: query.error,
    waitingFor: query.failureReason,
    loading: query.isPending,
    refetch: query.refetch,
    ...outbox,
    add,
    when,
    close,
    reopen,
    goOver,
  }
}

export type VisitHandle = ReturnType<typeof useVisit>
