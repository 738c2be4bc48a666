import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import CalculatorForm from './CalculatorForm.vue'
import IsolationTool from './IsolationTool.vue'

const posted = vi.hoisted(() => ({
  calls: [] as { path: string; body: Record<string, unknown> }[],
  answers: {} as Record<string, unknown>,
}))
const replace = vi.hoisted(() => vi.fn())
vi.mock('vue-router', () => ({
  useRoute: () => ({ query: { known: '7' } }),
  useRouter: () => ({ replace }),
}))
vi.mock('../common/TopBar.vue', () => ({ default: { template: '<header />' } }))
vi.mock('../api/client', () => ({
  api: {
    POST: (path: string, { body }: { body: Record<string, unknown> }) => {
      posted.calls.push({ path, body })
      return posted.answers[path]
    },
  },
  answer: (given: unknown) => (given instanceof Error ? Promise.reject(given) : Promise.resolve(given)),
}))

function shown(component: object) {
  return mount(component, { global: { plugins: [VueQueryPlugin], stubs: { RouterLink: true } } })
}

async function settled() {
  await flushPromises()
  await new Promise((done) => setTimeout(done, 400))
  await flushPromises()
}

beforeEach(() => {
  posted.calls = []
  localStorage.clear()
})

describe('a calculation of setting up', () => {
  const calculator = {
    id: 'water-flow',
    title: 'Flow',
    what: 'Flow of a zone',
    caution: 'Pipes burn.',
    inputs: [
      { id: 'heat', label: 'Heat', unit: 'Btu/h', usual: 30000, least: 500, most: 1000000, options: [] },
      { id: 'known', label: 'Known', unit: '', least: 0, most: 10, options: [] },
      { id: 'pipe', label: 'Pipe', unit: '', least: 0, most: 0, options: [{ id: 'half', label: '1/2 in' }] },
    ],
  }
  const finding = {
    says: 'quiet',
    good: true,
    results: [{ id: 'flow', label: 'flow', value: 1234.56, unit: 'gpm', decimals: 1 }],
    reason: 'because',
    source: 'a table.',
    curve: null,
    stops: [] as string[],
  }

  it('asks for what it needs, leaves out what is not known, and shows what comes of it with its source', async () => {
    posted.answers['/api/tools/calculators/{id}'] = finding
    const page = mount(CalculatorForm, {
      props: { calculator },
      global: { plugins: [VueQueryPlugin], stubs: { RouterLink: true } },
    })
    await settled()
    expect(posted.calls.at(-1)!.body, 'the link carries one of them').toEqual({
      numbers: { heat: 30000, known: 7 },
      choices: { pipe: 'half' },
    })
    expect(page.get('[data-test=calculator-says]').text()).toBe('quiet')
    expect(page.text()).toContain('1,234.6')
    expect(page.text()).toContain('a table. The maker')
    expect(page.text()).toContain('Pipes burn.')
    await page.get('[data-test=in-known]').setValue('4')
    await settled()
    expect(posted.calls.at(-1)!.body).toMatchObject({ numbers: { heat: 30000, known: 4 } })
    expect(replace).toHaveBeenCalledWith({ query: expect.objectContaining({ known: '4' }) })
  })

  it('says stop, and what it means instead, in the place of a suggestion', async () => {
    posted.answers['/api/tools/calculators/{id}'] = { ...finding, good: false, stops: ['Stop: 9 ft/s eats copper.'] }
    const page = mount(CalculatorForm, {
      props: { calculator },
      global: { plugins: [VueQueryPlugin], stubs: { RouterLink: true } },
    })
    await settled()
    expect(page.get('[data-test=calculator-stop]').text()).toBe('Stop: 9 ft/s eats copper.')
    expect(page.find('[data-test=calculator-says]').exists()).toBe(false)
    expect(page.text(), 'the number is shown, and nothing is set by it').toContain('1,234.6')
  })

  it('shows beside the field what makes no sense, and keeps what was computed before', async () => {
    posted.answers['/api/tools/calculators/{id}'] = finding
    const page = mount(CalculatorForm, {
      props: { calculator },
      global: { plugins: [VueQueryPlugin], stubs: { RouterLink: true } },
    })
    await settled()
    posted.answers['/api/tools/calculators/{id}'] = Object.assign(new Error('Heat: it is 5.'), { field: 'heat' })
    await page.get('[data-test=in-heat]').setValue('5')
    await settled()
    expect(page.get('[data-test=in-heat]').attributes('aria-invalid')).toBe('true')
    expect(page.get('[role=alert]').text()).toContain('Heat: it is 5.')
    expect(page.get('[data-test=calculator-says]').text()).toBe('quiet')
  })
})

describe('two supplies', () => {
  const wire = { from: 'relay board DO1', to: 'K1 A1', supply: 'BUILDING', colour: 'yellow', crosses: false }
  const plan = {
    relays: [],
    wires: [wire],
    loads: [{ side: 'UNIT', va: 48, ratedVa: 75, fits: true, classTwo: true, fuseAmps: 3 }],
    coilVolts: 23.6,
    pullsIn: true,
    alone: [],
    apart: true,
    terminals: ['rooftop R', 'K1 A1'],
  }

  it('lists the conductors and sends where one was found', async () => {
    posted.answers['/api/tools/isolation'] = plan
    const page = shown(IsolationTool)
    await settled()
    expect(page.get('[data-test=isolation-said]').text()).toContain('Apart')
    expect(page.text()).toContain('fuse 3 A')
    await page.get('[data-test=wire-0] button').trigger('click')
    posted.answers['/api/tools/isolation'] = {
      ...plan,
      apart: false,
      wires: [{ ...wire, to: 'rooftop R', crosses: true }],
    }
    await page.get('[data-test=wire-0] select').setValue('rooftop R')
    await settled()
    expect(posted.calls.at(-1)!.body.landings).toEqual({ 0: 'rooftop R' })
    expect(page.get('[data-test=wire-0]').classes()).toContain('crosses')
    expect(page.text()).toContain('Do not power it up')
  })

  it('lets go of what was found elsewhere when the terminals change', async () => {
    posted.answers['/api/tools/isolation'] = plan
    const page = shown(IsolationTool)
    await settled()
    await page.get('.terminals input').setValue('RLY1')
    await page.get('.terminals input').trigger('change')
    await settled()
    const sent = posted.calls.at(-1)!.body as { building: { terminals: { name: string }[] }; landings: object }
    expect(sent.building.terminals[0]!.name).toBe('RLY1')
    expect(sent.landings).toEqual({})
  })
})
