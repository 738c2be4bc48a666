import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { useVisit, type VisitHandle } from './useVisit'

const visit = { job: { id: 'v1' }, diagnosis: { log: [] } }
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

function mounted(): VisitHandle {
  let handle: VisitHandle | undefined
  const page = defineComponent({
    setup() {
      handle = useVisit('v1')
      return () => h('p')
    },
  })
  mount(page, { global: { plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]] } })
  return handle!
}

describe('outbox', () => {
  const posts: Request[] = []
  let reply: () => Response | Promise<Response>

  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
    posts.length = 0
    vi.stubGlobal('fetch', async (request: Request) => {
      if (request.method !== 'POST') return json(visit)
      posts.push(request.clone())
      return reply()
    })
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  it('keeps an entry while the server is away and sends the same one again', async () => {
    reply = () => Promise.reject(new TypeError('network'))
    const handle = mounted()
    expect(await handle.add({ kind: 'READING', test: 't', reading: '27' })).toBe(false)
    expect(handle.outbox.value).toHaveLength(1)
    expect(handle.problem.value?.passing).toBe(true)
    reply = () => json(visit)
    await vi.advanceTimersByTimeAsync(3500)
    await flushPromises()
    expect(handle.outbox.value).toHaveLength(0)
    const ids = await Promise.all(posts.map(async (p) => ((await p.json()) as { id: string }).id))
    expect(ids).toHaveLength(2)
    expect(ids[0]).toBe(ids[1])
  })

  it('does not keep what the server refused, and tells why', async () => {
    reply = () => json({ detail: "'abc' is not a number", field: 'reading' }, 422)
    const handle = mounted()
    expect(await handle.add({ kind: 'READING', test: 't', reading: 'abc' })).toBe(false)
    expect(handle.outbox.value).toHaveLength(0)
    expect(handle.problem.value?.message).toContain('not a number')
    expect(handle.problem.value?.field).toBe('reading')
  })

  it('keeps an entry when the database is away', async () => {
    reply = () => json({ detail: 'The database is away.' }, 503)
    const handle = mounted()
    await handle.add({ kind: 'NOTE', text: 'hello' })
    expect(handle.outbox.value).toHaveLength(1)
  })
})
