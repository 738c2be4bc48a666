import { describe, expect, it } from 'vitest'
import { typedIn } from './typed'

describe('a typed number', () => {
  it.each([
    ['', '26.8', '26.8'],
    ['', ' 26.8 ', '26.8'],
    ['Pa', '250', '250 Pa'],
    ['°C', '-4,5', '-4,5 °C'],
    ['Pa', '1 in. w.c.', '1 in. w.c.'],
    ['Pa', 'OL', 'OL'],
    ['Pa', '', ''],
  ])('has the unit of the person behind it, %s: %s', (behind, typed, sent) => {
    expect(typedIn(behind, typed)).toBe(sent)
  })
})
