import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { mount, RouterLinkStub } from '@vue/test-utils'
import { vi } from 'vitest'
import { type Component, computed, ref } from 'vue'
import { routeLocationKey, routerKey } from 'vue-router'
import type { VisitHandle } from './api/useVisit'
import { visitKey } from './visit/handle'

/** An answer of the server. */
export const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

type Answer = unknown | ((request: Request) => Response | Promise<Response>)

/** What the server answers: to each request, or by path; a path that is not there is not found. Gives the requests that came, as they come. */
export function serve(
  answers: Record<string, Answer> | ((request: Request) => Response | Promise<Response>),
): Request[] {
  const came: Request[] = []
  vi.stubGlobal('fetch', async (asked: Request | string, init?: RequestInit) => {
    const request = new Request(
      new URL(typeof asked === 'string' ? asked : asked.url, 'http://x'),
      asked instanceof Request ? asked : init,
    )
    came.push(request)
    if (typeof answers === 'function') return answers(request)
    const path = new URL(request.url).pathname
    if (!(path in answers)) return json({ detail: `There is no ${path}.` }, 404)
    const answer = answers[path]
    return typeof answer === 'function' ? answer(request) : json(answer)
  })
  return came
}

/** Where the page stands, and what it asks of the router. */
export const router = { push: vi.fn(), replace: vi.fn() }

interface More {
  props?: Record<string, unknown>
  /** The visit that the component is on, as far as it is looked at. */
  handle?: Partial<Record<keyof VisitHandle, unknown>>
  stubs?: Record<string, unknown>
  query?: Record<string, string>
}

/** A component as the application shows it: with a cache of its own, links that go nowhere, and a visit. */
export function shown(component: Component, { props = {}, handle = {}, stubs = {}, query = {} }: More = {}) {
  const queryClient = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  return mount(component, {
    props,
    global: {
      plugins: [[VueQueryPlugin, { queryClient }]],
      provide: {
        [routeLocationKey as symbol]: { params: { id: 'v' }, query },
        [routerKey as symbol]: router,
        [visitKey as symbol]: {
          id: 'v',
          visit: ref({ closedAt: null, twins: [], job: { id: 'v' } }),
          page: computed(() => ({ entries: 1, log: [] })),
          unit: ref({}),
          problem: ref(null),
          sending: ref(false),
          waiting: ref([]),
          add: vi.fn(),
          ...handle,
        },
      },
      stubs: { RouterLink: RouterLinkStub, TopBar: true, ...stubs },
    },
  })
}
