import { describe, expect, it } from 'vitest'
import { path, region, sheet } from './airChart'
import { drawn } from './curve'
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

describe('curve of a calculation', () => {
  const axis = (label: string) => ({ label, unit: '' })
  const curve = (ys: number[]) => ({
    across: axis('outdoors'),
    up: axis('water'),
    lines: [{ label: 'supply', points: ys.map((y, i) => ({ x: i * 10, y })) }],
    spots: [{ label: 'now', x: 10, y: ys[1]! }],
  })

  it('has a tick at each round number and its spot on the line', () => {
    const on = drawn(curve([180, 140, 100]), 600, 300)
    expect(on.across.map((t) => t.text)).toContain('10')
    expect(on.spots[0]!.x).toBeCloseTo((on.left + on.right) / 2)
    expect(on.lines[0]!.path).toMatch(/^M.*L.*L/)
    expect(on.up.every((t) => Number(t.text) >= 80)).toBe(true)
  })

  it('begins at nothing where it comes down to it', () => {
    expect(drawn(curve([100, 50, 1]), 600, 300).up[0]!.text).toBe('0')
  })
})
