import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { computed, ref, type Component } from 'vue'
import type { VisitHandle } from '../api/useVisit'
import CannotDo from './CannotDo.vue'
import CloseVisit from './CloseVisit.vue'
import { visitKey } from './handle'
import LeadsLeave from './LeadsLeave.vue'
import RefusedEntries from './RefusedEntries.vue'
import ReopenVisit from './ReopenVisit.vue'
import SequenceTaps from './SequenceTaps.vue'
import SuspectBars from './SuspectBars.vue'
import TakeAlong from './TakeAlong.vue'
import TwinList from './TwinList.vue'
import UnitView from './UnitView.vue'
import VerdictView from './VerdictView.vue'
import WorkedBefore from './WorkedBefore.vue'

const fetched = vi.hoisted(() => ({ answer: undefined as unknown }))
vi.mock('../api/client', async (real) => ({
  ...(await real<object>()),
  api: { GET: () => fetched.answer, POST: () => fetched.answer },
  answer: (given: unknown) => Promise.resolve(given),
}))
vi.mock('vue-router', () => ({ useRoute: () => ({ params: { id: 'v' } }), useRouter: () => ({ push: vi.fn() }) }))

const verdict = {
  status: 'PROVEN',
  label: 'igniter open',
  probability: 0.99,
  group: [],
  proof: [],
  untested: [],
  damaged: [],
  skipped: [],
  remedy: 'x',
}
const line = (channel: string, due: number, more = {}) => ({
  channel,
  label: channel,
  begins: [due],
  lateAfter: [due + 5],
  ends: [],
  perceived: true,
  said: false,
  complete: false,
  on: false,
  ...more,
})

function shown(component: Component, handle: Partial<Record<keyof VisitHandle, unknown>>, props = {}) {
  const whole = {
    visit: ref({ closedAt: null, mayReopen: true, twins: [], twinsSaid: {} }),
    page: computed(() => ({ verdict, sequence: [line('inducer', 1), line('igniter', 20)], taps: [] })),
    unit: ref({ defer: 'the maker first' }),
    sending: ref(false),
    refused: ref([]),
    ...handle,
  }
  return mount(component, {
    props,
    global: {
      plugins: [VueQueryPlugin],
      provide: { [visitKey as symbol]: whole },
      stubs: {
        RouterLink: true,
        BFormTextarea: {
          emits: ['update:modelValue'],
          template: '<textarea @input="$emit(`update:modelValue`, $event.target.value)" />',
        },
        RepairList: true,
      },
    },
  })
}

describe('closing', () => {
  const form = (blocks: string[]) => shown(CloseVisit, { close: vi.fn() }, { blocks })

  it('has no outcome chosen beforehand, and cannot be done without one', () => {
    const page = form([])
    expect(page.findAll('input[type=radio]').filter((r) => (r.element as HTMLInputElement).checked)).toEqual([])
    expect(page.get('[data-test=close]').attributes('disabled')).toBeDefined()
    expect(page.text()).toContain('Choose how it ended')
  })

  it('says what speaks against fixed, and lets every other end pass', async () => {
    const page = form(['Still in the unit: R to W jumper'])
    expect(page.find('[data-test=blocks]').exists()).toBe(false)
    await page.get('[data-test=outcome-FIXED] input').setValue()
    expect(page.get('[data-test=blocks]').text()).toContain('R to W jumper')
    await page.get('[data-test=outcome-MADE_SAFE] input').setValue()
    expect(page.find('[data-test=blocks]').exists()).toBe(false)
  })
})

describe('a part that is ordered', () => {
  it('is named, a board only once it is proven, and kept before the visit is closed', async () => {
    fetched.answer = [
      { part: 'igniter', label: 'igniter', orderable: true },
      { part: 'board', label: 'furnace board', orderable: false },
    ]
    const done: string[] = []
    const add = vi.fn(async () => done.push('add') > 0)
    const close = vi.fn(async () => void done.push('close'))
    const page = shown(CloseVisit, { add, close, problem: ref(null) }, { blocks: [] })
    await flushPromises()
    await page.get('[data-test=outcome-PART_ORDERED] input').setValue()
    await page.get('textarea').setValue('comes on Monday')
    expect(page.get('[data-test=close]').attributes('disabled')).toBeDefined()
    const board = page.findAll('[data-test=ordered] option')[1]!
    expect(board.text()).toContain('not proven')
    expect(board.attributes('disabled')).toBeDefined()
    await page.get('[data-test=ordered]').setValue('igniter')
    expect(page.get('[data-test=close]').attributes('disabled')).toBeUndefined()
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'ORDERED', part: 'igniter' })
    expect(done).toEqual(['add', 'close'])
  })
})

