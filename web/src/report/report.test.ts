import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { json, serve, shown } from '../testing'
import ReportFiles from './ReportFiles.vue'
import ReportView from './ReportView.vue'

const visit = {
  closedAt: null,
  outcome: null,
  decided: null,
  events: [],
  unit: {},
  job: { id: 'v', number: 7, site: 'Dairy', unit: 'Furnace', address: 'Slip 2', complaint: 'no heat' },
  page: { entries: 2, log: [] },
}
const verdict = {
  label: 'igniter open',
  status: 'PROVEN',
  probability: 0.98,
  remedy: 'Replace the igniter',
  proof: [],
  skipped: ['both ends of its cable'],
  damaged: ['F1'],
}
const line = (what: string, more = {}) => ({
  id: what,
  madeAt: 0,
  what,
  found: 'OL',
  due: '60 ohm',
  judgement: '',
  ...more,
})
const report = {
  found: [verdict],
  measured: [],
  diagram: {},
  rung: [],
  taps: [],
  done: [],
  commissioning: [],
  settings: [],
  proving: [],
  notes: [],
  untested: [],
  defer: 'The maker comes first.',
}
const at = '/api/visits/v'
async function page(ofVisit = {}, ofReport: unknown = report) {
  serve({ [at]: { ...visit, ...ofVisit }, [`${at}/report`]: ofReport })
  const made = shown(ReportView, { props: { id: 'v' }, stubs: { TimingDiagram: true } })
  await flushPromises()
  return made
}
const heads = (made: Awaited<ReturnType<typeof page>>) => made.findAll('h2').map((head) => head.text())

afterEach(() => vi.unstubAllGlobals())

describe('the report', () => {
  it('says what was found, what was not shown for it, and what died of it', async () => {
    const made = await page()
    const found = made.get('[data-test=found]').text()
    expect(found).toContain('igniter open (Proven, 98%). Replace the igniter.')
    expect(found).toContain('Not shown: both ends of its cable')
    expect(found).toContain('Damaged by it: F1')
    expect(made.text()).toContain('Nothing was measured.')
    expect(made.get('.caution').text()).toBe('The maker comes first.')
  })

  it('says what became of it since, and what only a file says', async () => {
    const event = (kind: string, more = {}) => ({
      kind,
      at: '2026-11-20T10:00:00Z',
      note: `note of ${kind}`,
      ofFile: false,
      ...more,
    })
    const made = await page({
      job: { ...visit.job, brought: true },
      events: [event('SHOP_TEST', { ofFile: true }), event('CHANGED_AFTER')],
    })
    expect(made.get('[data-test=brought]').text()).toContain('Imported from')
    const [tested, changed] = made.findAll('[data-test=events] li').map((one) => one.text())
    expect(tested).toContain('Bench test of the board (as the file says). note of SHOP_TEST')
    expect(changed).toContain('Changed after closing. note of CHANGED_AFTER')
  })

  it('leaves out what there was nothing of', async () => {
    expect(heads(await page())).toEqual(['Found', 'Readings', 'Decided'])
    const whole = await page(
      {},
      {
        ...report,
        measured: [line('ohms of the igniter')],
        done: [line('igniter replaced')],
        settings: [line('off delay')],
        proving: [{ id: 'rise', state: 'GOOD', what: 'Temperature rise', due: '40 to 70 F', found: '55 F' }],
        notes: [line('note', { found: 'The filter was black.' })],
        untested: ['gas valve'],
      },
    )
    expect(heads(whole)).toEqual([
      'Found',
      'Readings',
      'Done',
      'Settings, found and left',
      'Proving run',
      'Remarks',
      'Decided',
    ])
    expect(whole.findAll('.proving li > *').map((cell) => cell.text())).toEqual([
      'good',
      'Temperature rise',
      'Expected 40 to 70 F; found 55 F',
    ])
    expect(whole.text()).toContain('Not tested yet, never powered: gas valve')
    const tables = whole.findAll('table')
    expect(tables[0]!.text()).toContain('60 ohm')
    expect(tables[1]!.text(), 'good order is told for what was measured').not.toContain('60 ohm')
  })

  it('says how it ended, or that it has not', async () => {
    expect((await page()).text()).toContain('The visit is still open. Nothing has been decided.')
    const closed = await page({ closedAt: '2026-03-04T10:00:00Z', outcome: 'MADE_SAFE', decided: 'Part on Friday.' })
    expect(closed.text()).toContain('Made safe and left off. Part on Friday.')
  })

  it('says why it is not there', async () => {
    const none = await page({}, () => json({ detail: 'The database is away.' }, 503))
    expect(none.get('[role=alert]').text()).toBe('The database is away.')
    serve({ [at]: () => json({ detail: 'There is no such visit.' }, 404) })
    const lost = shown(ReportView, { props: { id: 'v' } })
    await flushPromises()
    expect(lost.get('[role=alert]').text()).toBe('There is no such visit.')
  })

  it('comes as a file, the PDF on the paper that is chosen', async () => {
    const files = shown(ReportFiles, { props: { id: 'v' } })
    expect(files.get('[data-test=pdf]').attributes('href')).toBe(`${at}/report.pdf?paper=A4`)
    await files.get('[aria-label=Paper]').setValue('LETTER')
    expect(files.get('[data-test=pdf]').attributes('href')).toBe(`${at}/report.pdf?paper=LETTER`)
    expect(files.findAll('li a').map((file) => file.attributes('href'))).toEqual(
      ['visit.json', 'readings.csv', 'run.vcd', 'circuit.cir'].map((name) => `${at}/${name}`),
    )
  })
})
