import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ref, type Component } from 'vue'
import * as client from '../api/client'
import { visitKey } from './handle'
import SawPanel from './SawPanel.vue'
import StampRow from './StampRow.vue'
import WhenPicker from './WhenPicker.vue'

vi.mock('../api/client', () => ({ api: { GET: vi.fn() }, answer: vi.fn() }))

const questions = [
  { id: 'feed.gas-valve', instruction: '24 V straight on the gas valve: does it click open', moment: 'off' },
  { id: 'new.board', instruction: 'A new one from the van, control board: does it run now', moment: '' },
  { id: 'hear-relay', instruction: 'Does the relay close', moment: 'call' },
]
const log = [{ counts: true, kind: 'ANSWER', what: 'Does the relay close', found: 'no' }]

async function panel(component: Component, handle = {}, props = {}) {
  vi.mocked(client.answer).mockResolvedValue(questions as never)
  const add = vi.fn().mockResolvedValue(true)
  const page = mount(component, {
    props,
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]],
      provide: {
        [visitKey as symbol]: {
          id: 'v1',
          add,
          when: ref(undefined),
          problem: ref(null),
          page: ref({ entries: 1, log }),
          unit: ref({
            points: [
              { net: 'SDO', label: 'detector output' },
              { net: 'PMO', label: 'phase monitor output' },
            ],
          }),
          ...handle,
        },
      },
    },
  })
  await flushPromises()
  return { page, add }
}

describe('what somebody saw', () => {
  it('is found by its words, in any order, and answered in place', async () => {
    const { page, add } = await panel(SawPanel)
    expect(page.findAll('.found li')).toHaveLength(3)
    await page.get('#saw-words').setValue('valve 24')
    expect(page.findAll('.found li')).toHaveLength(1)
    await page.get('[data-test="saw-feed.gas-valve"] button').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'ANSWER', test: 'feed.gas-valve', yes: true })
  })

  it('shows what was said before, and says so when nothing has these words', async () => {
    const { page } = await panel(SawPanel)
    expect(page.get('[data-test="saw-hear-relay"]').text()).toContain('no')
    await page.get('#saw-words').setValue('unicorn')
    expect(page.text()).toContain('Keep it as a note')
  })

  it('says how it died, with a comma too, and what went first', async () => {
    const { page, add } = await panel(SawPanel)
    await page.get('[data-test=dying]').trigger('click')
    await page.get('#died-minutes').setValue('11,5')
    await page.get('#died-first').setValue('SDO')
    await page.get('.died').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'DIED', minutes: 11.5, first: 'SDO', stays: undefined })
    expect(page.emitted('done')).toHaveLength(1)
  })

  it('keeps a note and forgets it only when it is kept', async () => {
    const add = vi.fn().mockResolvedValue(false)
    const { page } = await panel(SawPanel, { add })
    await page.get('#saw-note').setValue('smells of fish')
    await page.get('.note').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'NOTE', text: 'smells of fish' })
    expect((page.get('#saw-note').element as HTMLTextAreaElement).value).toBe('smells of fish')
  })
})

describe('when it was so', () => {
  it('is now unless somebody says otherwise', async () => {
    const when = ref()
    const { page } = await panel(WhenPicker, { when })
    expect(page.get('[data-test=when-now]').attributes('aria-pressed')).toBe('true')
    await page.get('[data-test=when-LAST_NIGHT]').trigger('click')
    expect(when.value).toBe('LAST_NIGHT')
    await page.get('[data-test=when-now]').trigger('click')
    expect(when.value).toBeUndefined()
  })
})

describe('what stands on the part', () => {
  const stamp = { says: 'draft on the switch', value: 0.7, typed: false }
  it('is the family own until somebody types it, and is sent as typed', async () => {
    const { page, add } = await panel(StampRow, {}, { test: { id: 'draft-gauge', unit: 'in w.c.', stamp } })
    expect(page.text()).toContain('0.7 in w.c.')
    await page.get('[data-test=stamp-type]').trigger('click')
    await page.get('#stamp-value').setValue('0,35')
    await page.get('form').trigger('submit')
    expect(add).toHaveBeenCalledWith({ kind: 'STAMPED', test: 'draft-gauge', value: '0,35' })
  })

  it('stays open with the reason when it is refused', async () => {
    const add = vi.fn().mockResolvedValue(false)
    const problem = ref({ field: 'value', message: 'type the number' })
    const { page } = await panel(StampRow, { add, problem }, { test: { id: 'draft-gauge', unit: 'in w.c.', stamp } })
    await page.get('[data-test=stamp-type]').trigger('click')
    await page.get('#stamp-value').setValue('x')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toBe('type the number')
  })
})
