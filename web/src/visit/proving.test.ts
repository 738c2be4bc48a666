import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { type Component, ref } from 'vue'
import { json, serve, shown } from '../testing'
import ProveDock from './ProveDock.vue'
import ProveItem from './ProveItem.vue'
import ProveView from './ProveView.vue'
import SettingsView from './SettingsView.vue'

const add = vi.fn()

async function page(view: Component, answered: unknown, log: unknown[] = [], closedAt: string | null = null) {
  serve(() => json(answered))
  const made = shown(view, {
    handle: {
      add,
      visit: ref({ closedAt }),
      page: ref({ entries: 3, log, diagram: {} }),
      unit: ref({ defer: "The maker's instructions come first." }),
    },
    stubs: { ProveItem: true, ProveDock: true, TimingDiagram: true, CloseVisit: true },
  })
  await flushPromises()
  return made
}

afterEach(() => {
  vi.unstubAllGlobals()
  add.mockReset()
})

const item = (state: string, what: string) => ({
  id: what,
  kind: 'READING',
  walk: 'STANDBY',
  what,
  state,
  due: '',
  found: '',
  cautions: [],
})

describe('the proving run', () => {
  it('says what is left and what to do first', async () => {
    const made = await page(ProveView, {
      due: true,
      blocks: [],
      items: [item('BAD', 'draft'), item('MISSING', 'gas pressure'), item('MISSING', 'rise'), item('GOOD', 'line')],
    })
    expect(made.get('.state').text()).toBe('1 of 4 proven')
    expect(made.findAllComponents({ name: 'ProveItem' })).toHaveLength(4)
    expect(made.getComponent({ name: 'ProveDock' }).props('item').what).toBe('draft')
  })

  it('goes in the order of one walk, each moment once', async () => {
    const made = await page(ProveView, {
      due: true,
      blocks: [],
      items: [
        { ...item('MISSING', 'rise'), walk: 'CALLED' },
        { ...item('MISSING', 'igniter ohms'), walk: 'POWER_OFF' },
        { ...item('GOOD', 'flame current'), walk: 'CALLED' },
        { ...item('MISSING', 'safeties in'), walk: 'BEFORE_LEAVING' },
      ],
    })
    expect(made.findAll('section h2').map((h) => h.text())).toEqual([
      'Power off',
      'Called and running',
      'Before you leave',
    ])
    expect(made.get('[data-test=walk-CALLED]').findAllComponents({ name: 'ProveItem' })).toHaveLength(2)
  })

  it('brings what is tapped under the keys, and goes on in the order of the walk', async () => {
    const made = await page(ProveView, {
      due: true,
      blocks: [],
      items: [item('GOOD', 'line'), item('MISSING', 'draft'), item('MISSING', 'rise')],
    })
    const dock = () => made.getComponent({ name: 'ProveDock' }).props('item').what
    expect(dock()).toBe('draft')
    made.findAllComponents({ name: 'ProveItem' })[0]!.vm.$emit('choose')
    await flushPromises()
    expect(dock()).toBe('line')
  })

  it('says when all is shown, and when there is nothing to prove', async () => {
    const all = await page(ProveView, { due: true, blocks: [], items: [item('GOOD', 'line')] })
    expect(all.find('[data-test=all-shown]').exists()).toBe(true)
    const none = await page(ProveView, { due: false, blocks: ['x'], items: [] })
    expect(none.get('[data-test=nothing-repaired]').text()).toContain('no run to prove')
  })

  it('closes nothing twice', async () => {
    const proving = { due: true, blocks: [], items: [item('GOOD', 'line')] }
    expect((await page(ProveView, proving)).findComponent({ name: 'CloseVisit' }).exists()).toBe(true)
    const closed = await page(ProveView, proving, [], '2026-11-20T10:00:00Z')
    expect(closed.findComponent({ name: 'CloseVisit' }).exists()).toBe(false)
  })
})

