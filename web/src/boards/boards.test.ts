import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref, type Component } from 'vue'
import * as client from '../api/client'
import CandidateList from '../identify/CandidateList.vue'
import IdentifyView from '../identify/IdentifyView.vue'
import JobsView from '../jobs/JobsView.vue'
import BoardEditor from './BoardEditor.vue'
import ChartRows from './ChartRows.vue'
import type { GenerationRows } from './draft'

const push = vi.fn()
const replace = vi.fn()
const query: Record<string, string> = {}
vi.mock('vue-router', () => ({ useRouter: () => ({ push, replace }), useRoute: () => ({ query }) }))
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof client>()),
  api: {
    GET: vi.fn((path: string) => path),
    POST: vi.fn((path: string, with_: { body: unknown }) => [path, with_.body]),
  },
  answer: vi.fn(),
}))

/** What the server answers, by address; a function is asked with the body. */
const answers: Record<string, unknown> = {}

function shown(component: Component, props = {}) {
  return mount(component, {
    props,
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient({ defaultOptions: { queries: { retry: false } } }) }]],
      stubs: { TopBar: true, RouterLink: { template: '<a><slot /></a>' } },
    },
  })
}

beforeEach(() => {
  vi.clearAllMocks()
  for (const key of Object.keys(query)) delete query[key]
  vi.mocked(client.answer).mockImplementation((call: unknown) => {
    const [path, body] = (Array.isArray(call) ? call : [call]) as [string, unknown]
    const known = answers[path]
    if (known instanceof Error) return Promise.reject(known)
    return Promise.resolve(typeof known === 'function' ? (known as (body: unknown) => unknown)(body) : known) as never
  })
})
afterEach(() => vi.useRealTimers())

