import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'
import { json, serve, shown } from '../testing'
import ChangeView from './ChangeView.vue'
import LendPart from './LendPart.vue'
import PhotoStrip from '../visit/PhotoStrip.vue'
import SwitchBank from './SwitchBank.vue'

const add = vi.fn()
const twin = { id: 't', label: 'Furnace 2', location: 'loft' }
const change = {
  board: 'control',
  boards: [
    { part: 'control', label: 'ignition board' },
    { part: 'blower', label: 'blower board' },
  ],
  blocked: null,
  cautions: ['Power off, and prove it.', 'Touch the cabinet first.'],
  terminals: [],
  plate: [],
  spares: [],
  switches: [],
  differences: [],
  problems: [],
  map: [],
}
const photo = { id: 'p', label: 'Plug', width: 40, height: 30, onReport: true }
const visit = (more = {}) => ref({ closedAt: null, twins: [], job: { id: 'v' }, ...more })
const log = (...lines: unknown[]) => computed(() => ({ entries: 1, log: lines }))

beforeEach(() => add.mockReset())
afterEach(() => vi.unstubAllGlobals())

describe('changing a board', () => {
  const below = '/api/visits/v'
  const laid = async (more = {}) => {
    const came = serve({
      [`${below}/new-boards`]: [{ name: 'other', title: 'Another board' }],
      [`${below}/change-out`]: { ...change, ...more },
      [`${below}/photos`]: [],
    })
    const page = shown(ChangeView, { handle: { add } })
    await flushPromises()
    return { page, came }
  }
  const last = (came: Request[]) =>
    new URL(came.filter((one) => one.url.includes('change-out')).at(-1)!.url).searchParams

  it('begins with its cautions and the board that is blamed', async () => {
    const { page } = await laid()
    expect(page.get('h1').text()).toBe('Changing the ignition board')
    expect(page.get('.caution').text()).toBe('Power off, and prove it.')
    expect(page.get('.rules').text()).toBe('Touch the cabinet first.')
    expect(page.find('[data-test=blocked]').exists()).toBe(false)
  })

  it('waits until the cause is gone', async () => {
    const { page } = await laid({ blocked: 'two supplies have met' })
    expect(page.get('[data-test=blocked]').text()).toBe('two supplies have met')
  })

  it('is laid out anew for another board, out or in', async () => {
    const { page, came } = await laid()
    await page.get('label select').setValue('blower')
    await flushPromises()
    expect(last(came).get('part')).toBe('blower')
    await page.get('[data-test=new-board]').setValue('other')
    await flushPromises()
    expect(last(came).get('board')).toBe('other')
    expect(page.find('h1').exists(), 'the last one stands meanwhile').toBe(true)
  })

  it('says what is wrong with the map', async () => {
    const { page } = await laid({ problems: ['brown is on two terminals'] })
    expect(page.get('[role=alert]').text()).toBe('brown is on two terminals.')
  })
})

