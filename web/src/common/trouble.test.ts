import { useQuery } from '@tanstack/vue-query'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { answer, api } from '../api/client'
import { told } from '../api/useTrouble'
import { json, router, serve, shown } from '../testing'
import ChangeView from '../change/ChangeView.vue'
import PowerView from '../visit/PowerView.vue'
import ProveView from '../visit/ProveView.vue'
import UnitView from '../visit/UnitView.vue'
import WayOutView from '../visit/WayOutView.vue'
import FetchTrouble from './FetchTrouble.vue'
import NotFound from './NotFound.vue'
import TopBar from './TopBar.vue'

/** A screen that needs two things, and says of a third itself why it did not come. */
const screen = (bar: unknown = FetchTrouble, props = {}) =>
  defineComponent({
    setup() {
      useQuery({ queryKey: ['sites'], queryFn: () => answer(api.GET('/api/sites')) })
      useQuery({ queryKey: ['boards'], queryFn: () => answer(api.GET('/api/overlays')) })
      useQuery({ queryKey: ['policy'], queryFn: () => answer(api.GET('/api/policy')), meta: told })
      return () => h(bar as never, props)
    },
  })
const away = () => json({ detail: 'The database is away.' }, 503)

afterEach(() => {
  vi.unstubAllGlobals()
  vi.clearAllMocks()
})

describe('an address that leads nowhere', () => {
  it('keeps the bar, so that one finds out of it', async () => {
    serve({ '/api/me': () => json({ login: 'ines', name: 'Ines', role: 'TECHNICIAN' }) })
    const page = shown(NotFound)
    await flushPromises()
    expect(page.get('h1').text()).toBe('Nothing at this address')
    expect(page.findComponent(TopBar).exists()).toBe(true)
  })
})

describe('what did not come', () => {
  it('is said once for each reason, and not where the view says it itself', async () => {
    serve({ '/api/sites': away, '/api/overlays': away, '/api/policy': () => json({ detail: 'Said below.' }, 403) })
    const page = shown(screen())
    await flushPromises()
    expect(
      page
        .get('[role=alert]')
        .text()
        .match(/The database is away\./g),
    ).toHaveLength(1)
    expect(page.text()).not.toContain('Said below')
  })

  it('is nothing where everything came', async () => {
    serve({ '/api/sites': [], '/api/overlays': [], '/api/policy': {} })
    const page = shown(screen())
    await flushPromises()
    expect(page.find('[data-test=trouble]').exists()).toBe(false)
  })

  it('is asked again, and stands until the answer is there', async () => {
    let back = () => {}
    let sites: () => unknown = away
    serve({ '/api/sites': () => sites(), '/api/overlays': [], '/api/policy': {} })
    const page = shown(screen())
    await flushPromises()
    sites = () => new Promise((done) => (back = () => done(json([]))))
    await page.get('button').trigger('click')
    await flushPromises()
    expect(page.text()).toContain('The database is away.')
    expect(page.get('button').text()).toBe('Asking')
    expect(page.get('button').attributes('disabled')).toBeDefined()
    back()
    await flushPromises()
    expect(page.find('[data-test=trouble]').exists()).toBe(false)
  })

  it('is said again where it still does not come', async () => {
    let times = 0
    serve({
      '/api/sites': () => json({ detail: `Away for the ${++times}. time.` }, 503),
      '/api/overlays': [],
      '/api/policy': {},
    })
    const page = shown(screen())
    await flushPromises()
    await page.get('button').trigger('click')
    await flushPromises()
    expect(page.text()).toContain('Away for the 2. time.')
    expect(page.get('button').text()).toBe('Try again')
  })

  it.each([
    ['ways out', WayOutView, 'Working it out'],
    ['change-out', ChangeView, 'Laying out'],
    ['proving run', ProveView, 'Fetching what proves it'],
    ['unit', UnitView, 'Fetching the visits before'],
    ['supply', PowerView, 'no supply chain'],
  ])('is said over the %s of a visit, which does not claim to wait or to be empty', async (_, view, claim) => {
    serve({ '/api/sites': [], '/api/overlays': [], '/api/policy': {} })
    const both = () => [h(FetchTrouble), h(view)]
    const page = shown(both, { stubs: { CallPanel: true, AtTheCounter: true } })
    await flushPromises()
    expect(page.get('[data-test=trouble]').text()).toContain('There is no /api/visits/v/')
    expect(page.text()).not.toContain(claim)
  })

  it('leads to the login where the session has ended, but for a page that asks for it itself', async () => {
    const out = () => json({ detail: 'You are not logged in.' }, 401)
    serve({ '/api/sites': out, '/api/overlays': [], '/api/policy': {}, '/api/me': { name: 'Ines' } })
    const page = shown(screen(TopBar, { title: 'Jobs' }), { stubs: { TopBar: false } })
    await flushPromises()
    expect(router.replace).toHaveBeenCalledWith('/login')
    expect(page.find('[data-test=trouble]').exists()).toBe(false)
    vi.clearAllMocks()
    shown(screen(TopBar, { title: 'Jobs', stays: true }), { stubs: { TopBar: false } })
    await flushPromises()
    expect(router.replace).not.toHaveBeenCalled()
  })
})