describe('typing in a board', () => {
  const family = {
    title: 'Furnace',
    choices: [
      {
        id: 'ignition',
        label: 'How does it light',
        usual: 'hot-surface',
        options: [
          { id: 'hot-surface', label: 'a hot surface glows' },
          { id: 'spark', label: 'a spark ticks' },
        ],
      },
    ],
    chosen: { ignition: 'hot-surface' },
    charts: [{ board: 'board', label: 'board', conditions: ['limit open'] }],
    timings: [{ id: 'purge-time', label: 'purge', value: 15 }],
    fuses: [],
    nominals: [],
    points: [],
    settings: [],
    limits: [],
    boards: [],
  }
  const good = { usable: true, problems: [], notes: [], yaml: 'overlay: x' }

  async function editor() {
    answers['/api/packs/{id}/family'] = family
    query.family = 'f1-furnace'
    const page = shown(BoardEditor, { name: 'new' })
    await flushPromises()
    return page
  }

  it('makes the name from the title, and keeps what was typed and nothing else', async () => {
    const page = await editor()
    expect(page.get('[data-test=save-board]').attributes('disabled')).toBeDefined()
    answers['/api/overlays'] = good
    await page.get('[data-test=board-title]').setValue('  74 Öst Board, rev. C ')
    await page.get('[data-test=pattern-0-0]').setValue('3')
    await page.get('[data-test=condition-0-0]').setValue('limit open')
    await page.get('[data-test=timing-purge-time]').setValue('20,5')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenCalledWith('/api/overlays', {
      body: expect.objectContaining({
        overlay: 'st-board-rev-c',
        family: 'f1-furnace',
        charts: {
          board: [
            expect.objectContaining({ codes: [{ pattern: '3 flashes', condition: 'limit open', text: undefined }] }),
          ],
        },
        timings: { 'purge-time': 20.5 },
      }),
    })
    expect(replace).toHaveBeenCalledWith('/boards/st-board-rev-c')
    expect(page.get('[role=status]').text()).toContain('Kept as a new version')
  })

  it('keeps what is chosen of the family, asks for the family as it then is, and forgets what is as usual', async () => {
    const page = await editor()
    const pressed = (option: string) => page.get(`[data-test=choice-ignition-${option}]`).attributes('aria-pressed')
    expect([pressed('hot-surface'), pressed('spark')]).toEqual(['true', 'false'])
    await page.get('[data-test=choice-ignition-spark]').trigger('click')
    await flushPromises()
    expect([pressed('hot-surface'), pressed('spark')]).toEqual(['false', 'true'])
    expect(vi.mocked(client.api.GET)).toHaveBeenLastCalledWith('/api/packs/{id}/family', {
      params: { path: { id: 'f1-furnace' }, query: { choice: ['ignition:spark'] } },
    })
    answers['/api/overlays'] = good
    await page.get('[data-test=board-title]').setValue('Spark board')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenCalledWith('/api/overlays', {
      body: expect.objectContaining({ choices: { ignition: 'spark' } }),
    })
    await page.get('[data-test=choice-ignition-hot-surface]').trigger('click')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith('/api/overlays', {
      body: expect.objectContaining({ choices: undefined }),
    })
  })

  it('begins with what was found out when the unit was identified', async () => {
    query.choice = 'ignition:spark'
    const page = await editor()
    expect(page.get('[data-test=choice-ignition-spark]').attributes('aria-pressed')).toBe('true')
  })

  it('says at the place what the server found while it is typed, and keeps nothing that cannot be used', async () => {
    vi.useFakeTimers()
    const page = await editor()
    const found = { path: '/timings/purge-time', line: 0, reason: 'purge is -1', remedy: 'give it in seconds' }
    answers['/api/overlays/check'] = { ...good, usable: false, problems: [found] }
    answers['/api/overlays'] = { ...good, usable: false, problems: [found] }
    await page.get('[data-test=board-title]').setValue('Board')
    await page.get('[data-test=timing-purge-time]').setValue('-1')
    await vi.advanceTimersByTimeAsync(500)
    await flushPromises()
    expect(page.text()).toContain('purge is -1. give it in seconds.')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(replace).not.toHaveBeenCalled()
    expect((page.get('[data-test=timing-purge-time]').element as HTMLInputElement).value).toBe('-1')
  })

  it('goes back to the visit it was typed in for, with the board at its unit', async () => {
    const page = await editor()
    Object.assign(query, { unit: 'u1', visit: 'v1' })
    answers['/api/overlays'] = good
    answers['/api/units/{id}/board'] = {}
    await page.get('[data-test=board-title]').setValue('Board')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith('/api/units/{id}/board', {
      params: { path: { id: 'u1' } },
      body: { board: 'board' },
    })
    expect(push).toHaveBeenCalledWith('/visits/v1/before')
  })
})

describe('the lines of a chart', () => {
  const code = (pattern: string) => ({ pattern, condition: '', text: '' })
  const chart = (rows: GenerationRows, problems: unknown[] = []) =>
    shown(
      defineComponent({
        setup() {
          const model = ref(rows)
          return () =>
            h(ChartRows, { modelValue: model.value, board: 'board', place: 0, conditions: [], problems } as never)
        },
      }),
    )

  it('say what was found of the line itself, though empty lines before it are not sent', () => {
    const rows = { generation: '1', weight: 1, codes: [code(''), code('3'), code('4')] }
    const page = chart(rows, [
      { path: '/charts/board/0/codes/1/condition', reason: 'no such condition', remedy: 'pick one' },
    ])
    expect(page.findAll('li')[1]!.text()).not.toContain('no such condition')
    expect(page.findAll('li')[2]!.text()).toContain('no such condition. pick one.')
  })

  it('grow by Enter', async () => {
    const page = chart({ generation: '1', weight: 1, codes: [code('3')] })
    await page.get('[data-test=pattern-0-0]').trigger('keydown', { key: 'Enter' })
    expect(page.findAll('li')).toHaveLength(2)
  })
})

