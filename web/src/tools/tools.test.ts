import { describe, expect, it } from 'vitest'
import { path, region, sheet } from './airChart'
import { fromLink, toLink } from './query'

describe('link of a calculator', () => {
  const usual = { outdoorF: 54, mixedF: null as number | null, zone: '5B' }

  it('carries the inputs there and back', () => {
    const inputs = { outdoorF: 61.5, mixedF: 66, zone: '4A' }
    expect(fromLink(usual, toLink(inputs))).toEqual(inputs)
  })

  it('leaves out what is not given and keeps what cannot be read', () => {
    expect(toLink(usual)).toEqual({ outdoorF: '54', zone: '5B' })
    expect(fromLink(usual, { outdoorF: 'warm', mixedF: '', other: '3' })).toEqual(usual)
  })
})

describe('chart of moist air', () => {
  const on = sheet(600, 400)

  it('has warmer air to the right and damper air above', () => {
    expect(on.x(80)).toBeGreaterThan(on.x(60))
    expect(on.y(80)).toBeLessThan(on.y(40))
    expect(on.x(-20)).toBe(on.x(30))
  })

  it('ends a line where the sheet ends and closes the region at dry air', () => {
    const line = [
      { dryBulb: 60, grains: 70 },
      { dryBulb: 80, grains: 150 },
      { dryBulb: 100, grains: 300 },
    ]
    expect(path(line, on).match(/[ML]/g)).toEqual(['M', 'L'])
    expect(region(line.slice(0, 2), on)).toMatch(/^M[\d.]+ 366\.0L.*L[\d.]+ 366\.0Z$/)
    expect(region(line.slice(0, 1), on)).toBe('')
  })
})
