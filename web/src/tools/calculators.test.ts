import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import EconomizerTool from './EconomizerTool.vue'
import IsolationTool from './IsolationTool.vue'

const posted = vi.hoisted(() => ({
  calls: [] as { path: string; body: Record<string, unknown> }[],
  answers: {} as Record<string, unknown>,
}))
const replace = vi.hoisted(() => vi.fn())
vi.mock('vue-router', () => ({
  useRoute: () => ({ query: { outdoorF: '70', zone: '4A' } }),
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

const state = { dryBulb: 70, humidity: 50, wetBulb: 58, dewPoint: 50, btu: 25, grains: 55 }
const economizer = {
  outdoor: state,
  returned: state,
  mixed: state,
  free: false,
  by: 'TEMPERATURE',
  limitF: 65,
  share: 20,
  volts: 3.6,
  measured: { percent: 23, sigma: 4 },
  lines: [],
  border: [],
}

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

describe('economizer', () => {
  it('begins with what the link carries and says why, how far, and how sure', async () => {
    posted.answers['/api/tools/economizer'] = economizer
    const page = shown(EconomizerTool)
    await settled()
    expect(posted.calls[0]!.body).toMatchObject({ outdoorF: 70, zone: '4A', returnF: 75 })
    expect(page.get('[data-test=economizer-said]').text()).toBe('Outdoors is not good enough')
    expect(page.text()).toContain('above the limit of temperature')
    expect(page.get('[data-test=economizer-volts]').text()).toContain('3.6 V')
    expect(page.text()).toMatch(/23 %, give or take\s+8/)
  })

  it('computes again what is typed and keeps it in the link', async () => {
    posted.answers['/api/tools/economizer'] = economizer
    const page = shown(EconomizerTool)
    await settled()
    await page.get('input').setValue('48')
    await settled()
    expect(posted.calls.at(-1)!.body.outdoorF).toBe(48)
    expect(replace).toHaveBeenCalledWith({ query: expect.objectContaining({ outdoorF: '48' }) })
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
    expect(page.text()).toContain('Do not give it power')
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
