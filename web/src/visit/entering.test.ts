import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { computed, ref, type Component } from 'vue'
import * as client from '../api/client'
import type { VisitHandle } from '../api/useVisit'
import CallPanel from './CallPanel.vue'
import FreeReading from './FreeReading.vue'
import { visitKey } from './handle'
import { scaleOf } from './scale'
import LogList from './LogList.vue'
import LoginInPlace from './LoginInPlace.vue'
import PackNews from './PackNews.vue'
import ReadingPad from './ReadingPad.vue'

vi.mock('../api/client', () => ({ api: { GET: vi.fn() }, answer: vi.fn(), logIn: vi.fn() }))

const reading = { id: 'v.HLI', reading: true, canReadOpen: false, unit: 'V AC', outcomes: [] as unknown[] }
const pad = (test = {}, more = {}) =>
  mount(ReadingPad, {
    props: { test: { ...reading, ...test } as never, problem: null, busy: false, ...more },
    attachTo: document.body,
  })
const typeOn = async (name: string) => {
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }))
  await flushPromises()
}

function within(component: Component, handle: Partial<Record<keyof VisitHandle, unknown>>, props = {}) {
  return mount(component, {
    props,
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]],
      provide: { [visitKey as symbol]: { problem: ref(null), visit: ref({ closedAt: null }), ...handle } },
      stubs: { TemporaryChange: true },
    },
  })
}

afterEach(() => {
  document.body.innerHTML = ''
})

describe('the scale of the meter', () => {
  const outcome = (expected: string, from: number, to: number, more = {}) => ({
    expected,
    probability: 0.5,
    nominal: false,
    suspects: [],
    ends: '',
    band: { from, to, open: false },
    ...more,
  })

  it('has a band for each thing that may be read, and OL where that may be', () => {
    const scale = scaleOf([
      outcome('27 V', 26, 28, { nominal: true }),
      outcome('0 V', -0.2, 0.2),
      outcome('OL', 0, 0, { band: { from: 0, to: 0, open: true } }),
    ])!
    expect(scale.bars).toHaveLength(2)
    expect(scale.bars[0]!.at).toBeGreaterThan(scale.bars[1]!.at + scale.bars[1]!.wide)
    expect(scale.bars[1]!.wide, 'narrow, and still to be seen').toBeGreaterThanOrEqual(1.5)
    expect(scale.open!.expected).toBe('OL')
    expect(scale.place(27)).toBeGreaterThan(scale.bars[0]!.at)
    expect(scale.place(27)).toBeLessThan(scale.bars[0]!.at + scale.bars[0]!.wide)
  })

  it('is none where nothing is a number, and holds what is typed far beyond it', () => {
    expect(scaleOf([outcome('yes', 0, 0, { band: undefined })])).toBeUndefined()
    expect(scaleOf([outcome('27 V', 26, 28)])!.place(1e6)).toBe(100)
  })

  it('moves its mark as a reading is typed', async () => {
    const page = pad({ outcomes: [outcome('27 V', 26, 28, { nominal: true })] })
    expect(page.find('[data-test=mark]').exists()).toBe(false)
    await typeOn('2')
    const first = page.get('[data-test=mark]').attributes('style')
    await typeOn('7')
    expect(page.get('[data-test=mark]').attributes('style')).not.toBe(first)
  })
})

