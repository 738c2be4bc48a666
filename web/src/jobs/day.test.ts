import { describe, expect, it } from 'vitest'
import { dayLabel, shiftDay, shortTime, today } from './day'

describe('day', () => {
  it('is the local day', () => expect(today(new Date(2026, 10, 4, 23, 59))).toBe('2026-11-04'))
  it('is that of the company where its zone is known', () => {
    const now = new Date('2026-12-01T09:59:00Z')
    expect(today(now, 'America/Adak')).toBe('2026-11-30')
    expect(today(now, 'Pacific/Kiritimati')).toBe('2026-12-01')
    expect(dayLabel('2026-11-30', now, 'America/Adak')).toBe('Today, Mon, Nov 30')
  })
  it('goes over the end of a month and a year', () => {
    expect(shiftDay('2026-11-30', 1)).toBe('2026-12-01')
    expect(shiftDay('2027-01-01', -1)).toBe('2026-12-31')
  })
  it('tells the time of day as the language does', () => expect(shortTime('14:30:00')).toMatch(/^2:30\sPM$/))
  it('names today', () => {
    expect(dayLabel('2026-11-24', new Date(2026, 10, 24))).toBe('Today, Tue, Nov 24')
    expect(dayLabel('2026-11-25', new Date(2026, 10, 24))).toBe('Wed, Nov 25')
  })
})
