import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { json, serve, shown } from '../testing'
import LoginInPlace from './LoginInPlace.vue'
import VisitView from './VisitView.vue'

const visit = {
  closedAt: null,
  openedAt: null,
  newerPack: null,
  earlier: [],
  twins: [],
  twinsSaid: {},
  unit: { dangers: [] },
  raw: [],
  job: { id: 'v', site: 'Dairy', unit: 'Furnace', complaint: 'no heat', state: 'PLANNED', verdict: null },
  page: { entries: 0, log: [], changes: [], stops: [] },
}
const at = '/api/visits/v'

async function opened(answer: unknown, more: Record<string, unknown> = {}) {
  const came = serve({ '/api/me': { login: 'ines', name: 'Ines' }, [at]: answer, ...more })
  const page = shown(VisitView, { props: { id: 'v' }, stubs: { KeyHelp: true, RouterView: true } })
  await flushPromises()
  return { page, came }
}

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a visit', () => {
  it('stands under its complaint, with its steps in their order', async () => {
    const { page } = await opened(visit)
    expect(page.get('.complaint').text()).toBe('no heat')
    const told = page.findAll('.steps a').map((step) => {
      step.findAll('.short').forEach((short) => short.element.remove())
      return step.text()
    })
    expect(told).toEqual(['1 Before power', '2 Power and call', '3 Work', '4 Verdict', '5 Prove'])
    expect(page.find('[data-test=outbox]').exists()).toBe(false)
  })

  it('says how far a unit is that is being made ready, and goes on by itself', async () => {
    vi.useFakeTimers()
    let answer = () => json({ detail: 'It is being made ready.', progress: 0.4 }, 503)
    const { page } = await opened(() => answer())
    expect(page.get('[role=status]').text()).toContain('Preparing this unit, 40%')
    expect(page.get('.track i').attributes('style')).toContain('40%')
    answer = () => json(visit)
    await vi.advanceTimersByTimeAsync(1100)
    expect(page.get('.complaint').text()).toBe('no heat')
  })

  it('that belongs to somebody else is not there', async () => {
    const { page } = await opened(() => json({ detail: 'none' }, 404))
    expect(page.text()).toContain('Not one of your visits')
  })

  it('that cannot be fetched says why, and is asked for again', async () => {
    let answer = () => json({ detail: 'The address is wrong.' }, 400)
    const { page } = await opened(() => answer())
    expect(page.get('[role=alert]').text()).toBe('The address is wrong.')
    answer = () => json(visit)
    await page.get('button').trigger('click')
    await flushPromises()
    expect(page.get('.complaint').text()).toBe('no heat')
  })

  it('that no longer can be computed shows what was written', async () => {
    const { page } = await opened({
      ...visit,
      page: null,
      unit: null,
      job: { ...visit.job, verdict: 'igniter open' },
      raw: [{ id: 'e', madeAt: 0, kind: 'READING', text: 'ohms-igniter OL' }],
    })
    expect(page.get('[data-test=raw]').text()).toContain('igniter open')
    expect(page.get('[data-test=raw] li').text()).toContain('READING ohms-igniter OL')
  })

  it('asks for the login on the spot, for itself and for what is fetched beside it', async () => {
    let answer = () => json({ detail: 'You are not logged in.' }, 401)
    const { page } = await opened(() => answer(), { '/api/login': () => new Response(null, { status: 204 }) })
    expect(page.findComponent(LoginInPlace).exists()).toBe(true)
    expect(page.text()).not.toContain('cannot be fetched')
    answer = () => json(visit)
    await page.getComponent(LoginInPlace).get('form').trigger('submit')
    await flushPromises()
    expect(page.findComponent(LoginInPlace).exists()).toBe(false)
    expect(page.get('.complaint').text()).toBe('no heat')
  })

  it('shows what is still in the unit with its clock, and takes it out', async () => {
    vi.useFakeTimers({ now: 1_000_000, toFake: ['Date', 'setInterval', 'clearInterval'] })
    const sent: unknown[] = []
    const changes = [{ id: 'c', what: 'jumper R to W', since: 1_000_000 - 65_000 }]
    const { page } = await opened(
      { ...visit, page: { ...visit.page, changes } },
      {
        [`${at}/log`]: async (request: Request) => {
          sent.push(await request.json())
          return json({ page: visit.page, twins: {} })
        },
      },
    )
    expect(page.get('[data-test=changes]').text()).toContain('jumper R to W')
    expect(page.get('[data-test=changes] .num').text()).toBe('1:05')
    await page.get('[data-test=change-out]').trigger('click')
    await vi.waitFor(() => expect(page.find('[data-test=changes]').exists()).toBe(false))
    expect(sent).toEqual([expect.objectContaining({ kind: 'CHANGE_OUT', supersedes: 'c' })])
  })
})