describe('the pad', () => {
  it('types by its keys and by the keyboard, and takes with Enter', async () => {
    const page = pad()
    await page
      .findAll('button')
      .find((b) => b.text() === '2')!
      .trigger('click')
    await typeOn('7')
    await typeOn('.')
    await typeOn('6')
    expect(page.get('[data-test=display]').text()).toContain('27.6')
    await typeOn('Enter')
    expect(page.emitted('take')).toEqual([['27.6']])
    page.unmount()
  })

  it('has nothing to take before something is typed', async () => {
    const page = pad()
    await typeOn('Enter')
    expect(page.emitted('take')).toBeUndefined()
    expect(page.get('[data-test=take]').attributes('disabled')).toBeDefined()
    page.unmount()
  })

  it('reads open only where the meter can', async () => {
    const page = pad()
    await typeOn('o')
    expect(page.get('[data-test=display]').text()).not.toContain('OL')
    await page.setProps({ test: { ...reading, canReadOpen: true } as never })
    await typeOn('o')
    expect(page.get('[data-test=display]').text()).toContain('OL')
    await typeOn('5')
    expect(page.get('[data-test=display]').text()).toContain('5')
    page.unmount()
  })

  it('forgets what was typed when another test is next', async () => {
    const page = pad()
    await typeOn('9')
    await page.setProps({ test: { ...reading, id: 'v.R' } as never })
    expect(page.get('[data-test=display]').text()).toContain('– – –')
    page.unmount()
  })

  it('answers a check with Y and N, and leaves shortcuts of the browser alone', async () => {
    const page = pad({ reading: false })
    await typeOn('y')
    await typeOn('N')
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'y', ctrlKey: true, bubbles: true }))
    expect(page.emitted('answer')).toEqual([[true], [false]])
    page.unmount()
  })
})

describe('the login in place', () => {
  const login = () => {
    const page = within(LoginInPlace, {}, { waiting: 2 })
    return page
  }

  it('says how much is kept, and goes on when it is in', async () => {
    vi.mocked(client.logIn).mockResolvedValueOnce(undefined as never)
    const page = login()
    expect(page.text()).toContain('2 kept on this device')
    await page.get('#again-username').setValue(' ines ')
    await page.get('#again-password').setValue('skerrow')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(client.logIn).toHaveBeenCalledWith('ines', 'skerrow')
    expect(page.emitted('done')).toHaveLength(1)
  })

  it('stays and says why when the password is wrong', async () => {
    vi.mocked(client.logIn).mockRejectedValueOnce(new Error('Login or password is wrong.'))
    const page = login()
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toContain('wrong')
    expect(page.emitted('done')).toBeUndefined()
  })
})

describe('any other reading', () => {
  const unit = {
    modes: [
      { mode: 'AC_VOLTS', label: 'AC volts', unit: 'V AC' },
      { mode: 'OHMS', label: 'ohms', unit: 'ohm' },
    ],
    moments: [{ id: 'purge', label: 'inducer running' }],
    points: [
      { net: 'R', label: 'R', against: 'C' },
      { net: 'C', label: 'C', against: 'R' },
    ],
  }

  it('leaves the usual second point to the server, and empties only when it was taken', async () => {
    const add = vi.fn().mockResolvedValueOnce(false).mockResolvedValueOnce(true)
    const page = within(FreeReading, { add }, { unit, picked: 'R' })
    expect(page.get('#free-black').text()).toContain('C, as usual')
    await page.get('#free-reading').setValue('24.1')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(add.mock.calls[0]![0]).toMatchObject({ kind: 'FREE_READING', red: 'R', reading: '24.1' })
    expect(add.mock.calls[0]![0].black).toBeUndefined()
    expect((page.get('#free-reading').element as HTMLInputElement).value).toBe('24.1')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect((page.get('#free-reading').element as HTMLInputElement).value).toBe('')
    expect(page.emitted('taken')).toHaveLength(1)
  })

  it('shows the unit of the meter that is chosen', async () => {
    const page = within(FreeReading, { add: vi.fn() }, { unit, picked: null })
    await page.get('#free-mode').setValue('OHMS')
    expect(page.text()).toContain('Reading, ohm')
  })
})

describe('a newer pack', () => {
  it('says what differs when asked, and goes over only when asked', async () => {
    const goOver = vi.fn().mockRejectedValueOnce(new Error('The database is away.'))
    const page = within(PackNews, { goOver }, { differences: [{ section: 'tests', name: 'ohms-glow', kind: 'ADDED' }] })
    expect(page.text()).not.toContain('ohms-glow')
    await page.findAll('button')[0]!.trigger('click')
    expect(page.text()).toContain('tests: ohms-glow new')
    expect(goOver).not.toHaveBeenCalled()
    await page.get('[data-test=go-over]').trigger('click')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toContain('database is away')
  })

  it('is not told of a closed visit', () => {
    const page = within(PackNews, { visit: ref({ closedAt: '2026-11-26' }), goOver: vi.fn() }, { differences: [] })
    expect(page.find('[data-test=pack-news]').exists()).toBe(false)
  })
})