describe('what proves a repair', () => {
  const item = {
    id: 'draft-gauge',
    kind: 'READING',
    what: 'Draft',
    state: 'MISSING',
    due: '0.70 in w.c. or more',
    found: '',
    unit: 'in w.c.',
    minutes: 2,
    cautions: ['moving'],
  }

  const docked = (more: object) => shown(ProveDock, { props: { item: { ...item, ...more } }, handle: { add } })

  it('takes a reading by the keypad of the work', async () => {
    serve(() =>
      json({
        id: 'draft-gauge',
        reading: true,
        instruction: 'Measure draft',
        outcomes: [],
        behind: '',
        unit: 'in w.c.',
      }),
    )
    add.mockResolvedValue(true)
    const page = docked({})
    await vi.waitFor(() => expect(page.text()).toContain('Measure draft'))
    expect(page.text()).toContain('moving')
    for (const key of ['0', 'point', '7']) await page.get(`[aria-label="${key}"]`).trigger('click')
    await page.get('[data-test=take]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'READING', test: 'draft-gauge', reading: '0.7' })
  })

  it('takes an answer, a safety, and that a change is out', async () => {
    await docked({ id: 'reseat-P1', kind: 'QUESTION' }).get('[data-test=no]').trigger('click')
    await docked({ id: 'MONOXIDE', kind: 'SAFETY' }).get('[data-test=yes]').trigger('click')
    await docked({ id: 'e7', kind: 'CHANGE', state: 'BAD' }).get('.go').trigger('click')
    expect(add.mock.calls.map((c) => c[0])).toEqual([
      { kind: 'ANSWER', test: 'reseat-P1', yes: false },
      { kind: 'SAFE', what: 'MONOXIDE', yes: true },
      { kind: 'CHANGE_OUT', supersedes: 'e7' },
    ])
  })

  it('puts its keys away for the list, and takes them out again', async () => {
    const page = docked({ id: 'MONOXIDE', kind: 'SAFETY' })
    await page.get('[data-test=fold]').trigger('click')
    expect(page.find('[data-test=yes]').exists()).toBe(false)
    expect(page.text()).toContain('Draft')
    expect(page.get('[data-test=fold]').attributes('aria-expanded')).toBe('false')
    await page.get('[data-test=fold]').trigger('click')
    expect(page.find('[data-test=yes]').exists()).toBe(true)
  })

  it('is chosen by a tap, and not in a closed visit', async () => {
    const open = shown(ProveItem, { props: { item, current: false, closed: false } })
    await open.get('button').trigger('click')
    expect(open.emitted('choose')).toHaveLength(1)
    expect(
      shown(ProveItem, { props: { item, current: false, closed: true } })
        .get('button')
        .attributes('disabled'),
    ).toBeDefined()
  })
})

const settings = [
  {
    id: 'off-delay',
    label: 'Blower off delay',
    factory: 'A',
    positions: ['A', 'B'],
    byMenu: false,
    suggests: '',
    ways: [{ from: 'A', to: 'B', steps: [] }],
  },
]

describe('settings, found and left', () => {
  it('keeps what was found before what is wanted', async () => {
    const made = await page(SettingsView, settings)
    await made.get('[data-test=setting-off-delay]').trigger('click')
    expect(made.find('[data-test=keep-setting]').exists()).toBe(false)
    expect(made.get('[data-test=found-A]').text()).toContain('factory')
    await made.get('[data-test=found-A]').trigger('click')
    await made.get('[data-test=left-B]').trigger('click')
    expect(made.get('[data-test=key-steps]').text()).toBe('Move it from A to B.')
    await made.get('[data-test=keep-setting]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'SETTING', setting: 'off-delay', found: 'A', left: 'B' })
  })

  it('offers nothing twice: what is kept is said to be', async () => {
    const kept = { counts: true, kind: 'SETTING', what: 'Blower off delay', found: 'found A, left A' }
    const made = await page(SettingsView, settings, [kept])
    await made.get('[data-test=setting-off-delay]').trigger('click')
    await made.get('[data-test=found-A]').trigger('click')
    await made.get('[data-test=left-A]').trigger('click')
    expect(made.text()).toContain('Leave it as it is.')
    expect(made.get('[role=status]').text()).toContain('found A, left A')
    expect(made.find('[data-test=keep-setting]').exists()).toBe(false)
  })

  it('says so where a family has none', async () => {
    expect((await page(SettingsView, [])).text()).toContain('has no settings')
  })
})
