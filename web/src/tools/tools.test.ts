import { describe, expect, it } from 'vitest'
import { drawn } from './curve'
import { fromLink, toLink } from './query'

describe('link of a calculator', () => {
  const usual = { outdoor: 54, mixed: null as number | null, zone: '5B' }

  it('carries the inputs there and back', () => {
    const inputs = { outdoor: 61.5, mixed: 66, zone: '4A' }
    expect(fromLink(usual, toLink(inputs))).toEqual(inputs)
  })

  it('leaves out what is not given and keeps what cannot be read', () => {
    expect(toLink(usual)).toEqual({ outdoor: '54', zone: '5B' })
    expect(fromLink(usual, { outdoor: 'warm', mixed: '', other: '3' })).toEqual(usual)
  })
})

describe('curve of a calculation', () => {
  const axis = (label: string) => ({ label, unit: '' })
  const curve = (ys: number[]) => ({
    across: axis('outdoors'),
    up: axis('water'),
    lines: [{ label: 'supply', look: 'PLAIN' as const, points: ys.map((y, i) => ({ x: i * 10, y })) }],
    spots: [{ label: 'now', x: 10, y: ys[1]! }],
  })

  it('has a tick at each round number and its spot on the line', () => {
    const on = drawn(curve([180, 140, 100]), 600, 300)
    expect(on.across.map((t) => t.text)).toContain('10')
    expect(on.spots[0]!.x).toBeCloseTo((on.left + on.right) / 2)
    expect(on.lines[0]!.path).toMatch(/^M.*L.*L/)
    expect(on.up.every((t) => Number(t.text) >= 80)).toBe(true)
  })

  it('closes a border of all that is below it at the axis, and tells lines of the paper from those that are asked for', () => {
    const kinds = ['FAINT', 'PLAIN', 'ALL_BELOW', 'PLAIN'].map((look) => ({
      ...curve([90, 70, 40]).lines[0]!,
      label: look,
      look,
    }))
    const on = drawn({ ...curve([90, 70, 40]), lines: kinds } as never, 600, 300)
    expect(on.lines.map((l) => l.look)).toEqual(['faint', 'plain-0', 'all-below', 'plain-1'])
    expect(on.lines[2]!.path).toBe(`${on.lines[0]!.path}L${on.right},${on.bottom}L${on.left},${on.bottom}Z`)
  })

  it('begins at nothing where it comes down to it', () => {
    expect(drawn(curve([100, 50, 1]), 600, 300).up[0]!.text).toBe('0')
  })
})
