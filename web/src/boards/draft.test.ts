import { describe, expect, it } from 'vitest'
import { emptyRow, fromDraft, patternOf, toDraft, type Typed } from './draft'

const typed: Typed = {
  name: 'blue-board',
  title: 'Blue board',
  choices: { ignition: 'spark', blower: '' },
  charts: {
    board: [
      {
        generation: 'first',
        weight: 2,
        codes: [{ pattern: '3', condition: 'ignition lockout', text: '' }, emptyRow()],
      },
    ],
  },
  timings: { 'purge-time': '30', 'trial-time': ' ' },
  labels: { HLI: 'J4-2' },
  colours: {},
  fuses: { fuse: '5' },
  nominals: { igniter: { value: '80', tolerance: '10' }, inducer: { value: '', tolerance: '5' } },
  call: { order: 'CALL_THEN_POWER', why: ' taken as it wakes ' },
  ranges: { hottest: { factory: '60', range: { least: 30, most: 80, step: 5 } } },
  limits: { gas: { least: '5', most: '' }, line: { least: '', most: ' ' } },
  handling: { board: 'Two tabs.\n\n Keyed plugs. ', panel: '' },
  menu: { home: { shows: 'water' } },
  settings: {
    delay: {
      factory: 'A',
      options: [
        { position: 'A', value: '1,5' },
        { position: '', value: '' },
      ],
    },
  },
}

describe('draft', () => {
  it('keeps only what somebody typed', () => {
    expect(toDraft(typed, 'f1-furnace')).toEqual({
      overlay: 'blue-board',
      family: 'f1-furnace',
      title: 'Blue board',
      choices: { ignition: 'spark' },
      charts: {
        board: [{ generation: 'first', weight: 2, codes: [{ pattern: '3 flashes', condition: 'ignition lockout' }] }],
      },
      timings: { 'purge-time': 30 },
      labels: { HLI: 'J4-2' },
      fuses: { fuse: 5 },
      nominals: { igniter: { value: 80, tolerance: 0.1 } },
      call: { order: 'CALL_THEN_POWER', why: 'taken as it wakes' },
      settings: {
        delay: { factory: 'A', options: { A: 1.5 } },
        hottest: { factory: '60', range: { least: 30, most: 80, step: 5 } },
      },
      limits: { gas: { least: 5 } },
      handling: { board: ['Two tabs.', 'Keyed plugs.'] },
      menu: { home: { shows: 'water' } },
    })
  })

  it('comes back as it was typed', () => {
    const draft = toDraft(typed, 'f1-furnace')
    expect(toDraft(fromDraft(draft), 'f1-furnace')).toEqual(draft)
  })

  it('takes a bare count for flashes and leaves the rest alone', () => {
    expect(patternOf(' 4 ')).toBe('4 flashes')
    expect(patternOf('2 long 3 short')).toBe('2 long 3 short')
  })
})