describe('the photographs', () => {
  const at = '/api/visits/v/photos'

  it('are taken one after the other under what is on them, and listed', async () => {
    const kept: unknown[] = []
    const came = serve((request) => {
      if (request.method === 'PUT') kept.push({ ...photo, id: `p${kept.length}` })
      return json(request.method === 'PUT' ? photo : kept)
    })
    const page = shown(PhotoStrip, { props: { closed: false } })
    await flushPromises()
    expect(page.text()).toContain('No photograph yet.')
    await page.get('[aria-label="What is on the photograph"]').setValue(' Plug 4 ')
    const input = page.get<HTMLInputElement>('[data-test=photo]')
    const files = ['a.png', 'b.png'].map((name) => new File(['x'], name, { type: 'image/png' }))
    Object.defineProperty(input.element, 'files', { value: files })
    await input.trigger('change')
    await flushPromises()
    const sent = came.filter((request) => request.method === 'PUT')
    expect(sent.map((request) => new URL(request.url).searchParams.get('label'))).toEqual(['Plug 4', 'Plug 4'])
    expect(new Set(sent.map((request) => request.url)).size).toBe(2)
    expect(page.findAll('li')).toHaveLength(2)
    expect(page.get('img').attributes('alt')).toBe('Plug')
  })

  it('that are refused say why', async () => {
    serve((request) =>
      request.method === 'PUT' ? json({ detail: 'That is a PDF. Take a photograph.' }, 415) : json([]),
    )
    const page = shown(PhotoStrip, { props: { closed: false } })
    await flushPromises()
    const input = page.get<HTMLInputElement>('[data-test=photo]')
    Object.defineProperty(input.element, 'files', { value: [new File(['%PDF'], 'a.pdf')] })
    await input.trigger('change')
    await flushPromises()
    expect(page.get('[role=alert]').text()).toBe('That is a PDF. Take a photograph.')
  })

  it('are left off the report by a tap', async () => {
    const came = serve({ [at]: [photo], [`${at}/p/on-report`]: {} })
    const page = shown(PhotoStrip, { props: { closed: false } })
    await flushPromises()
    await page.get('input[type=checkbox]').trigger('change')
    await flushPromises()
    const asked = came.find((request) => request.url.includes('on-report'))!
    expect(new URL(asked.url).searchParams.get('wanted')).toBe('false')
  })

  it('are twenty at most, and only looked at once the visit is closed', async () => {
    serve({ [at]: Array.from({ length: 20 }, (_, i) => ({ ...photo, id: `p${i}` })) })
    const full = shown(PhotoStrip, { props: { closed: false } })
    const closed = shown(PhotoStrip, { props: { closed: true } })
    await flushPromises()
    expect(full.find('[data-test=photo]').exists()).toBe(false)
    expect(closed.find('input').exists()).toBe(false)
    expect(closed.findAll('li')).toHaveLength(20)
  })

  it('are not said to be none before anybody knows', async () => {
    serve({ [at]: () => json({ detail: 'away' }, 503) })
    const page = shown(PhotoStrip, { props: { closed: false } })
    await flushPromises()
    expect(page.text()).not.toContain('No photograph yet.')
  })
})

describe('the bank of switches', () => {
  it('shows each position, filled where it was found, and says what nobody wrote down', () => {
    const bank = shown(SwitchBank, {
      props: {
        switches: [
          { setting: 'off', label: 'Off delay', positions: ['60 s', '90 s'], found: '90 s' },
          { setting: 'tap', label: 'Tap', positions: ['low', 'high'], found: null },
        ],
      },
    })
    expect(bank.findAll('.found').map((one) => one.text())).toEqual(['90 s'])
    expect(bank.findAll('.switch')[1]!.text()).toContain('Its settings were not recorded.')
    expect(bank.findAll('.switch')[0]!.text()).not.toContain('Nobody')
  })

  it('is not there on a board without switches', () => {
    expect(
      shown(SwitchBank, { props: { switches: [] } })
        .find('.bank')
        .exists(),
    ).toBe(false)
  })
})

describe('a part lent by the unit beside it', () => {
  const repairs = { '/api/visits/v/repairs': [{ part: 'igniter', label: 'igniter' }] }

  it('is written down with its unit, and given back', async () => {
    serve(repairs)
    const lent = { id: 'e', kind: 'LENT', counts: true, found: 'igniter of Furnace 2' }
    const page = shown(LendPart, {
      props: { closed: false },
      handle: { add, visit: visit({ twins: [twin] }), page: log(lent, { ...lent, id: 'f', counts: false }) },
    })
    await flushPromises()
    expect(page.findAll('.lent')).toHaveLength(1)
    await page.get('.lent button').trigger('click')
    expect(add).toHaveBeenLastCalledWith({ kind: 'GIVEN_BACK', supersedes: 'e' })
    await page.get('[aria-label="Which part"]').setValue('igniter')
    await page.get('[aria-label="From which unit"]').setValue('t')
    await page.get('form').trigger('submit')
    expect(add).toHaveBeenLastCalledWith({ kind: 'LENT', part: 'igniter', unit: 't' })
  })

  it('is not offered where there is no other unit, or the visit is closed', async () => {
    serve(repairs)
    const alone = shown(LendPart, { props: { closed: false }, handle: { add } })
    const closed = shown(LendPart, { props: { closed: true }, handle: { add, visit: visit({ twins: [twin] }) } })
    await flushPromises()
    expect(alone.find('section').exists()).toBe(false)
    expect(closed.find('section').exists()).toBe(false)
  })
})
