import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'
import { Problem } from '../api/client'
import { json, serve, shown } from '../testing'
import CableTable from './CableTable.vue'
import DoNext from './DoNext.vue'
import PlanTree from './PlanTree.vue'
import ReadingPad from './ReadingPad.vue'
import WorkView from './WorkView.vue'

const add = vi.fn()
const test = (id: string, more = {}) => ({
  id,
  instruction: `Measure ${id}.`,
  mode: 'AC volts',
  moment: 'heating',
  should: 'should read 27 V',
  why: 'tells most for its minutes',
  minutes: 2,
  reading: true,
  sequence: false,
  unplugged: [],
  handling: [] as string[],
  about: [] as string[],
  rung: [],
  where: [],
  safety: { ended: [], cautions: [], afterwards: [], needs: [] as string[] },
  outcomes: [
    { expected: '27 V', probability: 0.7, suspects: ['igniter', 'board', 'wire'], nominal: true },
    { expected: 'about 0', probability: 0.3, suspects: [], nominal: false },
  ],
  ...more,
})
const line = (id: string) => ({ id, instruction: `Measure ${id}.`, mode: 'AC volts', moment: 'heating', minutes: 1 })
const verdict = (status: string, more = {}) => ({ status, label: 'igniter open', probability: 0.8, proof: [], ...more })
const page = {
  entries: 1,
  purpose: 'FIND',
  next: test('a'),
  meanwhile: [] as ReturnType<typeof line>[],
  others: [line('b')],
  verdict: verdict('NOT_YET'),
  contradictions: [],
  repeats: [],
  wouldExplain: [],
  unknownCodes: [] as string[],
  expected: [] as string[],
  unexplained: 0.9,
  log: [] as unknown[],
  diagram: { callAt: 0 },
  taps: [],
  handling: [] as string[],
  about: [] as string[],
  rung: [],
  where: [],
  suspects: [],
  cleared: [],
}
/** What the page is made of that has tests of its own. */
const stubs = Object.fromEntries(
  ['FreeReading', 'RungView', 'LogList', 'ProofList', 'SawPanel', 'SuspectBars', 'TemporaryChange', 'TimingDiagram']
    .concat('SequenceTaps', 'StampRow')
    .map((name) => [name, true]),
)
const made: VueWrapper[] = []

function work(more = {}, handle = {}) {
  const now = ref({ ...page, ...more })
  const mounted = shown(WorkView, {
    handle: { add, page: computed(() => now.value), unit: ref({ defer: 'The maker comes first.' }), ...handle },
    stubs,
  })
  made.push(mounted)
  return { mounted, now }
}
const next = (mounted: VueWrapper) => mounted.get('[data-test=next]').attributes('data-id')

beforeEach(() => {
  localStorage.clear()
  add.mockReset().mockResolvedValue(true)
})
afterEach(() => {
  made.splice(0).forEach((one) => one.unmount())
  vi.unstubAllGlobals()
})

