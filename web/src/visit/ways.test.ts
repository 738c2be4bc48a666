import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { json, serve, shown } from '../testing'
import WayOutView from './WayOutView.vue'

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ params: { id: 'v1' } }),
}))

const way = (id: string, label: string, expected: number, spread = 20) => ({
  id,
  label,
  expected,
  spread,
  hours: id.startsWith('UNIT') ? 96 : 1,
  quoted: expected - 30,
  items: [
    { label: 'Parts', cost: expected - 30, quoted: true },
    { label: 'A mistake', cost: 30, quoted: false },
  ],
})
const out = {
  currency: 'SKD',
  cause: 'igniter open',
  proven: true,
  age: 9,
  ageKnown: true,
  ways: [way('PART.VAN', 'Part changed, from the van', 100), way('UNIT.SECOND_TRIP', 'The whole unit replaced', 5000)],
  says: 'Part changed, from the van: 4,900 SKD less than the next way',
  fastest: '',
  untested: [{ part: 'gas-valve', label: 'gas valve', chance: 0.04, cost: 210 }],
  spares: ['brown in the thermostat cable'],
  keeps: '',
  byAge: null,
  figures: [],
}

async function page(closedAt: string | null, answers: (request: Request) => Response) {
  serve(answers)
  const made = shown(WayOutView, {
    handle: { visit: ref({ closedAt }) },
    stubs: { WayFigures: true, AtTheCounter: true, QuoteList: true, OtherUnitsOffer: true },
  })
  await flushPromises()
  return made
}

afterEach(() => vi.unstubAllGlobals())

describe('the ways out of a verdict', () => {
  it('says the cheapest, what never got power and which spare conductor there is', async () => {
    const made = await page(null, (request) => json(request.url.endsWith('/ways') ? out : []))
    expect(made.get('[data-test=ways-say]').text()).toContain('4,900 SKD less')
    expect(made.text()).toContain('gas valve: bad too 4%, then 210 SKD and another trip')
    expect(made.get('[data-test=spares]').text()).toContain('brown in the thermostat cable')
  })

  it('opens a way to what it is made of, and offers it once', async () => {
    const posted: unknown[] = []
    const made = await page(null, (request) => {
      if (request.method === 'POST') void request.json().then((body) => posted.push(body))
      return json(request.url.endsWith('/ways') ? out : request.method === 'POST' ? { id: 'q' } : [])
    })
    expect(made.find('[data-test=quote]').exists()).toBe(false)
    await made.get('[data-test="way-PART.VAN"] .way').trigger('click')
    expect(made.text()).toContain('Expected, ± 20 SKD')
    expect(made.text()).toContain('may come')
    await made.get('[data-test=quote]').trigger('click')
    await flushPromises()
    expect(posted).toEqual([{ way: 'PART.VAN', also: [] }])
  })

  it('draws the dear unit beyond the scale instead of making the others dots', async () => {
    const made = await page(null, (request) => json(request.url.endsWith('/ways') ? out : []))
    expect(made.get('[data-test="way-UNIT.SECOND_TRIP"] .track').classes()).toContain('beyond')
    expect(made.get('[data-test="way-PART.VAN"] .sure').attributes('style')).toContain('58.33')
  })

  it('offers nothing any more on a closed visit', async () => {
    const closed = await page('2026-11-20T10:00:00Z', (request) => json(request.url.endsWith('/ways') ? out : []))
    await closed.get('[data-test="way-PART.VAN"] .way').trigger('click')
    expect(closed.find('[data-test=quote]').exists()).toBe(false)
  })
})
