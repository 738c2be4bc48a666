import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { serve, shown } from '../testing'
import OtherUnitsOffer from './OtherUnitsOffer.vue'

const right = {
  id: 'u2',
  label: 'Right',
  currency: 'SKD',
  quotes: [{ id: 'q7', number: 7, way: 'Part changed, from the van', total: 210 }],
  parts: [{ part: 'inducer', label: 'inducer', cost: 260 }],
}

async function page(others: unknown[], modelValue: unknown[] = []) {
  serve({ '/api/visits/v/other-units': others })
  const made = shown(OtherUnitsOffer, { props: { modelValue } })
  await flushPromises()
  return made
}

afterEach(() => vi.unstubAllGlobals())

describe('one offer over the units of a site', () => {
  it('shows nothing where there is no other unit', async () => {
    expect((await page([])).find('[data-test=other-units]').exists()).toBe(false)
  })

  it('takes a quote in and leaves it out again', async () => {
    const made = await page([right])
    expect(made.text()).toContain('Right: quote 7, Part changed, from the van, 210 SKD')
    await made.get('input[type=checkbox]').trigger('change')
    const taken = [{ unit: 'u2', quote: 'q7' }]
    expect(made.emitted('update:modelValue')!.at(-1)).toEqual([taken])
    await made.setProps({ modelValue: taken })
    await made.get('input[type=checkbox]').trigger('change')
    expect(made.emitted('update:modelValue')!.at(-1)).toEqual([[]])
  })

  it('adds a worn part with what was heard, once one is chosen', async () => {
    const made = await page([right])
    expect(made.find('[data-test=add-part]').exists()).toBe(false)
    await made.get('select').setValue('u2')
    expect(made.get('[data-test=add-part]').attributes('disabled')).toBeDefined()
    await made.findAll('select')[1]!.setValue('inducer')
    await made.get('input.form-control').setValue('loud bearing')
    await made.get('[data-test=add-part]').trigger('click')
    const added = [{ unit: 'u2', part: 'inducer', seen: 'loud bearing' }]
    expect(made.emitted('update:modelValue')!.at(-1)).toEqual([added])
    await made.setProps({ modelValue: added })
    expect(made.text()).toContain('Right: inducer, 260 SKD')
    await made.get('.take .key').trigger('click')
    expect(made.emitted('update:modelValue')!.at(-1)).toEqual([[]])
  })
})
