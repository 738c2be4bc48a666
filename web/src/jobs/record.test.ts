import { flushPromises, RouterLinkStub } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { json, router, serve, shown } from '../testing'
import JobsView from './JobsView.vue'
import RecordView from './RecordView.vue'

const job = {
  id: 'v7',
  number: 7,
  site: 'Dairy',
  unit: 'Furnace',
  location: 'closet',
  complaint: 'no heat',
  state: 'CLOSED',
  scheduledOn: '2026-03-04',
  technician: 'Ines',
  verdict: 'igniter open',
}
const query = (request: Request) => new URL(request.url).searchParams.get('query')
/** Waits until the pause in typing is over. */
const rested = () => vi.advanceTimersByTimeAsync(300).then(flushPromises)

beforeEach(() => vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.clearAllMocks()
})

describe('the search over the record', () => {
  it('asks once when the typing rests, and keeps the words in the address', async () => {
    const came = serve({ '/api/me': { role: 'TECHNICIAN' }, '/api/visits': [job] })
    const page = shown(RecordView)
    await rested()
    expect(page.text()).toContain('Every visit is kept.')
    for (const typed of ['d', 'da', ' dairy ']) await page.get('#query').setValue(typed)
    await rested()
    expect(came.filter((request) => request.url.includes('/api/visits')).map(query)).toEqual(['dairy'])
    expect(router.replace).toHaveBeenLastCalledWith({ query: { query: 'dairy' } })
    expect(page.get('.jobs').text()).toContain('Dairy')
    expect(page.get('.by').text()).toContain('2026-03-04')
    expect(page.get('.by').text()).toContain('igniter open')
  })

  it('begins with the words of the address, and says when no visit has them', async () => {
    serve({ '/api/me': { role: 'TECHNICIAN' }, '/api/visits': [] })
    const page = shown(RecordView, { query: { query: 'walrus' } })
    await rested()
    expect(page.text()).toContain('No visit says “walrus”.')
    await page.get('#query').setValue('')
    await rested()
    expect(router.replace).toHaveBeenLastCalledWith({ query: {} })
  })

  it('says why nothing could be looked up', async () => {
    serve({ '/api/me': { role: 'TECHNICIAN' }, '/api/visits': () => json({ detail: 'Too short.' }, 422) })
    const page = shown(RecordView, { query: { query: 'x' } })
    await rested()
    expect(page.get('[role=alert]').text()).toBe('Too short.')
  })
})

describe('a visit from elsewhere', () => {
  async function brought(text: string, answer: () => Response) {
    serve({ '/api/me': { role: 'LEAD' }, '/api/visits/import': answer })
    const page = shown(RecordView)
    await rested()
    const input = page.get<HTMLInputElement>('input[type=file]')
    Object.defineProperty(input.element, 'files', { value: [new File([text], 'visit.json')] })
    await input.trigger('change')
    await rested()
    return page
  }

  it('is for the lead', async () => {
    serve({ '/api/me': { role: 'TECHNICIAN' } })
    const page = shown(RecordView)
    await rested()
    expect(page.find('input[type=file]').exists()).toBe(false)
  })

  it('is taken in, and can be opened', async () => {
    const page = await brought('{"schema": 1}', () => json({ id: 'v9', entries: 12, closed: true, left: [] }))
    expect(page.get('[role=status]').text()).toContain('Imported with 12 records, closed.')
    expect(page.find('[data-test=left]').exists()).toBe(false)
    expect(page.get('[role=status]').getComponent(RouterLinkStub).props('to')).toBe('/visits/v9')
  })

  it('says what was not taken over', async () => {
    const left = ['Entry e3 (REPAIRED): A board is changed when it is proven.', 'The end: left open.']
    const page = await brought('{}', () => json({ id: 'v9', entries: 12, closed: false, left }))
    expect(page.get('[role=status]').text()).toContain('12 records, open.')
    expect(page.findAll('[data-test=left] li').map((line) => line.text())).toEqual(left)
  })

  it('is refused with what the server says, or with the file where it is none', async () => {
    const known = await brought('{}', () => json({ detail: 'There is a visit 7 already.' }, 409))
    expect(known.get('[role=alert]').text()).toBe('There is a visit 7 already.')
    expect(known.find('[role=status]').exists()).toBe(false)
    const none = await brought('%PDF', () => json({}))
    expect(none.get('[role=alert]').text()).toContain('visit.json is not JSON.')
  })
})

describe('the jobs of a day', () => {
  it('are those of the day where the company works, and say so', async () => {
    vi.setSystemTime(new Date('2026-12-01T09:59:00Z'))
    const came = serve({ '/api/me': { role: 'TECHNICIAN', timeZone: 'America/Adak' }, '/api/jobs': [] })
    const page = shown(JobsView)
    await rested()
    expect(page.get('[data-test=zone]').text()).toContain('America/Adak')
    expect(new URL(came.at(-1)!.url).searchParams.get('day')).toBe('2026-11-30')
  })

  it('are asked for day by day, with the state of each in words', async () => {
    vi.setSystemTime(new Date(2026, 2, 4, 12))
    const came = serve({ '/api/jobs': [job, { ...job, id: 'v8', number: 8, state: 'PLANNED' }] })
    const page = shown(JobsView)
    await rested()
    expect(page.findAll('.state').map((state) => state.text())).toEqual(['closed', 'to do'])
    expect(page.text()).not.toContain('igniter open')
    await page.get('[aria-label="Day after"]').trigger('click')
    await rested()
    const asked = came.filter((request) => new URL(request.url).pathname === '/api/jobs')
    expect(asked.map((request) => new URL(request.url).searchParams.get('day'))).toEqual(['2026-03-04', '2026-03-05'])
  })

  it('that cannot be fetched are asked for again', async () => {
    let answer = () => json({ detail: 'The database is away.' }, 503)
    serve({ '/api/jobs': () => answer() })
    const page = shown(JobsView)
    await rested()
    expect(page.get('[role=alert]').text()).toContain('The database is away.')
    answer = () => json([])
    await page.get('[role=alert] button').trigger('click')
    await rested()
    expect(page.text()).toContain('No jobs on this day.')
  })
})
