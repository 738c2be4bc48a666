import { describe, expect, it } from 'vitest'
import { clock, minutes, percent } from './format'

describe('format', () => {
  it('never rounds a suspect away, and never to certainty', () => {
    expect(percent(0.004)).toBe('unlikely')
    expect(percent(0.996)).toBe('>99%')
    expect(percent(0)).toBe('0%')
    expect(percent(0.257)).toBe('26%')
  })
  it('counts minutes and seconds', () => {
    expect(clock(0)).toBe('0:00')
    expect(clock(75.4)).toBe('1:15')
    expect(clock(-3)).toBe('0:00')
    expect(minutes(0.2)).toBe('1 min')
    expect(minutes(4.28)).toBe('4 min')
  })
})
