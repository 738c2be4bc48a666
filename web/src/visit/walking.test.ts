import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref, type Component } from 'vue'
import * as client from '../api/client'
import type { VisitHandle } from '../api/useVisit'
import BeforePower from './BeforePower.vue'
import { visitKey } from './handle'
import LadderDrawing from './LadderDrawing.vue'
import PowerView from './PowerView.vue'

vi.mock('vue-router', () => ({ useRoute: () => ({ params: { id: 'v' }, query: {} }) }))
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof client>()),
  api: { GET: vi.fn((path: string) => path) },
  answer: vi.fn(),
}))

/** What the server answers to what is fetched beside a visit, by the last word of its address. */
const answers: Record<string, unknown> = {}
const add = vi.fn()

function shown(component: Component, more: Partial<Record<keyof VisitHandle, unknown>> = {}, props = {}) {
  const handle = {
    id: 'v',
    visit: ref({ closedAt: null, board: null, family: 'f1', unitId: 'u', job: { id: 'v' }, twins: [], earlier: [] }),
    page: computed(() => ({ entries: 1, log: [], powerCycled: false })),
    unit: ref({ lamps: [] }),
    problem: ref(null),
    sending: ref(false),
    add,
    ...more,
  }
  return mount(component, {
    props,
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient({ defaultOptions: { queries: { retry: false } } }) }]],
      provide: { [visitKey as symbol]: handle },
      stubs: { RouterLink: true, CallPanel: true, LampTap: true, LampCamera: true, LampFile: true, TwinList: true },
    },
  })
}

beforeEach(() => {
  vi.clearAllMocks()
  add.mockResolvedValue(true)
  vi.mocked(client.answer).mockImplementation(
    (call: unknown) => Promise.resolve(answers[String(call).split('/').at(-1)!]) as never,
  )
})

describe('the walk along the supply', () => {
  const point = (net: string, more = {}) => ({
    net,
    label: `at ${net}`,
    where: '',
    mark: 'UNKNOWN',
    due: '27 V',
    ...more,
  })
  const chain = (id: string, more = {}) => ({
    id,
    label: id,
    done: false,
    interrupted: 0.4,
    said: `walk ${id}`,
    culprits: [],
    common: 'C',
    commonLabel: 'C',
    mode: 'AC_VOLTS',
    modeLabel: 'AC volts',
    lowImpedance: 'AC_VOLTS_LOW',
    moment: 'standby',
    momentLabel: 'no call',
    mayBeGhost: false,
    cautions: ['Line voltage.'],
    points: [point('SEC', { mark: 'LIVE', reading: '27 V' }), point('R', { next: true }), point('W')],
    ...more,
  })

  it('opens at the first chain that is not walked, with the probe where it goes next', async () => {
    answers.chains = [chain('line', { done: true }), chain('low')]
    const page = shown(PowerView)
    await flushPromises()
    expect(page.get('[data-test=chain-low]').attributes('aria-pressed')).toBe('true')
    expect(page.get('label[for=chain-reading]').text()).toBe('Red on at R')
    expect(page.text()).toContain('Line voltage.')
  })

  it('enters what is read between the common and the point that was chosen', async () => {
    answers.chains = [chain('low')]
    const page = shown(PowerView)
    await flushPromises()
    await page.findAll('.points button')[2]!.trigger('click')
    await page.get('[data-test=chain-reading]').setValue('0.2')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({
      kind: 'FREE_READING',
      black: 'C',
      red: 'W',
      mode: 'AC_VOLTS',
      moment: 'standby',
      reading: '0.2',
    })
    expect((page.get('[data-test=chain-reading]').element as HTMLInputElement).value).toBe('')
  })

  it('turns the meter to low impedance where a ghost may be read, and keeps a reading that was not taken', async () => {
    answers.chains = [chain('low', { mayBeGhost: true })]
    const page = shown(PowerView)
    await flushPromises()
    add.mockResolvedValue(false)
    await page.get('[data-test=chain-reading]').setValue('9')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith(expect.objectContaining({ mode: 'AC_VOLTS_LOW' }))
    expect((page.get('[data-test=chain-reading]').element as HTMLInputElement).value).toBe('9')
  })

  it('takes nothing on a closed visit, and says so where a unit has no chain', async () => {
    answers.chains = []
    const page = shown(PowerView, { visit: ref({ closedAt: '2026-11-26T09:00:00Z' }) })
    await flushPromises()
    expect(page.find('form').exists()).toBe(false)
    expect(page.text()).toContain('no supply chain')
  })
})

describe('the ladder', () => {
  const stop = (net: string, more = {}) => ({
    net,
    label: net,
    element: 'wire',
    symbol: 'WIRE',
    closed: true,
    live: true,
    volts: 24,
    ...more,
  })
  const rungs = [
    { side: 'line', stops: [stop('L1', { volts: 119.6 })] },
    { side: 'low voltage', stops: [stop('R', { volts: 27.3 }), stop('W', { volts: 0.3, live: false })] },
  ]

  it('puts the rung with a probe on it first, and shows what was read beside what is due', () => {
    const page = shown(LadderDrawing, {}, { rungs, readings: { W: '3 V' }, red: 'W', black: null })
    expect(page.findAll('section').map((s) => s.attributes('aria-label'))).toEqual(['low voltage', 'line'])
    const [first, second] = page.findAll('.point')
    expect(first!.text()).toContain('27 V')
    expect(second!.text()).toContain('0 V')
    expect(second!.text()).toContain('▸3 V')
    expect(second!.classes()).toContain('probe-red')
  })

  it('hands on the point that was touched', async () => {
    const page = shown(LadderDrawing, {}, { rungs, readings: {} })
    await page.findAll('.point')[0]!.trigger('click')
    expect(page.emitted('pick')).toEqual([['L1']])
  })
})

