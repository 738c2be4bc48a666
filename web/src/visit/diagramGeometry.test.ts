import { describe, expect, it } from 'vitest'
import { LEFT, lines, outline, scale, tickStep } from './diagramGeometry'

describe('diagram', () => {
  const x = scale({ from: 0, to: 100 }, LEFT + 8 + 200)
  it('lays the window over the width', () => {
    expect(x(0)).toBe(LEFT)
    expect(x(50)).toBe(LEFT + 100)
    expect(x(100)).toBe(LEFT + 200)
  })
  it('draws a step up and down for each stretch', () => {
    const at = (t: number) => t
    expect(outline([{ from: 10, to: 20 }], at, 0, 30, 9, 1)).toBe('M0.0 9H10.0V1H20.0V9H30.0')
  })
  it('draws a flat line for a channel that never comes on', () => {
    expect(outline([], (t) => t, 0, 30, 9, 1)).toBe('M0.0 9H30.0')
  })
  it('marks the clock as often as there is room for its figures', () => {
    expect(tickStep({ from: 0, to: 200 }, 904)).toBe(15)
    expect(tickStep({ from: 0, to: 200 }, 390)).toBe(30)
    expect(tickStep({ from: 0, to: 2100 }, 760)).toBe(300)
    expect(tickStep({ from: 0, to: 900_000 }, 760) % 3600).toBe(0)
  })
  it('breaks a long label at its spaces and leaves a short one whole', () => {
    expect(lines('outdoor fan')).toEqual(['outdoor fan'])
    expect(lines('valve turned to cooling')).toEqual(['valve turned', 'to cooling'])
    expect(lines('thermostatically')).toEqual(['thermostatically'])
  })
})
