import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref, type Component } from 'vue'
import * as client from '../api/client'
import type { VisitHandle } from '../api/useVisit'
import BeforePower from './BeforePower.vue'
import { visitKey } from './handle'
import ConnectionView from './ConnectionView.vue'
import DrawingView from './DrawingView.vue'
import PowerView from './PowerView.vue'
import RungView from './RungView.vue'

const push = vi.hoisted(() => vi.fn())
vi.mock('vue-router', () => ({
  useRoute: () => ({ params: { id: 'v' }, query: {} }),
  useRouter: () => ({ push }),
}))
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
    links: [],
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
    points: [
      point('SEC', { mark: 'LIVE', reading: '27 V' }),
      point('R', {
        next: true,
        links: [{ by: 'FUSE', what: 'board fuse', state: { closed: true, suspected: 0.12, sound: false } }],
      }),
      point('W'),
    ],
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

const step = (net: string, more = {}) => ({
  net,
  label: `point ${net}`,
  colour: '',
  expected: '27 V AC',
  live: true,
  ground: false,
  by: 'SWITCH',
  what: 'limit',
  state: { closed: true, suspected: 0, sound: false },
  ...more,
})

describe('the connections', () => {
  it('tell where each conductor of a board goes, and lead to a reading there', async () => {
    answers.connections = [
      {
        board: 'control board',
        terminals: [
          { net: 'W', label: 'W on the board', colour: 'white', leads: [{ by: '', to: 'W at the thermostat' }] },
        ],
        plugs: [
          {
            id: 'P1',
            label: 'plug of the safeties',
            pins: [{ net: 'R', label: 'R', colour: 'red', leads: [{ by: 'P1 pin 1', to: 'limit feed side' }] }],
          },
        ],
      },
    ]
    const page = shown(ConnectionView)
    await flushPromises()
    expect(page.text()).toMatch(
      /W at the thermostat.*W on the board.*control board.*P1 · plug of the safeties.*P1 pin 1 to limit feed side/s,
    )
    await page.get('[data-test=terminal-W]').trigger('click')
    expect(page.emitted('pick')).toEqual([['W']])
  })
})

describe('the rung', () => {
  const steps = [
    step('SEC', { by: undefined, what: '', state: undefined }),
    ...['R', 'A', 'B', 'D', 'E', 'F'].map((net) => step(net)),
    step('G', { found: '0 V AC', state: { closed: false, suspected: 0.41, sound: false }, what: 'pressure switch' }),
    step('C', { state: { closed: true, suspected: 0, sound: true }, what: 'gas valve', by: 'COIL' }),
  ]

  it('shows the places around the probes, and the whole on demand', async () => {
    const page = shown(RungView, {}, { steps, red: 'G', black: 'C' })
    expect(page.findAll('.place').map((p) => p.text().slice(0, 8))).toHaveLength(4)
    expect(page.get('[data-test=place-G]').text()).toMatch(/red probe here.*0 V AC.*expected 27 V AC/s)
    expect(page.get('[data-test=place-C]').text()).toContain('black probe here')
    await page.get('[data-test=whole-rung]').trigger('click')
    expect(page.findAll('.place')).toHaveLength(9)
  })

  it('marks what is open, what is suspected and what is ruled out', () => {
    const page = shown(RungView, {}, { steps })
    const by = page.findAll('.by').map((b) => b.text())
    expect(by.at(-2)).toMatch(/pressure switch\s*open\s*41%/)
    expect(by.at(-1)).toMatch(/gas valve\s*sound/)
    expect(by[0], 'a closed switch').toMatch(/limit\s*closed/)
  })

  it('hands on the point that was touched, and takes nothing on a closed visit', async () => {
    const page = shown(RungView, {}, { steps })
    await page.get('[data-test=place-R]').trigger('click')
    expect(page.emitted('pick')).toEqual([['R']])
    expect(shown(RungView, {}, { steps, closed: true }).get('[data-test=place-R]').attributes('disabled')).toBeDefined()
  })
})