describe("a lead's leave", () => {
  it('is offered to a lead alone, and is nothing without a reason', async () => {
    const add = vi.fn(async () => true)
    fetched.answer = { role: 'TECHNICIAN' }
    const mine = shown(LeadsLeave, { add, problem: ref(null) }, { part: 'board' })
    await flushPromises()
    expect(mine.text()).toContain("or with a lead's approval")
    expect(mine.find('[data-test=leave]').exists()).toBe(false)
    fetched.answer = { role: 'LEAD' }
    const page = shown(LeadsLeave, { add, problem: ref(null) }, { part: 'board' })
    await flushPromises()
    await page.get('[data-test=leave]').trigger('click')
    expect(page.get('[data-test=give-leave]').attributes('disabled')).toBeDefined()
    await page.get('input').setValue(' the only one ')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'ALLOWED', part: 'board', reason: 'the only one' })
    expect(page.find('form').exists()).toBe(false)
  })
})

describe('what cannot be done', () => {
  it('is said with what is in the way', async () => {
    const add = vi.fn(async () => true)
    const page = shown(CannotDo, { add }, { test: 'see-rod' })
    await page.get('[data-test=cannot-FITTED]').trigger('click')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'UNABLE', test: 'see-rod', why: 'FITTED' })
    expect(page.emitted('said')).toHaveLength(1)
  })
})

describe('a verdict of the usual school', () => {
  it('says what a stricter one would have asked for', () => {
    const page = shown(VerdictView, {
      page: computed(() => ({
        verdict: { ...verdict, skipped: ['Supply at the board', 'P1 wiggled'] },
        sequence: [],
        taps: [],
        log: [],
        rung: [],
        where: [],
      })),
    })
    expect(page.get('[data-test=skipped]').text()).toContain('Supply at the board; P1 wiggled')
  })
})

describe('what comes after the verdict', () => {
  const onward = (status: string, more = {}, kinds: string[] = []) => {
    const page = shown(VerdictView, {
      page: computed(() => ({
        verdict: { ...verdict, status, ...more },
        sequence: [],
        taps: [],
        rung: [],
        where: [],
        log: kinds.map((kind) => ({ kind, counts: true })),
      })),
    })
    return { big: page.get('.onward').attributes('data-test'), page }
  }

  it('is the work while unproven, the ways to repair when proven, the proving run after the repair', () => {
    expect(onward('NOT_YET').big).toBe('to-work')
    expect(onward('PROVEN').big).toBe('to-ways')
    expect(onward('PROVEN', {}, ['REPAIRED']).big).toBe('to-prove')
  })

  it('offers to change the board only where a board is the cause', () => {
    expect(onward('PROVEN').page.find('[data-test=to-change]').exists()).toBe(false)
    expect(onward('PROVEN', { board: true }).page.find('[data-test=to-change]').exists()).toBe(true)
  })
})

describe('refused entries', () => {
  const kept = {
    id: 'a',
    visit: 'v',
    place: 1,
    entry: { id: 'a', madeAt: 1, kind: 'READING', test: 'ohms', reading: '99999' },
    refused: { message: 'beyond the meter', field: 'reading', status: 422 },
  }

  it('say what was entered and why it was not taken', () => {
    const page = shown(RefusedEntries, { refused: ref([kept]), correct: vi.fn(), discard: vi.fn() })
    expect(page.text()).toContain('99999')
    expect(page.text()).toContain('beyond the meter')
  })

  it('are sent again with what is typed instead, or discarded', async () => {
    const correct = vi.fn()
    const discard = vi.fn()
    const page = shown(RefusedEntries, { refused: ref([kept]), correct, discard })
    await page.get('input').setValue('27')
    await page.get('form').trigger('submit')
    expect(correct).toHaveBeenCalledWith('a', { reading: '27' })
    await page.get('[data-test=discard]').trigger('click')
    expect(discard).toHaveBeenCalledWith('a')
  })
})

