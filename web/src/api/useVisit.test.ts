import 'fake-indexeddb/auto'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { useVisit, type VisitHandle } from './useVisit'

const visit = { job: { id: 'v1', state: 'PLANNED' }, page: { entries: 0 }, twinsSaid: {}, openedAt: null }
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })
const settled = async () => {
  for (let i = 0; i < 30; i++) await flushPromises()
}

let asked: string[]
let reply: (path: string, method: string) => Response

function mounted(id = crypto.randomUUID()): VisitHandle {
  let handle: VisitHandle | undefined
  mount(
    defineComponent({
      setup() {
        handle = useVisit(id)
        return () => h('p')
      },
    }),
    { global: { plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]] } },
  )
  return handle!
}

describe('visit', () => {
  beforeEach(() => {
    asked = []
    reply = (path, method) =>
      method === 'GET'
        ? json(visit)
        : path.endsWith('/log')
          ? json({ page: { entries: 1 }, twins: { u: true } })
          : json(visit)
    vi.stubGlobal('fetch', async (request: Request) => {
      const path = new URL(request.url, 'http://x').pathname
      asked.push(`${request.method} ${path.replace(/[0-9a-f-]{36}/, 'ID')}`)
      return reply(path, request.method)
    })
  })
  afterEach(() => vi.unstubAllGlobals())

  it('shows the answer to an entry without asking again', async () => {
    const handle = mounted()
    await settled()
    expect(await handle.add({ kind: 'TWIN', unit: 'u', alike: true })).toBe(true)
    expect(handle.page.value).toEqual({ entries: 1 })
    expect(handle.visit.value!.twinsSaid).toEqual({ u: true })
    expect(handle.visit.value!.job.state).toBe('OPEN')
    expect(asked.filter((a) => a.startsWith('GET /api/visits'))).toHaveLength(1)
  })

  it('sends that something was so at another time, once, and only where that makes sense', async () => {
    const bodies: { kind: string; when?: string }[] = []
    vi.stubGlobal('fetch', async (request: Request) => {
      if (request.method === 'POST') bodies.push(await request.clone().json())
      return reply(new URL(request.url, 'http://x').pathname, request.method)
    })
    const handle = mounted()
    await settled()
    handle.when.value = 'LAST_NIGHT'
    await handle.add({ kind: 'NOTE', text: 'x' })
    await handle.add({ kind: 'ANSWER', test: 'hear-relay', yes: false })
    await handle.add({ kind: 'ANSWER', test: 'hear-relay', yes: true })
    expect(bodies.map((b) => b.when)).toEqual([undefined, 'LAST_NIGHT', undefined])
    expect(handle.when.value).toBeUndefined()
  })

  it('closes only when everything entered is with the server', async () => {
    const handle = mounted()
    await settled()
    reply = (path) => (path.endsWith('/log') ? json({ detail: 'away' }, 503) : json(visit))
    await handle.add({ kind: 'NOTE', text: 'x' })
    await expect(handle.close('FIXED', 'done')).rejects.toThrow('not saved yet')
    expect(asked.some((a) => a.endsWith('/close'))).toBe(false)
  })

  it('does not close over a refused entry', async () => {
    const handle = mounted()
    await settled()
    reply = (path) => (path.endsWith('/log') ? json({ detail: 'no' }, 422) : json(visit))
    await handle.add({ kind: 'NOTE', text: 'x' })
    await expect(handle.close('FIXED', 'done')).rejects.toThrow('not accepted')
  })

  it('tells how far a unit is on its way to be ready', async () => {
    reply = () => json({ detail: 'being made ready', progress: 0.4 }, 503)
    const handle = mounted()
    await settled()
    expect(handle.waitingFor.value).toMatchObject({ progress: 0.4, passing: true })
  })
})