describe('the work', () => {
  it('shows the next test with its pad, and sends what is read', async () => {
    const { mounted } = work()
    expect(next(mounted)).toBe('a')
    mounted.getComponent(ReadingPad).vm.$emit('take', '27.6')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'READING', test: 'a', reading: '27.6' })
    mounted.getComponent(ReadingPad).vm.$emit('answer', false)
    await flushPromises()
    expect(add).toHaveBeenLastCalledWith({ kind: 'ANSWER', test: 'a', yes: false })
  })

  it('keeps another test that was chosen until something is entered', async () => {
    serve({ '/api/visits/v/tests/b': test('b') })
    const { mounted, now } = work()
    mounted.getComponent(DoNext).vm.$emit('choose', 'b')
    await flushPromises()
    expect(next(mounted)).toBe('b')
    expect(mounted.get('.tag').text()).toBe('CHOSEN')
    now.value = { ...now.value, log: [{ kind: 'CHANGE_IN' }] }
    await flushPromises()
    expect(next(mounted), 'a change in the unit is no finding').toBe('b')
    now.value = { ...now.value, log: [{ kind: 'CHANGE_IN' }, { kind: 'READING' }] }
    await flushPromises()
    expect(next(mounted)).toBe('a')
  })

  it('watches the sequence to its end, whatever is proposed meanwhile', async () => {
    const { mounted, now } = work({ next: test('run', { sequence: true }) })
    expect(mounted.findComponent(ReadingPad).exists()).toBe(false)
    await mounted.get('[data-test=watch]').trigger('click')
    now.value = { ...now.value, next: test('a') }
    await flushPromises()
    expect(next(mounted)).toBe('run')
    mounted.getComponent({ name: 'SequenceTaps' }).vm.$emit('done')
    await flushPromises()
    expect(next(mounted)).toBe('a')
  })

  it('says a refusal at the pad, and waits while something is on its way', () => {
    const refused = work({}, { problem: ref(new Problem(422, 'No meter reads that.')) })
    expect(refused.mounted.get('[data-test=reading-problem]').text()).toBe('No meter reads that.')
    const away = work({}, { problem: ref(new Problem(503, 'away')), waiting: ref([{}]) })
    expect(away.mounted.find('[data-test=reading-problem]').exists()).toBe(false)
    expect(away.mounted.getComponent(ReadingPad).props('busy')).toBe(true)
  })

  it('names no part where nothing on the list explains it, but what would', () => {
    const { mounted } = work({ verdict: verdict('UNEXPLAINED'), wouldExplain: ['C9 open'] })
    expect(mounted.get('[data-test=odd]').text()).toContain('(90%). No part is named.')
    expect(mounted.get('[data-test=odd]').text()).toContain('C9 open')
    const nothing = work({ verdict: verdict('UNEXPLAINED') })
    expect(nothing.mounted.get('[data-test=odd]').text()).toContain('Is this the right equipment type and board?')
  })

  it('takes the first of two that contradict each other again', async () => {
    const came = serve({ '/api/visits/v/tests/b': test('b') })
    const contradiction = { repeat: '0 V at W', other: '27 V at HLI', test: line('b') }
    const { mounted } = work({ contradictions: [contradiction], repeats: ['0 V at W'] })
    expect(mounted.get('[data-test=odd]').text()).toContain('These two readings conflict: 0 V at W · 27 V at HLI.')
    expect(mounted.get('[data-test=odd]').text()).not.toContain('Does not fit the rest')
    await mounted.get('[data-test=repeat]').trigger('click')
    await flushPromises()
    expect(came.map((request) => new URL(request.url).pathname)).toContain('/api/visits/v/tests/b')
    expect(next(mounted)).toBe('b')
  })

  it('leads to the verdict when there is nothing more to ask', () => {
    const proven = work({ next: null, verdict: verdict('PROVEN') })
    expect(proven.mounted.get('[data-test=done]').text()).toContain('Proven')
    expect(proven.mounted.get('[data-test=done]').text()).toContain('igniter open, 80%')
    const nothing = work({ next: null })
    expect(nothing.mounted.get('[data-test=done] h1').text()).toBe('No test left that helps')
    expect(nothing.mounted.get('[data-test=no-more]').text()).toContain('fails again')
    expect(proven.mounted.find('[data-test=no-more]').exists()).toBe(false)
  })

  it('asks about a code that no chart has', () => {
    const { mounted } = work({ unknownCodes: ['5 flashes is on no chart of the furnace board.'] })
    expect(mounted.get('[data-test=unknown-code]').text()).toContain('on no chart')
    expect(work().mounted.find('[data-test=odd]').exists()).toBe(false)
  })

  it('is only looked at once the visit is closed', () => {
    const visit = ref({ closedAt: '2026-03-04T10:00:00Z', twins: [], job: { id: 'v' } })
    const { mounted } = work({}, { visit })
    expect(mounted.get('[data-test=done] h1').text()).toBe('Closed')
    for (const one of ['[data-test=next]', '[data-test=change]', '[data-test=free]'])
      expect(mounted.find(one).exists()).toBe(false)
    expect(mounted.findComponent(ReadingPad).exists()).toBe(false)
  })

  it('places the call by its key, but not while somebody types', async () => {
    const { mounted } = work()
    const field = document.body.appendChild(document.createElement('input'))
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'c', bubbles: true }))
    await flushPromises()
    expect(mounted.text()).toContain('Call is on now')
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'c', bubbles: true }))
    await flushPromises()
    expect(mounted.text()).toContain('stop clock')
    field.remove()
  })
})