describe('the call', () => {
  const call = {
    label: 'jumper',
    order: 'POWER_THEN_CALL',
    why: 'it needs some seconds',
    from: 'R',
    to: 'W',
    hold: '',
    change: 'call.R.W',
    changed: 'Jumper from R to W',
    starts: 'inducer after 1 s',
  }
  const panel = (changes: { what: string }[], closedAt: string | null, add = vi.fn()) =>
    within(CallPanel, {
      visit: ref({ closedAt }),
      page: computed(() => ({ changes })),
      unit: ref({
        calls: [call, { ...call, label: 'Jumper from R to G', change: null, starts: 'blower after 1 s' }],
        keys: [{ done: 'test button held', starts: 'motor after 1 s' }],
        lamps: [
          {
            chart: [
              { pattern: '7 flashes', says: '7 flashes', condition: 'lockout', leaves: 'It stays.' },
              { pattern: '3 flashes', says: '3 flashes', condition: 'limit open' },
            ],
          },
        ],
      }),
      add,
    })

  it('is put in on the record, once', async () => {
    const add = vi.fn()
    await panel([], null, add).get('[data-test=call-in]').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'CHANGE_IN', test: 'call.R.W' })
    expect(
      panel([{ what: 'Jumper from R to W' }], null)
        .find('[data-test=call-in]')
        .exists(),
    ).toBe(false)
    expect(panel([], '2026-11-26').find('[data-test=call-in]').exists()).toBe(false)
  })

  it('tells what starts by each call alone, by a key, and how a lockout is left', () => {
    const page = panel([], null)
    expect(page.findAll('[data-test=one-call]').map((c) => c.text())).toEqual([
      expect.stringContaining('inducer after 1 s'),
      expect.stringContaining('blower after 1 s'),
    ])
    expect(page.get('[data-test=keys]').text()).toContain('test button held')
    expect(page.get('[data-test=leaving]').text()).toContain('7 flashes: lockout.')
    expect(page.get('[data-test=leaving]').text()).not.toContain('3 flashes')
  })

  it('is told in its order, with its caution', () => {
    const page = panel([], null)
    expect(page.findAll('.order li').map((li) => li.text())).toEqual(['Power on', 'then the call'])
    expect(page.get('.caution').text()).toContain('never bypassed')
  })
})

describe('the log', () => {
  const entry = (id: string, more = {}) => ({
    id,
    kind: 'READING',
    madeAt: 1764115200000,
    what: `test ${id}`,
    found: '24 V',
    judgement: '',
    counts: true,
    correctable: true,
    ...more,
  })

  it('stands newest first, without what only took something back', () => {
    const log = [entry('a', { counts: false }), entry('t', { kind: 'TAKE_BACK' }), entry('b')]
    const page = within(LogList, { add: vi.fn() }, { log, closed: false })
    expect(page.findAll('.what').map((w) => w.text())).toEqual(['test b', 'test a'])
    expect(page.findAll('[data-test=take-back]')).toHaveLength(1)
  })

  it('keeps a correction open until it was taken', async () => {
    const add = vi.fn().mockResolvedValueOnce(false).mockResolvedValueOnce(true)
    const page = within(LogList, { add }, { log: [entry('a')], closed: false })
    await page
      .findAll('button')
      .find((b) => b.text() === 'correct')!
      .trigger('click')
    await page.get('input').setValue('0.1')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'CORRECTION', reading: '0.1', supersedes: 'a' })
    expect(page.find('form').exists()).toBe(true)
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.find('form').exists()).toBe(false)
  })

  it('of a closed visit is only read', () => {
    const page = within(LogList, { add: vi.fn() }, { log: [entry('a')], closed: true })
    expect(page.findAll('button')).toHaveLength(0)
  })
})
