import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { json, serve, shown as mounted } from '../testing'
import BringAlong from './BringAlong.vue'
import FigureBars from './FigureBars.vue'
import LeadView from './LeadView.vue'
import WeekTrend from './WeekTrend.vue'

const figures = {
  name: 'f1-furnace',
  visits: 4,
  proven: 3,
  unknown: 0,
  allowed: 0,
  backs: 1,
  boards: 1,
  minutes: 61.4,
  bookMinutes: 38.2,
  cost: 1152.1,
  bookCost: 117.3,
}
const shown = {
  id: 'v1',
  number: 7,
  site: 'Dairy',
  unit: 'Furnace',
  person: 'Ines',
  verdict: 'igniter open',
  skipped: 0,
}

async function page(answers: (path: string) => Response) {
  serve((request) => {
    const path = new URL(request.url).pathname
    return path === '/api/packs' ? json([{ id: 'f1-furnace', title: 'Single-stage furnace' }]) : answers(path)
  })
  const made = mounted(LeadView)
  await flushPromises()
  return made
}

afterEach(() => vi.unstubAllGlobals())

describe('what the lead sees', () => {
  it('draws what was proven against all, the most visits as the whole width', () => {
    const bars = mount(FigureBars, {
      props: {
        title: 'By equipment type',
        currency: 'SKD',
        figures: [
          figures,
          { ...figures, name: 'f9', visits: 2, proven: 0, minutes: null as never, bookMinutes: null as never },
        ],
      },
    })
    const first = bars.findAll('tbody tr')[0]!
    expect(first.find('.proven').attributes('style')).toContain('75%')
    expect(first.find('.rest').attributes('style')).toContain('25%')
    expect(first.text()).toContain('3 of 4')
    expect(first.text()).toContain('61')
    expect(first.findAll('td .soft').map((one) => one.text())).toEqual(['38', '117'])
    expect(first.text()).toContain('1,152')
    expect(bars.get('thead').text()).toContain('Cost, SKD')
    expect(bars.findAll('tbody tr')[1]!.text()).not.toContain('38')
    expect(bars.findAll('tbody tr')[1]!.find('.rest').attributes('style')).toContain('50%')
  })

  it('says beside each call-back what had not been shown', async () => {
    const made = await page((path) =>
      path === '/api/lead/stock'
        ? json({
            currency: 'SKD',
            litres: 250,
            vans: [
              { who: 'Ines', filled: 84.4 },
              { who: 'Tobin', filled: 0 },
            ],
            lines: [
              {
                family: 'f1',
                part: 'igniter',
                label: 'igniter',
                aYear: 5.2,
                used: 3,
                price: 60,
                missing: 90,
                litres: 1,
                carry: [2, 0],
                all: 2,
              },
            ],
          })
        : json({
            currency: 'SKD',
            all: { ...figures, allowed: 1 },
            families: [figures],
            people: [figures],
            backs: [
              { ...shown, proven: false, back: 9 },
              { ...shown, id: 'v2', proven: true, skipped: 2, back: 11 },
            ],
            weeks: [],
            boards: [
              { ...shown, proven: true, back: null, allowed: 'board changed unproven by leave of Odile: the only one' },
            ],
          }),
    )
    expect(made.text()).toContain('not proven')
    expect(made.text()).toContain('proven, 2 things skipped')
    expect(made.text()).toContain('has not come back')
    expect(made.find('.lead').text()).toContain('1 without proof, approved by a lead')
    expect(made.get('[data-test=allowed]').text()).toContain('Odile: the only one')
    const stock = made.find('[data-test=stock]')
    expect(stock.text()).toContain('5.2')
    expect(stock.find('[data-test=room]').exists()).toBe(false)
    await stock.find('[data-test=van]').setValue('0')
    expect(stock.find('[data-test=room]').text()).toContain('84 of 250 l')
    expect(stock.find('tbody strong').text()).toBe('2')
    await stock.find('[data-test=van]').setValue('1')
    expect(stock.find('tbody').exists()).toBe(false)
    expect(stock.text()).toContain('Nothing is worth its space on this van')
  })

  it('shows few of a long list until somebody asks for all', async () => {
    const many = Array.from({ length: 11 }, (_, i) => ({ ...shown, id: `b${i}`, proven: true, back: null }))
    const made = await page((path) =>
      path === '/api/lead/stock'
        ? json({ currency: 'SKD', litres: 250, vans: [], lines: [] })
        : json({
            currency: 'SKD',
            all: figures,
            families: [figures],
            people: [],
            allowed: 0,
            backs: [],
            boards: many,
            weeks: [],
          }),
    )
    expect(made.findAll('li')).toHaveLength(8)
    expect(made.text()).toContain('Single-stage furnace')
    expect(made.text()).not.toContain('f1-furnace')
    expect(made.find('[data-test=stock]').exists()).toBe(false)
    await made.get('[data-test=all]').trigger('click')
    expect(made.findAll('li')).toHaveLength(11)
    expect(made.find('[data-test=all]').exists()).toBe(false)
  })

  it('says why nothing is shown', async () => {
    const made = await page(() => json({ detail: 'The lead alone sees this.' }, 403))
    expect(made.text()).toContain('The lead alone sees this.')
  })
})

describe('week by week', () => {
  it('leaves room for a week without a visit, and says each column in words', () => {
    const week = (day: string, visits: number, proven: number, backs: number) => ({
      week: day,
      visits,
      proven,
      backs,
      boards: 0,
    })
    const page = mounted(WeekTrend, { props: { weeks: [week('2026-11-02', 4, 3, 1), week('2026-11-16', 2, 2, 0)] } })
    const at = page.findAll('g').map((g) => Number(/\((\d+) /.exec(g.attributes('transform')!)![1]))
    expect(at[1]! - at[0]!).toBe(2 * 26)
    expect(page.findAll('.back')).toHaveLength(1)
    expect(page.get('title').text()).toBe('Week of Nov 2: 4 visits, 3 proven, 1 came back, 0 boards')
    const heights = page.findAll('g:first-of-type rect').map((r) => Number(r.attributes('height')))
    expect(heights).toEqual([120, 90])
  })
})

describe('what to bring', () => {
  it('is said with its chance, and that it is not on the van', async () => {
    serve({ '/api/visits/v/bring': [{ label: 'igniter', probability: 0.41, stocked: false }] })
    const page = mounted(BringAlong, { props: { visit: 'v' } })
    await vi.waitFor(() => expect(page.text()).toBe('Bring: igniter 41% (not on the truck)'))
    vi.unstubAllGlobals()
  })
})