const caution = (hazard: string, before: string, isTold = false) => ({
  hazard,
  name: hazard.toLowerCase(),
  before,
  told: isTold,
})
const safe = (cautions: unknown[], more = {}) => ({ ended: [], cautions, afterwards: [], needs: [], ...more })

describe('what to do next', () => {
  const told = (more = {}, props = {}) => {
    const mounted = shown(DoNext, {
      props: {
        test: test('a', more),
        purpose: 'FIND',
        chosen: false,
        meanwhile: [],
        others: [line('b'), line('c')],
        ...props,
      },
    })
    made.push(mounted)
    return mounted
  }

  it('says where, with which setting, when, and what it should read', () => {
    const mounted = told({ unplugged: ['P3'], safety: safe([caution('LINE', 'Line voltage.')]) })
    expect(mounted.get('[data-test=how]').text()).toBe('pull P3 · AC volts · heating · should read 27 V')
    expect(mounted.get('.caution').text()).toBe('Line voltage.')
    expect(mounted.get('.tag').text()).toBe('NEXT')
    expect(told({}, { purpose: 'PROVE' }).get('.tag').text()).toBe('TO PROVE IT')
    expect(mounted.findAll('.outcomes li')[0]!.text()).toContain('igniter, board …')
    expect(mounted.findAll('.outcomes li')[1]!.text()).toContain('take it again')
  })

  it('says what to know of the part in hand', () => {
    expect(
      told({ handling: ['Two wires, either way round.'] })
        .get('[data-test=handling]')
        .text(),
    ).toContain('either way')
    expect(told().find('[data-test=handling]').exists()).toBe(false)
  })

  it('says what to do while somebody waits', async () => {
    const mounted = told({}, { meanwhile: [line('look')] })
    expect(mounted.get('[data-test=meanwhile]').text()).toContain('Meanwhile:')
    await mounted.get('[data-test=meanwhile] button').trigger('click')
    expect(mounted.emitted('choose')).toEqual([['look']])
    expect(told().find('[data-test=meanwhile]').exists()).toBe(false)
  })

  it('tells what can hurt in full where it begins and by name while it goes on', async () => {
    const cautions = [caution('LINE', 'One hand.', true), caution('SERIES', 'Clips on, power off.')]
    const mounted = told({ safety: safe(cautions, { ended: ['Covers back.'], afterwards: ['Meter out.'] }) })
    expect(mounted.get('[data-test=ended]').text()).toBe('First: Covers back.')
    expect(mounted.findAll('[data-test=caution]').map((c) => c.text())).toEqual(['Clips on, power off.'])
    expect(mounted.get('[data-test=still]').text()).toContain('Still: line')
    expect(mounted.get('[data-test=afterwards]').text()).toContain('Meter out.')
    await mounted.get('[data-test=still]').trigger('click')
    expect(mounted.findAll('[data-test=caution]').map((c) => c.text())).toEqual(['One hand.', 'Clips on, power off.'])
  })

  it('says to whoever lacks a licence whom to call, and that an outcome ends the work', async () => {
    const gas = { licence: 'GAS', label: 'gas license', mine: false, needed: 'Needs a gas license: call Odile.' }
    serve({ '/api/licences': [gas, { ...gas, licence: 'REFRIGERANT', mine: true, needed: 'not said' }] })
    const outcomes = [{ expected: 'yes', probability: 0.1, suspects: [], nominal: false, ends: 'stops the work: gas' }]
    const mounted = told({ safety: safe([], { needs: ['GAS', 'REFRIGERANT'] }), outcomes })
    await flushPromises()
    expect(mounted.findAll('[data-test=needs]').map((n) => n.text())).toEqual(['Needs a gas license: call Odile.'])
    expect(mounted.get('.outcomes').text()).toContain('stops the work: gas')
  })

  it('says why by a tap or a key: the plan where there is one, else what each reading would mean', async () => {
    serve({ '/api/visits/v/plan': [] })
    const mounted = told()
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'w', bubbles: true }))
    await flushPromises()
    expect(mounted.get('[data-test=why-list]').text()).toContain('27 V (70%): igniter, board, wire')
    expect(mounted.get('[data-test=why-list]').text()).toContain('not known yet; take it again')
    await mounted.setProps({ test: test('b') })
    expect(mounted.find('[data-test=why-list]').exists(), 'another test is another why').toBe(false)
    serve({
      '/api/visits/v/plan': [
        { expected: '27 V', probability: 0.6, next: line('b'), suspects: ['igniter'] },
        { expected: 'about 0', probability: 0.3, next: null, suspects: ['fuse'] },
        { expected: 'between', probability: 0.1, next: null, suspects: [] },
      ],
    })
    const planned = told()
    await planned.get('[data-test=why]').trigger('click')
    await flushPromises()
    expect(
      planned
        .getComponent(PlanTree)
        .findAll('.then')
        .map((then) => then.text()),
    ).toEqual([
      expect.stringMatching(/^then Measure b\..*heating · 1 min.*leaves igniter$/),
      expect.stringMatching(/^then it is clear.*leaves fuse$/),
      'then measure again',
    ])
  })

  it('offers other tests, and the way back', async () => {
    const mounted = told({}, { chosen: true })
    await mounted.get('[data-test=other]').trigger('click')
    expect(mounted.get('.others button span').text()).toBe('Measure b. AC volts · heating')
    await mounted.findAll('.others button')[1]!.trigger('click')
    expect(mounted.emitted('choose')).toEqual([['c']])
    await mounted
      .findAll('button')
      .find((button) => button.text() === 'Back to the next test')!
      .trigger('click')
    expect(mounted.emitted('proposed')).toHaveLength(1)
  })

  it('starts the clock of a change that the test needs', async () => {
    const mounted = told({ change: 'jumper R to W' })
    await mounted.get('[data-test=change-in]').trigger('click')
    expect(mounted.emitted('change')).toHaveLength(1)
    expect(told().find('[data-test=change-in]').exists()).toBe(false)
  })
})

