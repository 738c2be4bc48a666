import { flushPromises, mount } from '@vue/test-utils'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import OwnPacks from './OwnPacks.vue'

const SOURCE = '# a furnace\npack: f1-furnace\ntitle: Furnace\n'
const row = {
  id: 'ours',
  used: 2,
  withdrawn: false,
  units: 1,
  unreadable: null,
  versions: [
    { version: 2, title: 'Ours', madeAt: '2026-11-26T10:00:00Z' },
    { version: 1, title: 'Ours', madeAt: '2026-11-25T10:00:00Z' },
  ],
}
let asked: [string, string][] = []
let checks: Response[] = []

const reply = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

beforeEach(() => {
  asked = []
  localStorage.clear()
  vi.useFakeTimers({ toFake: ['setTimeout'] })
  vi.stubGlobal('fetch', async (request: Request | string, init?: RequestInit) => {
    const path = new URL(typeof request === 'string' ? request : request.url, 'http://here').pathname
    asked.push([path, typeof init?.body === 'string' ? init.body : ''])
    if (path === '/api/me') return reply({ name: 'Odile Fenn', role: 'LEAD' })
    if (path.endsWith('/source') || path.endsWith('.yaml')) return new Response(SOURCE)
    if (init?.method === 'POST') return checks.shift() ?? reply({}, 500)
    return reply(path === '/api/own-packs' ? [row] : row)
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function settled() {
  for (let i = 0; i < 6; i++) await flushPromises()
}
async function page() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const view = mount(OwnPacks, {
    props: { family: 'f1-furnace' },
    attachTo: document.body,
    global: { plugins: [[VueQueryPlugin, { queryClient: queries }]] },
  })
  await settled()
  return view
}

it('begins with a family under a name of its own, and keeps what is typed', async () => {
  const view = await page()
  await view.find('[data-test=begin]').trigger('click')
  await settled()
  const area = view.find<HTMLTextAreaElement>('[data-test=own-text]')
  expect(area.element.value).toContain('pack: f1-furnace-own')
  await area.setValue('pack: ours\n')
  view.unmount()
  const again = await page()
  expect(again.find<HTMLTextAreaElement>('[data-test=own-text]').element.value).toBe('pack: ours\n')
})

it('waits for the check, says what is wrong and jumps to the line', async () => {
  checks = [
    reply({ detail: 'being made ready', progress: 0.4 }, 503),
    reply({ usable: false, problems: [{ line: 2, path: '/uses', reason: 'there is no such', remedy: 'Mend it' }] }),
  ]
  const view = await page()
  await view.find('[data-test=own-text]').setValue('pack: ours\nuses: {}\n')
  await view.find('[data-test=own-check]').trigger('click')
  await settled()
  expect(view.text()).toContain('40%')
  await vi.advanceTimersByTimeAsync(2000)
  await settled()
  expect(view.find('[data-test=own-said]').text()).toContain('1 problem; nothing was kept')
  await view.find('.jump').trigger('click')
  const area = view.find<HTMLTextAreaElement>('[data-test=own-text]').element
  expect(area.value.slice(area.selectionStart, area.selectionEnd)).toBe('uses: {}')
  expect(asked.filter(([path]) => path === '/api/packs/check')).toHaveLength(2)
})

it('keeps a sound text, tells the page, and lets an earlier version be used', async () => {
  checks = [reply({ usable: true, problems: [] })]
  const view = await page()
  expect(view.find('[data-test=own-ours]').text()).toContain('version 2 is used, 1 unit follows it')
  await view.find('[data-test=own-text]').setValue('pack: ours\n')
  await view.find('[data-test=own-keep]').trigger('click')
  await settled()
  expect(asked).toContainEqual(['/api/own-packs', 'pack: ours\n'])
  expect(view.emitted('kept')).toEqual([['ours']])
  await view
    .findAll('button')
    .find((b) => b.text() === 'use 1')!
    .trigger('click')
  await settled()
  expect(asked.map(([path]) => path)).toContain('/api/own-packs/ours/use/1')
})

it('says of a version that cannot be read any more what to do', async () => {
  Object.assign(row, { unreadable: "line 3, /used: there is no section 'used'" })
  const view = await page()
  const said = view.find('[data-test=unreadable-ours]')
  expect(said.text()).toContain('Version 2 cannot be read')
  expect(said.text()).toContain("there is no section 'used'")
  expect(said.text()).toContain('earlier version')
  Object.assign(row, { unreadable: null })
  expect((await page()).find('[data-test=unreadable-ours]').exists()).toBe(false)
})
