import { describe, expect, it } from 'vitest'
import { hours, money } from './money'

describe('money and hours', () => {
  it('are written as they are read', () => {
    expect(money(1234.4, 'SKD')).toBe('1,234 SKD')
    expect(money(-4.6, 'SKD')).toBe('-5 SKD')
    expect(hours(0.58)).toBe('35 min')
    expect(hours(3.1)).toBe('3 h')
    expect(hours(48.4)).toBe('2 days')
    expect(hours(96)).toBe('4 days')
  })
})