describe('which unit it is', () => {
  const furnace = {
    id: 'f1',
    name: 'f1 ignition=hot-surface',
    choices: {},
    title: 'Furnace',
    duty: 'heats',
    probability: 0.6,
  }
  const roof = { id: 'f14', name: 'f14', choices: {}, title: 'Rooftop', duty: 'cools', probability: 0.4 }
  const question = { id: 'place', text: 'Where does it stand?', answers: [{ id: 'roof', text: 'roof' }] }

  it('asks until nothing tells more apart, takes a step back, and lets a family be chosen at any time', async () => {
    answers['/api/identify'] = (body: { answers: Record<string, string> }) =>
      'place' in body.answers
        ? { asked: 1, next: null, families: [roof, furnace], kinds: [] }
        : { asked: 0, next: question, families: [furnace, roof], kinds: [] }
    answers['/api/sites'] = []
    answers['/api/overlays'] = []
    const page = shown(IdentifyView)
    await flushPromises()
    expect(page.get('[data-test=question]').text()).toBe('Where does it stand?')
    await page.get('[data-test=answer-roof]').trigger('click')
    await flushPromises()
    expect(page.find('[data-test=question]').exists()).toBe(false)
    expect(page.find('[data-test=take-family]').exists()).toBe(true)
    await page
      .findAll('button')
      .find((b) => b.text() === 'back one question')!
      .trigger('click')
    await flushPromises()
    expect(page.find('[data-test=question]').exists()).toBe(true)
    await page.get('[data-test=family-f1]').trigger('click')
    expect(page.get('h1').text()).toBe('Furnace')
  })
})

describe('what it can still be', () => {
  const way = (id: string, n: number) => ({
    id,
    name: `${id} ${n}`,
    title: `${id}, way ${n}`,
    choices: {},
    duty: '',
    probability: 0.05,
  })
  const many = [...Array.from({ length: 13 }, (_, n) => way('f2', n)), way('f9', 0)]
  const kinds = [
    { id: 'f2', title: 'Furnace', probability: 0.95, ways: 13 },
    { id: 'f9', title: 'Air handler', probability: 0.05, ways: 1 },
  ]

  it('stands by family while there are many ways, and opens one', async () => {
    const list = mount(CandidateList, { props: { families: many, kinds } } as never)
    expect(list.findAll('li')).toHaveLength(2)
    expect(list.get('[data-test=kind-f2]').text()).toContain('Furnace, 13 ways')
    await list.get('[data-test=kind-f2]').trigger('click')
    expect(list.findAll('[data-test=family-f2]')).toHaveLength(13)
    await list.findAll('[data-test=family-f2]')[3]!.trigger('click')
    await list.get('[data-test=kind-f9]').trigger('click')
    expect(list.emitted('take')).toEqual([['f2 3'], ['f9 0']])
    await list.setProps({ families: many.slice(0, 3) as never })
    expect(list.find('[data-test=kind-f2]').exists()).toBe(false)
    expect(list.findAll('li')).toHaveLength(3)
  })
})

describe('the day', () => {
  it('says when there is nothing to do, and what went wrong when it could not be fetched', async () => {
    answers['/api/jobs'] = []
    const empty = shown(JobsView)
    await flushPromises()
    expect(empty.text()).toContain('No jobs on this day')
    answers['/api/jobs'] = new client.Problem(503, 'The database is away.')
    const away = shown(JobsView)
    await flushPromises()
    expect(away.get('[role=alert]').text()).toContain('The database is away.')
    answers['/api/jobs'] = [{ id: 'v1', number: 7, site: 'School', state: 'OPEN', complaint: 'no heat' }]
    await away
      .findAll('button')
      .find((b) => b.text() === 'Try again')!
      .trigger('click')
    await flushPromises()
    expect(away.get('.job').text()).toContain('School')
    expect(away.get('.state').text()).toBe('open')
  })
})
