import { flushPromises, mount } from '@vue/test-utils'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import PacksView from './PacksView.vue'

const answers: Record<string, unknown> = {
  '/api/packs': [{ id: 'f4-boiler', title: 'Atmospheric boiler', duty: 'It sees the call.' }],
  '/api/packs/f4-boiler/family': {
    id: 'f4-boiler',
    duty: 'It sees the call.',
    choices: [
      {
        id: 'damper',
        label: 'Is there a damper in the flue',
        usual: 'damper',
        options: [
          { id: 'damper', label: 'one with a motor' },
          { id: 'open', label: 'none' },
        ],
      },
    ],
  },
  '/api/packs/f4-boiler/run': { from: 0, to: 60, callAt: 10, channels: [], stages: [] },
  '/api/packs/f4-boiler/tests': [
    {
      moment: 'standby',
      cautions: ['One hand.'],
      tests: [{ id: 't', instruction: 'Measure 24 V', mode: 'AC volts', moment: '', minutes: 1 }],
    },
  ],
  '/api/packs/f4-boiler/proof': [
    {
      id: 'a',
      share: 0.25,
      fault: 'end switch does not close',
      part: 'vent damper',
      proven: true,
      shown: ['seen at the damper'],
      open: [],
    },
    {
      id: 'b',
      share: 0.05,
      fault: 'nobody can tell',
      part: 'board',
      proven: false,
      shown: [],
      open: ['the supply of the board'],
    },
  ],
}
let asked: string[] = []
let come: (entries: { isIntersecting: boolean }[]) => void = () => {}

beforeEach(() => {
  asked = []
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      constructor(callback: typeof come) {
        come = callback
      }
      observe() {}
      disconnect() {}
    },
  )
  vi.stubGlobal('fetch', (request: Request | string) => {
    const url = new URL(typeof request === 'string' ? request : request.url, 'http://here')
    asked.push(url.pathname + url.search)
    return Promise.resolve(
      url.pathname.endsWith('.yaml')
        ? new Response('pack: f4-boiler\n')
        : new Response(JSON.stringify(answers[url.pathname] ?? {}), {
            headers: { 'Content-Type': 'application/json' },
          }),
    )
  })
})
afterEach(() => vi.unstubAllGlobals())

async function page() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const view = mount(PacksView, {
    global: {
      plugins: [[VueQueryPlugin, { queryClient: queries }]],
      stubs: { TopBar: true, TimingDiagram: true, LadderSheet: true },
    },
  })
  for (let i = 0; i < 4; i++) await flushPromises()
  return view
}

it('asks for what was chosen, and says which fault cannot be proven', async () => {
  const view = await page()
  expect(view.text()).toContain('Is there a damper in the flue')
  await view.find('[data-test=choice-damper]').setValue('open')
  for (let i = 0; i < 4; i++) await flushPromises()
  expect(asked.join()).not.toContain('/proof')
  come([{ isIntersecting: true }])
  for (let i = 0; i < 4; i++) await flushPromises()
  expect(asked).toContain('/api/packs/f4-boiler/proof?choice=damper%3Aopen')
  expect(view.find('[data-test=proof-count]').text()).toContain('2 faults, 1 of them cannot be proven')
  expect(view.text()).toContain('the supply of the board')
  expect(view.get('[data-test=failures] li').text()).toContain('25%')
  expect(view.get('[data-test=tests]').text()).toContain('1 test')
  expect(view.get('[data-test=tests] .caution').text()).toBe('One hand.')
})

it('shows the flat text and lets it be taken along', async () => {
  const view = await page()
  await view.find('[data-test=to-text]').trigger('click')
  for (let i = 0; i < 4; i++) await flushPromises()
  expect(view.find('[data-test=pack-text]').text()).toContain('pack: f4-boiler')
  expect(view.find('a[download]').attributes('href')).toContain('/api/packs/f4-boiler.yaml')
})
