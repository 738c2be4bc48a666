import { useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef, toRaw } from 'vue'
import { Problem, type Entry, type NewEntry } from './client'
import { oneTabAtATime } from './oneTab'
import { outboxStore, takeOver, type Kept, type OutboxStore } from './outboxStore'

const RETRY_MS = 3000

/** What an entry is about: all of it but what a person says of it. */
function about(entry: NewEntry): string {
  const said = new Set([
    'id',
    'madeAt',
    'reading',
    'text',
    'pattern',
    'yes',
    'seconds',
    'taps',
    'holds',
    'marks',
    'trace',
  ])
  return JSON.stringify(
    Object.entries(entry)
      .filter(([field, value]) => !said.has(field) && value !== undefined)
      .sort(),
  )
}

/**
 * Entries on their way to the server. An entry gets its id here and stays on the device until the server has it or a person
 * discards it:
 * - no network, 429 and 5xx: it waits and is sent again;
 * - 401: everything waits until somebody logs in, then it goes on;
 * - 403: the page's token is made new and it is sent once more;
 * - anything else: the server has refused it. It stays on the screen with the reason, to be corrected or discarded, and what comes
 *   after it goes on.
 */
export function useOutbox(
  visit: string,
  send: (entry: Entry, login?: string) => Promise<void>,
  renew: () => Promise<void>,
  store: OutboxStore = outboxStore(),
  who: () => string | undefined = () => undefined,
) {
  const all = shallowRef<Kept[]>([])
  const waiting = computed(() => all.value.filter((k) => !k.refused))
  /** Nobody's entries go out with another person's session. */
  const own = (k: Kept) => !k.login || !who() || k.login === who()
  const mine = computed(() => waiting.value.filter(own))
  const refused = computed(() => all.value.filter((k) => k.refused))
  const problem = ref<Problem | null>(null)
  const loginNeeded = ref(false)
  const sending = ref(false)
  const loaded = takeOver(visit, store)
    .then(() => store.of(visit))
    .then((kept) => (all.value = [...kept, ...all.value]))

  async function keep(kept: Kept) {
    const others = all.value.filter((k) => k.id !== kept.id)
    all.value = [...others, kept].sort((a, b) => a.place - b.place)
    await store.put(kept)
  }

  async function drop(id: string) {
    await store.remove(id)
    all.value = all.value.filter((k) => k.id !== id)
  }

  async function attempt(kept: Kept): Promise<Problem | null> {
    try {
      await send(kept.entry, kept.login)
      return null
    } catch (failure) {
      const told = Problem.of(failure)
      if (told.status !== 403) return told
      await renew().catch(() => undefined)
      return send(kept.entry, kept.login).then(() => null, Problem.of)
    }
  }

  let running: Promise<boolean> | null = null

  /** Sends what waits, oldest first, one at a time; true when nothing waits any more and nothing was refused. */
  function flush(): Promise<boolean> {
    running ??= oneTabAtATime(sendAll).finally(() => (running = null))
    return running
  }

  async function sendAll(): Promise<boolean> {
    await loaded
    sending.value = true
    let whole = true
    try {
      for (let next = mine.value[0]; next; next = mine.value[0]) {
        const told = await attempt(next)
        if (!told) {
          await drop(next.id)
          problem.value = null
          continue
        }
        problem.value = told
        loginNeeded.value = told.status === 401
        if (told.status === 401 || told.passing) return false
        whole = false
        await keep({ ...next, refused: { message: told.message, field: told.field, status: told.status } })
      }
      return whole
    } finally {
      sending.value = false
    }
  }

  /** Adds an entry, in place of a refused one about the same thing; true when the server has it. */
  async function add(entry: NewEntry): Promise<boolean> {
    await loaded
    const before = refused.value.find((k) => about(k.entry) === about(entry))
    if (before) return correct(before.id, toRaw(entry))
    problem.value = null
    const id = crypto.randomUUID()
    const whole = JSON.parse(JSON.stringify({ ...toRaw(entry), id, madeAt: Date.now() })) as Entry
    await keep({ id, visit, login: who(), place: Date.now() + all.value.length / 1000, entry: whole })
    return sentNow(id)
  }

  /** Sends; once more where the sending under way had just ended when this was added. */
  async function sentNow(id: string): Promise<boolean> {
    await flush()
    if (waiting.value.some((k) => k.id === id) && !problem.value) await flush()
    return !all.value.some((k) => k.id === id)
  }

  /** Sends a refused entry again, with other fields perhaps: a new entry in its place. */
  async function correct(id: string, fields: object): Promise<boolean> {
    const kept = all.value.find((k) => k.id === id)
    if (!kept) return true
    problem.value = null
    await keep({ ...kept, entry: { ...kept.entry, ...fields } as Entry, refused: undefined })
    return sentNow(id)
  }

  /** Goes on after somebody logged in. */
  async function resume() {
    loginNeeded.value = false
    problem.value = null
    await renew().catch(() => undefined)
    return flush()
  }

  useIntervalFn(() => {
    if (mine.value.length > 0 && !loginNeeded.value) void flush()
  }, RETRY_MS)

  return { waiting, refused, problem, loginNeeded, sending, add, correct, discard: drop, flush, resume }
}
