import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { computed } from 'vue'
import { visitKey } from './handle'
import PaperLinks from './PaperLinks.vue'
import PaperShelf from './PaperShelf.vue'

const papers = [
  { id: 'p1', title: 'Wiring', board: false, part: 'igniter', page: 12, pages: 20, picture: false },
  { id: 'p2', title: 'Manual', board: true, part: null, page: null, pages: 40, picture: false },
]

function mounted(component: object, props: object) {
  const fetched = vi.fn(async (request: Request | string, init?: RequestInit) => {
    const url = new URL(typeof request === 'string' ? request : request.url, 'http://x')
    if (init?.method === 'PUT' || (typeof request !== 'string' && request.method === 'DELETE'))
      return Response.json(papers[0], { status: 201 })
    return Response.json(url.pathname.endsWith('papers') ? papers : [{ part: 'igniter', label: 'hot-surface igniter' }])
  })
  vi.stubGlobal('fetch', fetched)
  const handle = { id: 'v', visit: computed(() => ({ unitId: 'u' })), page: computed(() => ({ entries: 1 })) }
  const page = mount(component, {
    props,
    global: { plugins: [VueQueryPlugin], provide: { [visitKey as symbol]: handle } },
  })
  return { page, fetched }
}

it('shows a document at the tests of its part, opened at its page, and nowhere else', async () => {
  const { page } = mounted(PaperLinks, { about: ['igniter'] })
  await flushPromises()
  const links = page.findAll('a')
  expect(links).toHaveLength(1)
  expect(links[0]!.attributes('href')).toBe('/api/papers/p1#page=12')
  expect(links[0]!.text()).toBe('Wiring, page 12')
  const { page: other } = mounted(PaperLinks, { about: ['gas-valve'] })
  await flushPromises()
  expect(other.find('a').exists()).toBe(false)
})

it('keeps a file with what it is for, and removes only when asked twice', async () => {
  const { page, fetched } = mounted(PaperShelf, { unit: 'u', board: 'kiln', closed: false })
  await flushPromises()
  expect(page.text()).toContain('shown at tests of: hot-surface igniter')
  const file = page.get<HTMLInputElement>('[data-test=paper-file]')
  Object.defineProperty(file.element, 'files', {
    value: [new File(['%PDF-'], 'start up.pdf', { type: 'application/pdf' })],
  })
  await file.trigger('change')
  expect(page.get<HTMLInputElement>('[data-test=paper-title]').element.value).toBe('start up')
  await page.get('[data-test=paper-part]').setValue('igniter')
  await page.get('[data-test=paper-page]').setValue('3')
  await page.get('[data-test=paper-board]').setValue(true)
  await page.get('form').trigger('submit')
  await flushPromises()
  const put = fetched.mock.calls.find((c) => c[1]?.method === 'PUT')!
  expect(String(put[0])).toMatch(/\/api\/units\/u\/papers\/[0-9a-f-]+\?title=start\+up&board=true&part=igniter&page=3$/)
  const remove = page.findAll('li button')[0]!
  await remove.trigger('click')
  expect(remove.text()).toContain('for everybody')
  const removed = () => fetched.mock.calls.some((c) => typeof c[0] !== 'string' && c[0].method === 'DELETE')
  expect(removed()).toBe(false)
  await remove.trigger('click')
  await flushPromises()
  expect(removed()).toBe(true)
})
