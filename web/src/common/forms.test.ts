import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, defineComponent, h, ref, type Component } from 'vue'
import * as client from '../api/client'
import type { VisitHandle } from '../api/useVisit'
import NewJobView from '../jobs/NewJobView.vue'
import LoginView from '../login/LoginView.vue'
import PolicyView from '../policy/PolicyView.vue'
import { visitKey } from '../visit/handle'
import RepairList from '../visit/RepairList.vue'

const replace = vi.fn()
vi.mock('vue-router', () => ({ useRouter: () => ({ replace }), useRoute: () => ({ query: {} }) }))
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof client>()),
  api: { GET: vi.fn((path: string) => path), POST: vi.fn((path: string) => `POST ${path}`) },
  answer: vi.fn(),
  logIn: vi.fn(),
}))

/** What the server answers, by address; a function is asked. */
const answers: Record<string, unknown> = {}
const field = (tag: string) =>
  defineComponent({
    props: { modelValue: { type: String, default: '' } },
    emits: ['update:modelValue'],
    setup: (props, { emit, attrs }) => {
      return () =>
        h(tag, {
          ...attrs,
          value: props.modelValue,
          onInput: (event: Event) => emit('update:modelValue', (event.target as HTMLInputElement).value),
        })
    },
  })

function shown(component: Component, provide: Record<symbol, unknown> = {}) {
  return mount(component, {
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient({ defaultOptions: { queries: { retry: false } } }) }]],
      provide,
      stubs: { TopBar: true, RouterLink: true, BFormInput: field('input'), BFormTextarea: field('textarea') },
    },
  })
}

beforeEach(() => {
  vi.clearAllMocks()
  vi.mocked(client.answer).mockImplementation((call: unknown) => {
    const known = answers[String(call)]
    return known instanceof Error ? Promise.reject(known) : (Promise.resolve(known) as never)
  })
})

describe('the login', () => {
  it('says why it did not work and stays; goes to the jobs when it did', async () => {
    const page = shown(LoginView)
    await page.get('#username').setValue(' ines ')
    await page.get('#password').setValue('wrong')
    vi.mocked(client.logIn).mockRejectedValueOnce(new client.Problem(401, 'Login or password is wrong.'))
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toBe('Login or password is wrong.')
    expect(replace).not.toHaveBeenCalled()
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.logIn)).toHaveBeenLastCalledWith('ines', 'wrong')
    expect(replace).toHaveBeenCalledWith('/jobs')
  })
})

describe('a new job', () => {
  const sites = [
    { id: 's0', name: 'Old mill', address: 'Quay 12', units: [{ id: 'u0', label: 'Boiler', location: 'cellar' }] },
    { id: 's1', name: 'School', address: 'Quay 1', units: [{ id: 'u1', label: 'Furnace', location: 'cellar' }] },
    {
      id: 's2',
      name: 'Hall',
      address: 'Quay 2',
      units: [
        { id: 'u2', label: 'North', location: 'roof' },
        { id: 'u3', label: 'South', location: 'roof' },
      ],
    },
  ]

  it('finds a unit by a few letters of its site or of itself', async () => {
    answers['/api/sites'] = sites
    const page = shown(NewJobView)
    await flushPromises()
    const units = () => page.findAll('.units button').map((one) => one.text())
    expect(units()).toHaveLength(4)
    await page.get('#where').setValue('hall sou')
    expect(units()).toEqual([expect.stringContaining('South')])
    await page.get('#where').setValue('1')
    expect(units()).toEqual([expect.stringContaining('School'), expect.stringContaining('Old mill')])
    await page.get('#where').setValue('dam')
    expect(units()).toEqual([])
    expect(page.text()).toContain('No unit matches.')
    await page.get('#where').setValue('')
    await page.get('[data-test=unit-u2]').trigger('click')
    expect(page.get('[data-test=picked]').text()).toContain('Hall')
    await page.get('[data-test=other-unit]').trigger('click')
    expect(page.get('button[type=submit]').attributes('disabled')).toBeDefined()
  })

  it('takes the one unit of a site that is written out, and no other', async () => {
    answers['/api/sites'] = sites
    const page = shown(NewJobView)
    await flushPromises()
    await page.get('#where').setValue('hall')
    expect(page.find('[data-test=picked]').exists()).toBe(false)
    await page.get('#where').setValue('old mil')
    expect(page.find('[data-test=picked]').exists()).toBe(false)
    await page.get('#where').setValue('Old Mill')
    expect(page.get('[data-test=picked]').text()).toContain('Old mill')
  })

  it('opens the visit it made, and keeps what was typed where it could not', async () => {
    answers['/api/sites'] = sites
    answers['POST /api/jobs'] = new client.Problem(503, 'Being made ready.')
    const page = shown(NewJobView)
    await flushPromises()
    await page.get('[data-test=unit-u1]').trigger('click')
    await page.findAll('.quick button')[0]!.trigger('click')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toBe('Being made ready.')
    expect((page.get('#complaint').element as HTMLTextAreaElement).value).toBe('No heat')
    answers['POST /api/jobs'] = { id: 'v9' }
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith('/api/jobs', {
      body: { unitId: 'u1', complaint: 'No heat', told: [] },
    })
    expect(replace).toHaveBeenCalledWith('/visits/v9')
  })

  it('takes what is understood of the complaint as evidence until it is tapped away', async () => {
    const runs = { test: 'told.fan.runs', yes: true, label: 'The fan runs' }
    const never = { test: 'told.fan.runs', yes: false, label: 'The fan never runs' }
    const ice = { test: 'told.ice', yes: true, label: 'Iced over' }
    answers['/api/sites'] = sites
    answers['/api/units/{id}/statements'] = { all: [runs, never, ice], understood: [ice] }
    answers['POST /api/jobs'] = { id: 'v9' }
    const page = shown(NewJobView)
    await flushPromises()
    await page.get('[data-test=unit-u1]').trigger('click')
    await page.get('#complaint').setValue('a block of ice')
    await flushPromises()
    const keys = (where: string) => page.findAll(`[data-test=${where}] button`)
    expect(keys('understood').map((k) => k.text())).toEqual(['Iced over'])
    expect(keys('understood')[0]!.attributes('aria-pressed')).toBe('true')
    await keys('more-said')[1]!.trigger('click')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith('/api/jobs', {
      body: {
        unitId: 'u1',
        complaint: 'a block of ice',
        told: [
          { test: 'told.fan.runs', yes: false },
          { test: 'told.ice', yes: true },
        ],
      },
    })
    await keys('understood').at(-1)!.trigger('click')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith(
      '/api/jobs',
      expect.objectContaining({
        body: expect.objectContaining({ told: [{ test: 'told.fan.runs', yes: false }] }),
      }),
    )
  })
})

