import { mount } from '@vue/test-utils'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { flushPromises } from '@vue/test-utils'
import RatesForm from './RatesForm.vue'

const rates = {
  currency: 'SKD',
  counterMarkup: 0.6,
  counterHours: 2.5,
  tripHours: 48,
  tax: 0.08,
  quoteDays: 30,
  warrantyYears: 1,
  unitPrice: 4200,
  unitHours: 96,
  unitYears: 18,
  disposal: 120,
  interest: 0.04,
  horizonYears: 10,
  vanLitres: 250,
  ageing: { shape: 1.7, scaleYears: 9 },
}
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

async function form(lead: boolean) {
  const made = mount(RatesForm, {
    props: { lead },
    global: { plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]] },
  })
  await flushPromises()
  return made
}

afterEach(() => vi.unstubAllGlobals())

describe('what things cost', () => {
  it('shows shares in percent and sends them as shares', async () => {
    const sent: unknown[] = []
    vi.stubGlobal('fetch', async (request: Request) => {
      if (request.method === 'POST') sent.push(await request.json())
      return json(rates)
    })
    const made = await form(true)
    const tax = made.find('#rate-tax')
    expect((tax.element as HTMLInputElement).value).toBe('8')
    await tax.setValue('8.5')
    await made.find('form').trigger('submit')
    await flushPromises()
    expect(sent).toEqual([{ ...rates, tax: 0.085 }])
    expect(made.text()).toContain('Saved.')
  })

  it('says why they are not kept, and lets nobody but the lead change them', async () => {
    vi.stubGlobal('fetch', async (request: Request) =>
      request.method === 'POST' ? json({ detail: 'These rates cannot be kept: tax is 7.' }, 422) : json(rates),
    )
    const lead = await form(true)
    await lead.find('form').trigger('submit')
    await flushPromises()
    expect(lead.text()).toContain('tax is 7')
    const other = await form(false)
    expect(other.find('[data-test=keep-rates]').exists()).toBe(false)
    expect(other.findAll('input').every((i) => (i.element as HTMLInputElement).disabled)).toBe(true)
  })
})