describe('the drawing', () => {
  const spot = (net: string, more = {}) => ({
    net,
    x: 10,
    y: 60,
    label: [`point ${net}`],
    colour: 'red',
    live: true,
    expected: '27 V AC',
    ...more,
  })
  const drawing = {
    width: 400,
    height: 200,
    moment: 'standby',
    momentLabel: 'power on and no call',
    marks: [
      {
        element: 'limit',
        symbol: 'SWITCH',
        x: 40,
        right: 76,
        y: 60,
        label: ['limit'],
        board: false,
        state: { closed: true, suspected: 0, sound: true },
      },
      {
        element: 'gas',
        symbol: 'CONTACT',
        x: 140,
        right: 176,
        y: 60,
        label: ['gas relay'],
        board: true,
        state: { closed: false, suspected: 0.3, sound: false },
      },
    ],
    wires: [{ x: 10, y: 60, right: 40, bottom: 60, live: true }],
    spots: [spot('R'), spot('W', { found: '3 V AC' }), spot('x', { label: [], expected: undefined })],
    ends: [
      { net: 'C', x: 300, y: 60, label: 'C on the board', ground: false, leftwards: false },
      { net: 'e', x: 300, y: 90, label: '', ground: true, leftwards: false },
    ],
  }
  const view = () =>
    shown(DrawingView, {
      unit: ref({ moments: [{ id: 'trial', label: 'trial for ignition' }] }),
      page: computed(() => ({ entries: 1, next: { red: 'W', black: 'R' } })),
    })
  beforeEach(() => {
    answers.drawing = drawing
    push.mockReset()
  })

  it('marks energized wires, likely causes, what is ruled out, the probes and what was found', async () => {
    const page = view()
    await flushPromises()
    expect(page.findAll('.wire.live').length).toBeGreaterThan(0)
    expect(page.get('[data-element=gas]').classes()).toContain('suspect')
    expect(page.get('[data-element=gas]').text()).toContain('30%')
    expect(page.get('[data-element=limit]').classes()).toContain('sound')
    expect(page.get('[data-net=W]').text()).toMatch(/3 V AC.*R/s)
    expect(page.get('[data-net=R]').text()).toContain('B')
  })

  it('leads to a reading at the point that is touched', async () => {
    const page = view()
    await flushPromises()
    await page.get('[data-net=R]').trigger('click')
    expect(push).toHaveBeenCalledWith(expect.objectContaining({ name: 'work', query: { point: 'R' } }))
    push.mockReset()
    await page.get('[data-net=x]').trigger('click')
    expect(push, 'no probe reaches it').not.toHaveBeenCalled()
  })

  it('finds a point by its words and grows by keys', async () => {
    const page = view()
    await flushPromises()
    await page.get('[data-test=find-point]').setValue('W point')
    expect(page.findAll('.find li')).toHaveLength(1)
    const wide = () => Number(page.get('[data-test=sheet]').attributes('width'))
    const before = wide()
    await page.get('.frame').trigger('keydown', { key: '+' })
    expect(wide()).toBeGreaterThan(before)
    await page.get('.frame').trigger('keydown', { key: '-' })
    expect(wide()).toBeCloseTo(before)
  })
})

describe('before the power', () => {
  const lamps = [
    {
      board: 'board',
      label: 'board',
      marks: [],
      chart: [
        { generation: '1', pattern: '3 flashes', says: '3 flashes', condition: 'limit' },
        { generation: '2', pattern: '3 flashes', says: '3 flashes', condition: 'draft' },
        { generation: '1', pattern: '4 flashes', says: '4 flashes', condition: 'draft' },
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

  it('answers all that is as in a healthy unit in one tap, and never a danger', async () => {
    answers.before = [
      { id: 'danger.gas-smell', instruction: 'Gas?', healthy: false, danger: true },
      { id: 'see-hose', instruction: 'Hose off?', healthy: false, danger: false },
      { id: 'hear-blower', instruction: 'Blower running?', healthy: true, danger: false },
    ]
    const page = shown(BeforePower, {
      unit: ref({ lamps, complaints: [], cautions: [] }),
      page: computed(() => ({ entries: 0, log: [], powerCycled: false })),
    })
    await flushPromises()
    expect(page.get('[data-test=all-normal]').text()).toBe('All as in a healthy unit: No · Yes')
    add.mockClear()
    await page.get('[data-test=all-normal]').trigger('click')
    await flushPromises()
    expect(add.mock.calls.map(([entry]) => entry)).toEqual([
      { kind: 'ANSWER', test: 'see-hose', yes: false },
      { kind: 'ANSWER', test: 'hear-blower', yes: true },
    ])
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