describe('the policy', () => {
  const stored = { labourPerMinute: 1.6, tripCost: 95, mistakeCost: 300, notAllowed: ['SWAP'], school: 'STRICT' }

  it('is only read by a technician', async () => {
    Object.assign(answers, {
      '/api/me': { role: 'TECHNICIAN' },
      '/api/policy': stored,
      '/api/policy/choices': ['SWAP'],
    })
    const page = shown(PolicyView)
    await flushPromises()
    expect(page.text()).toContain('The lead sets it.')
    expect(page.findAll('input').every((input) => input.attributes('disabled') !== undefined)).toBe(true)
    expect(page.find('button[type=submit]').exists()).toBe(false)
  })

  it('is kept by the lead, with the kinds that were ticked', async () => {
    Object.assign(answers, {
      '/api/me': { role: 'LEAD' },
      '/api/policy': stored,
      '/api/policy/choices': ['SWAP', 'CYCLES'],
      'POST /api/policy': stored,
    })
    const page = shown(PolicyView)
    await flushPromises()
    const [swap, cycles] = page.findAll('input[type=checkbox]')
    expect((swap!.element as HTMLInputElement).checked).toBe(false)
    await swap!.trigger('change')
    await cycles!.trigger('change')
    await page.get('#trip').setValue(120)
    await page.get('input[value=USUAL]').setValue(true)
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith('/api/policy', {
      body: { ...stored, tripCost: 120, notAllowed: ['CYCLES'], school: 'USUAL' },
    })
    expect(page.get('[role=status]').text()).toContain('Saved')
  })

  it('has rules of the house: who changes what, and whose day it is', async () => {
    const rules = { ...stored, changers: 'AT_WORK', timeZone: 'America/Adak' }
    Object.assign(answers, {
      '/api/me': { role: 'LEAD' },
      '/api/policy': rules,
      '/api/policy/choices': [],
      'POST /api/policy': rules,
    })
    const page = shown(PolicyView)
    await flushPromises()
    expect((page.get('#zone').element as HTMLSelectElement).value).toBe('America/Adak')
    expect((page.get('input[value=AT_WORK]').element as HTMLInputElement).checked).toBe(true)
    await page.get('input[name=changers][value=LEAD]').setValue(true)
    await page.get('#zone').setValue('America/Halifax')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(vi.mocked(client.api.POST)).toHaveBeenLastCalledWith('/api/policy', {
      body: { ...rules, changers: 'LEAD', timeZone: 'America/Halifax' },
    })
  })

  it('says which value the server did not take', async () => {
    Object.assign(answers, { '/api/me': { role: 'LEAD' }, '/api/policy': stored, '/api/policy/choices': [] })
    answers['POST /api/policy'] = new client.Problem(422, 'Labour is 0; it must be at least 0.01.', 'labourPerMinute')
    const page = shown(PolicyView)
    await flushPromises()
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toContain('at least 0.01')
    expect(page.find('[role=status]').exists()).toBe(false)
  })
})

describe('the order of repair', () => {
  const repairs = [
    {
      part: 'igniter',
      label: 'igniter',
      probability: 0.9,
      cost: 80.4,
      done: false,
      offered: true,
      board: false,
      needs: [],
      handling: ['Bleed it before it is touched.'],
    },
    {
      part: 'board',
      label: 'control board',
      probability: 0.1,
      cost: 402,
      done: false,
      offered: false,
      board: true,
      needs: [],
      handling: [],
    },
  ]
  const handle = (closedAt: string | null, add = vi.fn()): Partial<Record<keyof VisitHandle, unknown>> => ({
    id: 'v1',
    visit: ref({ closedAt }),
    page: computed(() => ({ entries: 3, verdict: { status: 'INDICATED' } })),
    sending: ref(false),
    add,
  })

  it('offers what the server offers, and says why a board is not', async () => {
    answers['/api/visits/{id}/repairs'] = repairs
    const add = vi.fn()
    const page = shown(RepairList, { [visitKey as symbol]: handle(null, add) })
    await flushPromises()
    expect(page.find('[data-test=repaired-board]').exists()).toBe(false)
    expect(page.text()).toContain('not before it is proven')
    await page.get('[data-test=repaired-igniter]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'REPAIRED', part: 'igniter' })
  })

  it('offers nothing on a closed visit', async () => {
    answers['/api/visits/{id}/repairs'] = repairs
    const page = shown(RepairList, { [visitKey as symbol]: handle('2026-11-26T09:00:00Z') })
    await flushPromises()
    expect(page.findAll('button')).toHaveLength(0)
  })
})