describe('before the power', () => {
  const lamps = [
    {
      board: 'board',
      label: 'board',
      marks: [],
      chart: [
        { generation: '1', pattern: '3 flashes', condition: 'limit' },
        { generation: '2', pattern: '3 flashes', condition: 'draft' },
        { generation: '1', pattern: '4 flashes', condition: 'draft' },
      ],
    },
  ]

  it('offers each pattern of the chart once, and takes one that is typed', async () => {
    answers.before = []
    const page = shown(BeforePower, { unit: ref({ lamps, complaints: [], cautions: [] }) })
    await flushPromises()
    expect(page.findAll('.patterns button').map((b) => b.text())).toEqual(['3 flashes', '4 flashes'])
    expect(page.findAll('h1')).toHaveLength(1)
    await page.get('#typed-pattern').setValue('2 long 3 short')
    await page.get('.typed').trigger('submit')
    expect(add).toHaveBeenCalledWith({ kind: 'PATTERN', board: 'board', pattern: '2 long 3 short' })
  })

  it('shows the lamp as it was read, and reads it again', async () => {
    answers.before = []
    const read = {
      id: 'e1',
      counts: true,
      board: 'board',
      kind: 'PATTERN',
      found: '3 flashes',
      judgement: 'x',
      lamp: [],
    }
    const page = shown(BeforePower, {
      unit: ref({ lamps, complaints: [], cautions: [] }),
      page: computed(() => ({ entries: 1, log: [read], powerCycled: false })),
    })
    await flushPromises()
    expect(page.get('[data-test=lamp-read]').text()).toContain('3 flashes')
    await page.get('[data-test=lamp-read] button').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'TAKE_BACK', supersedes: 'e1' })
  })

  it('answers a look by one touch, and replaces an answer about the reset', async () => {
    answers.before = [{ id: 'see-water', instruction: 'Water in the hose?' }]
    const said = { id: 'r1', counts: true, kind: 'POWER_CYCLED', found: 'yes' }
    const page = shown(BeforePower, {
      unit: ref({ lamps, complaints: [], cautions: [] }),
      page: computed(() => ({ entries: 1, log: [said], powerCycled: true })),
    })
    await flushPromises()
    expect(page.text()).toContain('no code does not mean no fault')
    await page.findAll('[data-test=check-see-water] button')[1]!.trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'ANSWER', test: 'see-water', yes: false })
    await page.findAll('[data-test=reset] button')[1]!.trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'POWER_CYCLED', yes: false, supersedes: 'r1' })
  })

  it('asks three looks at a time, and all where that is wanted', async () => {
    answers.before = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, instruction: `${id}?` }))
    const page = shown(BeforePower, {
      unit: ref({ lamps, complaints: [], cautions: [] }),
      page: computed(() => ({ entries: 0, log: [], powerCycled: false })),
    })
    await flushPromises()
    expect(page.findAll('[data-test^=check-]')).toHaveLength(3)
    expect(page.get('[data-test=more-looks]').text()).toContain('2 more')
    await page.get('[data-test=more-looks]').trigger('click')
    expect(page.findAll('[data-test^=check-]')).toHaveLength(5)
    expect(page.find('[data-test=more-looks]').exists()).toBe(false)
  })

  it('asks what fails where several things can be called for, and takes it back by the same touch', async () => {
    answers.before = []
    const complaints = [
      { test: 'complaint.heating', yes: true, label: 'Fails: heating' },
      { test: 'complaint.cooling', yes: true, label: 'Fails: cooling' },
      { test: 'told.fan.runs', yes: true, label: 'The fan runs' },
      { test: 'told.fan.runs', yes: false, label: 'The fan never runs' },
    ]
    const said = {
      id: 'e7',
      counts: true,
      kind: 'ANSWER',
      test: 'complaint.cooling',
      what: 'Is it cooling',
      found: 'yes',
      yes: true,
    }
    const noticed = { ...said, id: 'e8', test: 'told.fan.runs', found: 'no', yes: false }
    const page = shown(BeforePower, {
      unit: ref({ lamps, complaints, cautions: ['Leave, ventilate, no flame.'] }),
      page: computed(() => ({ entries: 2, log: [said, noticed], powerCycled: false })),
    })
    await flushPromises()
    expect(page.text()).toContain('Leave, ventilate, no flame.')
    const [cooling, never, heating, runs] = page.findAll('[data-test=complaints] button')
    expect(never!.attributes('aria-pressed')).toBe('true')
    await runs!.trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'ANSWER', test: 'told.fan.runs', yes: true, supersedes: 'e8' })
    expect(cooling!.attributes('aria-pressed')).toBe('true')
    expect(page.findAll('.checks .done')).toHaveLength(0)
    await heating!.trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'ANSWER', test: 'complaint.heating', yes: true })
    await cooling!.trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'TAKE_BACK', supersedes: 'e7' })
  })
})
