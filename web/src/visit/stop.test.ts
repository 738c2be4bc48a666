import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'
import NewJobView from '../jobs/NewJobView.vue'
import PeopleList from '../policy/PeopleList.vue'
import { json, router, serve, shown } from '../testing'
import DangerList from './DangerList.vue'
import StopPanel from './StopPanel.vue'
import TemporaryChange from './TemporaryChange.vue'

const gas = {
  finding: 'GAS_SMELL',
  what: 'Gas leak or smell of gas',
  now: ['Touch no switch.', 'Everybody out now.'],
  call: 'Gas supplier.',
  never: 'No test.',
  until: 'Leak named.',
  licence: 'gas license',
  leadMay: false,
  left: false,
  at: 0,
}

const panel = (handle = {}) => {
  serve({ '/api/me': { login: 'ines', name: 'Ines', role: 'TECHNICIAN' } })
  return shown(StopPanel, { handle: { page: computed(() => ({ entries: 1, stops: [gas] })), ...handle } })
}

afterEach(() => vi.unstubAllGlobals())

describe('a stop', () => {
  it('says what it is, what to do in order, whom to call and what not to do', () => {
    const page = panel()
    expect(page.get('h1').text()).toBe('Gas leak or smell of gas')
    expect(page.findAll('.now li').map((l) => l.text())).toEqual(['Touch no switch.', 'Everybody out now.'])
    expect(page.text()).toContain('Gas supplier.')
    expect(page.text()).toContain('No test.')
  })

  it('is lifted by what was done, on the record', async () => {
    const add = vi.fn().mockResolvedValue(true)
    const page = panel({ add })
    await page.get('[data-test=lift]').trigger('click')
    expect(page.text()).toContain('current gas license')
    expect(page.get('[data-test=lift-send]').attributes('disabled')).toBeDefined()
    await page.get('#done').setValue('Union tightened, leak solution quiet, instrument 0')
    await page.get('[data-test=lift-form]').trigger('submit')
    expect(add).toHaveBeenCalledWith({
      kind: 'LIFTED',
      finding: 'GAS_SMELL',
      done: 'Union tightened, leak solution quiet, instrument 0',
    })
  })

  it('ends in a unit that is shut off and tagged, with whoever was told', async () => {
    const add = vi.fn().mockResolvedValue(true)
    const close = vi.fn().mockResolvedValue(undefined)
    const page = panel({ add, close })
    await page.get('[data-test=tag]').trigger('click')
    await page.get('#told').setValue('Mrs. Holm')
    await page.get('#risk').setValue('pipes may freeze')
    await page.get('[data-test=tag-form]').trigger('submit')
    await flushPromises()
    expect(add).toHaveBeenCalledWith({ kind: 'TAGGED', told: 'Mrs. Holm', signed: true, risk: 'pipes may freeze' })
    expect(close).toHaveBeenCalledWith('SHUT_OFF', gas.what)
    expect(router.push).toHaveBeenCalledWith({ name: 'report', params: { id: 'v' } })
  })

  it('offers nothing on a closed visit', () => {
    const page = panel({ visit: ref({ closedAt: '2026-11-26', job: { id: 'v' } }) })
    expect(page.find('[data-test=tag]').exists()).toBe(false)
    expect(page.find('[data-test=lift]').exists()).toBe(false)
  })
})

describe('danger', () => {
  it('is told at any time, out of what may be found at the unit', async () => {
    const add = vi.fn().mockResolvedValue(true)
    const unit = ref({ dangers: [{ finding: 'CO_ROOM', what: 'Carbon monoxide in the room' }] })
    const page = shown(DangerList, { handle: { unit, add } })
    await page.get('[data-test=danger-CO_ROOM]').trigger('click')
    expect(page.emitted('done')).toHaveLength(1)
    expect(add).toHaveBeenCalledWith({ kind: 'STOPPED', finding: 'CO_ROOM' })
  })
})

describe('a temporary change', () => {
  it('is chosen from what the circuit allows', async () => {
    serve({
      '/api/visits/v/changes': [
        { id: 'off.P4', what: 'P4 inducer plug off' },
        { id: 'call.R.W', what: 'Jumper from R to W, to call' },
      ],
    })
    const add = vi.fn().mockResolvedValue(true)
    const page = shown(TemporaryChange, { handle: { add } })
    await flushPromises()
    await page.get('#change-what').setValue('p4')
    expect(page.findAll('[data-test=changes-allowed] button').map((b) => b.text())).toEqual(['P4 inducer plug off'])
    await page.get('[data-test=changes-allowed] button').trigger('click')
    expect(add).toHaveBeenCalledWith({ kind: 'CHANGE_IN', test: 'off.P4' })
    await page.get('#change-what').setValue('rollout')
    expect(page.text()).toContain('Nothing matches.')
  })
})

describe('a complaint that tells of danger', () => {
  const sites = [
    { id: 's', name: 'Dairy', address: 'Low Meadow', units: [{ id: 'u', label: 'Furnace', location: 'cellar' }] },
  ]

  it('is read to the caller before the job is made', async () => {
    const came = serve((request) => {
      const path = new URL(request.url).pathname
      if (path === '/api/sites') return json(sites)
      return json(
        { detail: 'The complaint tells of danger.', caller: ['Everybody out now.'], call: ['Gas supplier.'] },
        409,
      )
    })
    const page = shown(NewJobView)
    await flushPromises()
    await page.get('[data-test=unit-u]').trigger('click')
    await page.get('#complaint').setValue('it smells of gas')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(page.get('[data-test=caller]').text()).toContain('Everybody out now.')
    await page.get('[data-test=caller-told]').trigger('click')
    await flushPromises()
    expect(((await came.at(-1)!.json()) as { danger: string }).danger).toBe('CALLER_TOLD')
  })
})

describe('people and licenses', () => {
  it('are shown with what has ended, and added to', async () => {
    const people = [
      {
        login: 'ines',
        name: 'Ines',
        role: 'TECHNICIAN',
        qualifications: [
          { id: 'q', licence: 'GAS', number: 'SK-1', region: 'Skerrow', until: '2026-11-29', current: false },
        ],
      },
      { login: 'tobin', name: 'Tobin', role: 'TECHNICIAN', qualifications: [] },
    ]
    const gas = { licence: 'GAS', label: 'gas license', mine: false, needed: '' }
    const came = serve((request) =>
      json(request.method !== 'GET' ? people[0] : new URL(request.url).pathname === '/api/licences' ? [gas] : people),
    )
    const page = shown(PeopleList)
    await flushPromises()
    expect(page.get('[data-test=person-ines]').text()).toContain('gas license SK-1, Skerrow, ended 2026-11-29')
    expect(page.get('[data-test=person-tobin]').text()).toContain('no license on file')
    await page.get('#person').setValue('tobin')
    await page.get('#licence-number').setValue('SK-2')
    await page.get('#region').setValue('Skerrow')
    await page.get('#until').setValue('2027-11-30')
    await page.get('form').trigger('submit')
    await flushPromises()
    const sent = came.find((r) => r.method === 'POST')!
    expect(new URL(sent.url).pathname).toBe('/api/people/tobin/qualifications')
    expect(await sent.json()).toEqual({ licence: 'GAS', number: 'SK-2', region: 'Skerrow', until: '2027-11-30' })
  })
})
