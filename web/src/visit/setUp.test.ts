import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createBootstrap } from 'bootstrap-vue-next'
import { expect, it, vi } from 'vitest'
import { computed } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { visitKey } from './handle'
import SetUpView from './SetUpView.vue'

const step = (id: string, state: string, more = {}) => ({
  id,
  setting: null,
  what: `do ${id}`,
  state,
  stands: state === 'OPEN' ? 'not done' : 'done',
  told: '',
  shows: [],
  entry: state === 'OPEN' ? null : `e-${id}`,
  needs: [],
  ...more,
})

async function page(list: object) {
  vi.stubGlobal(
    'fetch',
    vi.fn(async (request: Request) =>
      Response.json(new URL(request.url).pathname.endsWith('commissioning') ? list : []),
    ),
  )
  const add = vi.fn(async () => true)
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ['set-up', 'settings', 'prove'].map((name) => ({
      path: `/${name}`,
      name,
      component: { template: '<p />' },
    })),
  })
  await router.push('/set-up')
  const handle = {
    id: 'v',
    add,
    visit: computed(() => ({ closedAt: null })),
    unit: computed(() => ({ defer: 'The maker comes first.' })),
    page: computed(() => ({ entries: 1, log: [] })),
  }
  const shown = mount(SetUpView, {
    global: { plugins: [VueQueryPlugin, router, createBootstrap()], provide: { [visitKey as symbol]: handle } },
  })
  await flushPromises()
  return { shown, add }
}

it('begins only when somebody says that the unit is new', async () => {
  const { shown, add } = await page({ begun: false, open: 1, steps: [step('gas', 'OPEN')] })
  expect(shown.find('ol').exists()).toBe(false)
  await shown.get('[data-test=new-unit]').trigger('click')
  expect(add).toHaveBeenCalledWith({ kind: 'NEW_UNIT' })
})

it('puts the first open step under the thumb, with what the board shows until then', async () => {
  const { shown, add } = await page({
    begun: true,
    open: 2,
    steps: [step('supply', 'DONE'), step('gas', 'OPEN', { shows: ['2 flashes'] }), step('vent', 'OPEN')],
  })
  expect(shown.get('[data-test=set-up-count]').text()).toContain('1 of 3')
  expect(shown.get('[data-test=step-gas]').text()).toContain('2 flashes')
  await shown.get('#how').setValue(' soaped ')
  await shown.get('[data-test=step-done]').trigger('click')
  expect(add).toHaveBeenCalledWith(
    expect.objectContaining({ kind: 'SET_UP', step: 'gas', fitted: true, text: 'soaped' }),
  )
})

it('takes a step back, and leads to a setting and to the run', async () => {
  const { shown, add } = await page({
    begun: true,
    open: 1,
    steps: [step('supply', 'DONE'), step('setting.off-delay', 'OPEN', { setting: 'off-delay' })],
  })
  expect(shown.get('[data-test=to-setting]').attributes('href')).toBe('/settings?setting=off-delay')
  expect(shown.get('[data-test=to-prove]').attributes('href')).toBe('/prove')
  await shown.get('[data-test=step-supply] .step').trigger('click')
  await shown.get('[data-test=step-back]').trigger('click')
  expect(add).toHaveBeenCalledWith({ kind: 'TAKE_BACK', supersedes: 'e-supply' })
})
