import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { json, serve, shown } from '../testing'
import AtTheCounter from './AtTheCounter.vue'

const line = { part: 'igniter', label: 'hot-surface igniter', price: 71, pieces: 2, hours: 1.5, counted: 60 }
const counter = { away: null, askedAt: '2026-11-27T14:05:00Z', currency: 'SKD', lines: [line] }

async function asked(answers: unknown, closed = false) {
  serve(() => json(answers))
  const add = vi.fn()
  const made = shown(AtTheCounter, { props: { closed }, handle: { add } })
  await made.find('[data-test=ask-supplier]').trigger('click')
  await flushPromises()
  return { made, add }
}

afterEach(() => vi.unstubAllGlobals())

describe('at the counter', () => {
  it('counts with a price that is taken, and with its wait, and says where they come from', async () => {
    const { made, add } = await asked(counter)
    expect(made.text()).toContain('2 on the shelf')
    expect(made.text()).toContain('71 SKD')
    await made.find('li button').trigger('click')
    expect(add.mock.calls.map(([entry]) => [entry.what, entry.value])).toEqual([
      ['price.igniter', 71],
      ['counter-hours', 1.5],
    ])
    expect(add.mock.calls[0]![0].reason).toMatch(/^supplier, .*2 on the shelf$/)
  })

  it('says that a part has to be ordered, and takes nothing on a closed visit', async () => {
    const { made } = await asked({ ...counter, lines: [{ ...line, pieces: 0, hours: 26 }] }, true)
    expect(made.text()).toContain('none, to be ordered, 26 h')
    expect(made.find('li button').exists()).toBe(false)
  })

  it('says that the supplier is away and what stands then', async () => {
    const { made } = await asked({ ...counter, away: 'The supplier did not answer within 2 s.', lines: [] })
    expect(made.find('[data-test=away]').text()).toContain('did not answer within 2 s')
    expect(made.find('[data-test=away]').text()).toContain('old figures stay')
    expect(made.find('[data-test=ask-supplier]').text()).toBe('Ask again')
  })

  it('says where nothing is bought', async () => {
    const { made } = await asked({ ...counter, lines: [] })
    expect(made.text()).toContain('Nothing to buy')
  })
})