describe('a closed visit', () => {
  it('is opened again by whoever may, with a reason', async () => {
    const reopen = vi.fn().mockResolvedValue(undefined)
    const page = shown(ReopenVisit, { reopen })
    await page.get('[data-test=reopen]').trigger('click')
    await page.get('input').setValue('forgot the filter')
    await page.get('form').trigger('submit')
    expect(reopen).toHaveBeenCalledWith('forgot the filter')
  })

  it('offers nothing to whoever may not', () => {
    const page = shown(ReopenVisit, { visit: ref({ mayReopen: false }) })
    expect(page.find('[data-test=reopen]').exists()).toBe(false)
  })
})

describe('the watched sequence', () => {
  it('offers that something never starts only when it is late', () => {
    const page = shown(SequenceTaps, { add: vi.fn() }, { seconds: 10 })
    expect(page.find('[data-test=not-seen-inducer]').exists()).toBe(true)
    expect(page.find('[data-test=not-seen-igniter]').exists()).toBe(false)
  })

  it('is over by itself in a proving run once all that is expected came', async () => {
    const add = vi.fn().mockResolvedValue(true)
    const came = ref([line('inducer', 1, { complete: true, said: true, on: true }), line('flame', 20)])
    const handle = { add, page: computed(() => ({ sequence: came.value, taps: [] })) }
    const proving = shown(SequenceTaps, handle, { seconds: 24, proving: true })
    const watched = shown(SequenceTaps, handle, { seconds: 24 })
    expect(proving.find('.coming').text()).not.toContain('inducer')
    came.value = [came.value[0]!, line('flame', 20, { complete: true, said: true, on: true })]
    await flushPromises()
    expect(add).toHaveBeenCalledExactlyOnceWith({ kind: 'WATCHED', seconds: 24 })
    expect(proving.emitted('done')).toHaveLength(1)
    expect(watched.emitted('done')).toBeUndefined()
  })

  it('leaves it to the server what did not come', async () => {
    const add = vi.fn().mockResolvedValue(true)
    const page = shown(SequenceTaps, { add }, { seconds: 95.04 })
    await page.get('[data-test=watched]').trigger('click')
    await flushPromises()
    expect(add).toHaveBeenCalledExactlyOnceWith({ kind: 'WATCHED', seconds: 95 })
    expect(page.emitted('done')).toHaveLength(1)
  })

  it('taps the end of what is on', async () => {
    const add = vi.fn()
    const page = shown(
      SequenceTaps,
      { add, page: computed(() => ({ sequence: [line('flame', 5, { on: true, said: true })], taps: [] })) },
      { seconds: 31 },
    )
    await page.get('[data-test=event-flame]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'SEEN', channel: 'flame', begins: false, seconds: 31 })
  })
})

describe('suspects', () => {
  it('keep those that are nearly ruled out among the cleared', () => {
    const suspect = (id: string, probability: number) => ({
      id,
      label: id,
      part: id,
      kind: 'FAULT',
      board: false,
      probability,
      before: 0,
    })
    const page = shown(SuspectBars, {}, { suspects: [suspect('hose', 0.9), suspect('fuse', 0.004)], others: ['limit'] })
    expect(page.find('[data-test=suspect-hose]').exists()).toBe(true)
    expect(page.find('[data-test=suspect-fuse]').exists()).toBe(false)
    expect(page.get('details').text()).toContain('fuse · limit')
  })
})

describe('twins', () => {
  it('show what was said of each', () => {
    const page = shown(TwinList, {
      visit: ref({ closedAt: null, twins: [{ id: 'a', label: 'A', location: 'x' }], twinsSaid: { a: false } }),
    })
    const [same, well] = page.findAll('button')
    expect(same!.attributes('aria-pressed')).toBe('false')
    expect(well!.attributes('aria-pressed')).toBe('true')
  })
})

describe('a unit that was visited before', () => {
  it('says what was changed, how it was left, what nobody took out, and that it is a call-back', async () => {
    fetched.answer = {
      says: 'a call-back, 4 days after',
      visits: [
        {
          job: { id: 'w', technician: 'Ines', complaint: 'no heat', verdict: 'igniter open' },
          closedAt: '2026-11-20T10:00:00Z',
          outcome: 'LEFT_RUNNING',
          decided: 'filter to come',
          past: {
            changed: ['igniter'],
            left: ['Off delay: 90'],
            stillIn: ['clip lead'],
            borrowed: [],
            spares: ['blue in cable'],
            notes: ['loud inducer'],
            unused: ['rollout'],
          },
        },
      ],
      changes: [{ what: 'board: grey-board to green-board', by: 'Tobin', at: '2026-11-21T10:00:00Z' }],
    }
    const page = shown(UnitView, {
      id: 'v',
      visit: ref({ job: { unit: 'Furnace', location: 'closet' }, twins: [{ label: 'Twin', location: 'loft' }] }),
      unit: ref({ title: 'Gas furnace', duty: 'lights and watches' }),
    })
    await flushPromises()
    expect(page.get('[data-test=call-back]').text()).toContain('4 days')
    expect(page.text()).toMatch(/Changed:.*igniter.*Left set:.*Off delay: 90.*Not taken out: clip lead/s)
    expect(page.text()).toMatch(/Spare conductors:.*blue in cable.*not used:.*rollout.*Note:.*loud inducer/s)
    expect(page.text()).toContain('Left running')
    expect(page.text()).toContain('do not reset')
    expect(page.text()).toContain('Twin, loft')
    expect(page.get('[data-test=changes-of-unit]').text()).toMatch(/Tobin: board: grey-board to green-board/)
    expect(page.find('[data-test=since]').exists()).toBe(false)
  })

  it('takes down what was taken along, once', async () => {
    fetched.answer = [
      { part: 'igniter', label: 'igniter', probability: 0.42, stocked: true },
      { part: 'rod', label: 'flame rod', probability: 0.2, stocked: true },
    ]
    const add = vi.fn()
    const log = [{ kind: 'ALONG', counts: true, found: 'flame rod' }]
    const page = shown(TakeAlong, { id: 'v', add, page: computed(() => ({ log })) }, { visit: 'v' })
    await flushPromises()
    expect(page.text()).toContain('42%')
    expect(page.find('[data-test=take-rod]').exists()).toBe(false)
    await page.get('[data-test=take-igniter]').trigger('click')
    expect(add).toHaveBeenCalledExactlyOnceWith({ kind: 'ALONG', part: 'igniter' })
  })

  it('takes what somebody else changed before, where this program was not there', async () => {
    fetched.answer = [{ part: 'igniter', label: 'igniter' }]
    const add = vi.fn()
    const handle = { id: 'v', add, page: computed(() => ({ log: [] })) }
    const page = shown(WorkedBefore, handle)
    await flushPromises()
    expect(page.get('[data-test=worked-tell]').attributes('disabled'), 'not before it is answered').toBeDefined()
    await page.findAll('[aria-label=When] button')[1]!.trigger('click')
    await page.get('select').setValue('igniter')
    await page.findAll('[aria-labelledby=q-same-as-before] button')[0]!.trigger('click')
    await page.get('[data-test=worked-tell]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'VISITED', days: 5, part: 'igniter', reset: false, same: true })
  })

  it('tells a reset since the last visit in the place of what the visit begins with', async () => {
    fetched.answer = { says: '', lentOut: [], last: { entry: 'e0', days: 4, part: 'igniter' }, visits: [], changes: [] }
    const add = vi.fn()
    const handle = { id: 'v', visit: ref({ job: { unit: 'Furnace', location: 'closet' }, twins: [] }), add }
    const log = [{ id: 'e7', kind: 'VISITED', counts: true, found: '4 days ago' }]
    const page = shown(UnitView, { ...handle, unit: ref({ title: 'x', duty: 'y' }), page: ref({ log: [] }) })
    await flushPromises()
    await page.findAll('[data-test=since] button')[0]!.trigger('click')
    expect(add).toHaveBeenCalledWith({
      kind: 'VISITED',
      days: 4,
      part: 'igniter',
      reset: true,
      same: false,
      supersedes: 'e0',
    })
    const later = shown(UnitView, { ...handle, unit: ref({ title: 'x', duty: 'y' }), page: ref({ log }) })
    await flushPromises()
    await later.findAll('[data-test=since] button')[1]!.trigger('click')
    expect(add).toHaveBeenLastCalledWith({
      kind: 'VISITED',
      days: 4,
      part: 'igniter',
      reset: false,
      same: false,
      supersedes: 'e7',
    })
    await later.get('[data-test=same] button').trigger('click')
    expect(add).toHaveBeenLastCalledWith(expect.objectContaining({ kind: 'VISITED', same: true }))
    expect(later.get('[data-test=since]').text()).toContain('4 days ago')
  })
})
