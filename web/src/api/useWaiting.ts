import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { Problem } from './client'
import { oneTabAtATime } from './oneTab'
import { outboxStore, type Kept, type OutboxStore } from './outboxStore'
import { postEntry } from './postEntry'
import { useMe } from './useMe'

const EVERY_MS = 4000

/**
 * What waits on this device, of all visits: sent from whatever page is open, for the person who is logged in and for nobody else. A
 * visit that is open sends its own.
 */
export function useWaiting(store: OutboxStore = outboxStore()) {
  const { me } = useMe()
  const all = shallowRef<Kept[]>([])
  const waiting = computed(() => all.value.filter((k) => !k.refused))
  const mine = computed(() => waiting.value.filter((k) => k.login && k.login === me.data.value?.login))
  const others = computed(() => waiting.value.filter((k) => k.login && k.login !== me.data.value?.login))

  async function look() {
    all.value = await store.all().catch(() => [])
  }

  async function send(kept: Kept): Promise<boolean> {
    try {
      await postEntry(kept.visit, kept.entry, kept.login)
      await store.remove(kept.id)
      return true
    } catch (failure) {
      const told = Problem.of(failure)
      if (told.passing || told.status === 401 || told.status === 403) return false
      await store.put({ ...kept, refused: { message: told.message, field: told.field, status: told.status } })
      return true
    }
  }

  /** Sends what is this person's and belongs to no visit that is open here. */
  async function flush(open = '') {
    await look()
    if (!mine.value.some((k) => k.visit !== open)) return
    await oneTabAtATime(async () => {
      await look()
      for (const kept of mine.value.filter((k) => k.visit !== open)) if (!(await send(kept))) break
      await look()
    })
  }

  useIntervalFn(() => void flush(openVisit()), EVERY_MS, { immediateCallback: true })
  useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (mine.value.length) event.preventDefault()
  })
  void navigator.storage?.persist?.().catch(() => false)
  return { mine, others, flush, look }
}

/** The visit whose page is open here, by its address. */
const openVisit = () => /^\/visits\/([^/]+)/.exec(window.location.pathname)?.[1] ?? ''