describe('both ends of a cable', () => {
  const end = (label: string, reading: string | null) => ({ label, reading, due: '27 V', colour: 'white' })

  it('stand beside each other, and a difference is said in words', async () => {
    const conductor = (name: string, differs: boolean) => ({
      conductor: name,
      momentLabel: 'heating',
      differs,
      near: end('W', '27 V'),
      far: end('W at the board', differs ? '0 V' : null),
    })
    serve({
      '/api/visits/v/cables': [
        { from: 'thermostat', to: 'board', conductors: [conductor('w', true), conductor('y', false)] },
      ],
    })
    const mounted = shown(CableTable)
    await flushPromises()
    const rows = mounted.findAll('tbody tr')
    expect(rows[0]!.classes()).toContain('differs')
    expect(rows[0]!.get('.word').text()).toBe('differs')
    expect(rows[1]!.find('.word').exists()).toBe(false)
    expect(rows[1]!.findAll('.read').map((read) => read.text())).toEqual(['27 V', '—'])
  })

  it('are not there where the unit has no cable, or nobody knows', async () => {
    serve({ '/api/visits/v/cables': () => json({ detail: 'away' }, 503) })
    const mounted = shown(CableTable)
    await flushPromises()
    expect(mounted.find('[data-test=cable]').exists()).toBe(false)
  })
})
