import { type Query, useQueryClient } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { Problem } from './client'

const LOGGED_OUT = 401

/** For a query whose own view says why nothing came. */
export const told = { told: true }

const loggedOut = ({ state }: Query) => state.error instanceof Problem && state.error.status === LOGGED_OUT

/** The queries of the screen that failed and are of this kind, as they come and go. */
function useFailed(kind: (query: Query) => boolean) {
  const cache = useQueryClient().getQueryCache()
  const failed = shallowRef<Query[]>([])
  const predicate = (query: Query) => query.state.status === 'error' && kind(query)
  const look = () => {
    failed.value = cache.findAll({ type: 'active', predicate })
  }
  onScopeDispose(cache.subscribe(look))
  look()
  return failed
}

/** True while something of the screen did not come because the session has ended. */
export function useLoggedOut() {
  const failed = useFailed(loggedOut)
  return computed(() => failed.value.length > 0)
}

/** What else the screen needs of the server and did not get, where its own view does not say so. */
export function useTrouble() {
  const failed = useFailed((query) => !query.meta?.told && !loggedOut(query))
  const busy = ref(false)
  /** The reasons, each once; empty where there is no trouble. What is asked again stays until the answers are there. */
  const says = ref('')
  watch(
    [failed, busy],
    () => {
      if (!busy.value) says.value = [...new Set(failed.value.map(({ state }) => state.error?.message))].join(' ')
    },
    { immediate: true },
  )

  async function again() {
    busy.value = true
    await Promise.allSettled(failed.value.map((query) => query.fetch()))
    busy.value = false
  }
  return { says, busy, again }
}
