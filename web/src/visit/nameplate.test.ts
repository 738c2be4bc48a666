import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { json, serve, shown } from '../testing'
import NameplateCard from './NameplateCard.vue'

const plate = { model: 'HP-24', altitude: 5200, year: 2016 }
const sent = vi.fn()

async function card(says: string, closed = false) {
  serve(async (request) => {
    if (request.url.endsWith('/photos')) return json([])
    if (request.method === 'POST') sent(await request.json())
    return json({ plate, altitudeUnit: 'ft', says })
  })
  const made = shown(NameplateCard, { props: { unit: 'u1', closed }, handle: { id: 'v1' } })
  await flushPromises()
  await vi.waitFor(() => expect(made.find('[data-test=nameplate]').exists()).toBe(true))
  return made
}

afterEach(() => {
  vi.unstubAllGlobals()
  sent.mockReset()
})

describe('the nameplate of a unit', () => {
  it('tells what was typed, and is typed field by field', async () => {
    const made = await card('model HP-24')
    expect(made.get('[data-test=nameplate-says]').text()).toBe('model HP-24')
    await made.get('[data-test=nameplate-open]').trigger('click')
    await made.get('[data-test=plate-serial]').setValue('0007731')
    await made.get('[data-test=plate-altitude]').setValue('')
    await made.get('[data-test=plate-gas]').setValue('PROPANE')
    await made.get('form').trigger('submit')
    await vi.waitFor(() =>
      expect(sent).toHaveBeenCalledWith({ model: 'HP-24', year: 2016, serial: '0007731', gas: 'PROPANE' }),
    )
    await vi.waitFor(() => expect(made.find('form').exists()).toBe(false))
  })

  it('is left as it was, and not changed in a closed visit', async () => {
    const made = await card('')
    await made.get('[data-test=nameplate-open]').trigger('click')
    await made.get('[data-test=plate-model]').setValue('other')
    await made.findAll('.keys button')[1]!.trigger('click')
    expect(made.find('form').exists()).toBe(false)
    expect(sent).not.toHaveBeenCalled()
    expect((await card('', true)).find('[data-test=nameplate-open]').exists()).toBe(false)
  })
})
