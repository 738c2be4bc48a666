import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createBootstrap } from 'bootstrap-vue-next'
import { expect, it, vi } from 'vitest'
import { computed } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { visitKey } from './handle'
import MenuWalk from './MenuWalk.vue'
import SettingsView from './SettingsView.vue'

const screens = [
  { id: 'home', shows: 'water', ways: [{ press: 'hold', to: 'hot', saves: false }], sets: null, keys: [] },
  {
    id: 'hot',
    shows: 'degrees',
    ways: [{ press: 'set', to: 'home', saves: true }],
    sets: 'Hottest water',
    keys: ['right', 'left'],
  },
]
const hottest = {
  id: 'hottest',
  label: 'Hottest water',
  positions: [],
  range: { least: 90, most: 190, step: 0.5 },
  unit: '°F',
  factory: '150',
  byMenu: true,
  suggests: null,
  ways: [],
}

async function shown(component: object, path: string) {
  const asked: string[] = []
  vi.stubGlobal(
    'fetch',
    vi.fn(async (request: Request) => {
      const url = new URL(request.url)
      asked.push(url.pathname + url.search)
      if (url.pathname.endsWith('/steps')) return Response.json([{ press: 'right', times: 5, shows: '152.5' }])
      return Response.json(url.pathname.endsWith('/menu') ? screens : [hottest])
    }),
  )
  const add = vi.fn(async () => true)
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ['settings', 'work', 'set-up'].map((name) => ({
      path: `/${name}`,
      name,
      component: { template: '<p />' },
    })),
  })
  await router.push(path)
  const handle = {
    id: 'v',
    add,
    visit: computed(() => ({ closedAt: null })),
    page: computed(() => ({ entries: 1, log: [] })),
  }
  const page = mount(component, {
    global: { plugins: [VueQueryPlugin, router, createBootstrap()], provide: { [visitKey as symbol]: handle } },
  })
  await flushPromises()
  return { page, add, asked }
}

it('steps a number within its bounds, asks for its keys, and keeps it with its reason', async () => {
  const { page, add, asked } = await shown(SettingsView, '/settings?setting=hottest')
  const found = page.get<HTMLInputElement>('[data-test=found-number]')
  await found.setValue('150')
  const left = page.get<HTMLInputElement>('[data-test=left-number]')
  await page.get('[aria-label="Needed +"]').trigger('click')
  expect(left.element.value, 'from what was found').toBe('150.5')
  await left.setValue('189.9')
  await page.get('[aria-label="Needed +"]').trigger('click')
  expect(left.element.value).toBe('190')
  await left.setValue('152')
  await page.get('[aria-label="Needed +"]').trigger('click')
  await flushPromises()
  expect(left.element.value).toBe('152.5')
  expect(asked).toContain('/api/visits/v/settings/hottest/steps?from=150&to=152.5')
  expect(page.get('[data-test=key-steps]').text()).toContain('right')
  await page.get('#why').setValue('old radiators')
  await page.get('[data-test=keep-setting]').trigger('click')
  expect(add).toHaveBeenCalledWith({
    kind: 'SETTING',
    setting: 'hottest',
    found: '150',
    left: '152.5',
    why: 'old radiators',
  })
})

it('walks the menu as on its keys, and one back', async () => {
  const { page } = await shown(MenuWalk, '/settings')
  const display = () => page.get('[data-test=menu-shows]').text()
  expect(display()).toBe('water')
  await page.get('[data-test=press-hot]').trigger('click')
  expect(display()).toBe('degrees')
  expect(page.text()).toContain('Hottest water is changed here: right / left')
  await page.get('[data-test=menu-back]').trigger('click')
  expect(display()).toBe('water')
})
