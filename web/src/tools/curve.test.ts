import { describe, expect, it } from 'vitest'
import { drawn } from './curve'

const line = (label: string, height: (x: number) => number) => ({
  label,
  look: 'PLAIN',
  points: Array.from({ length: 41 }, (_, x) => ({ x, y: height(x) })),
})

describe('words on a chart', () => {
  it('keeps the words of spots that coincide apart', () => {
    const spot = (label: string) => ({ label, x: 20, y: 50 })
    const curve = {
      across: { label: 'dry bulb', unit: '°F' },
      up: { label: 'moisture', unit: 'gr/lb' },
      lines: [line('100%', (x) => 2 * x)],
      spots: [spot('outdoors'), spot('return'), spot('mixed')],
    }
    const words = drawn(curve as never, 600, 300)
      .spots.map((s) => s.word)
      .sort((a, b) => a - b)
    expect(words[1]! - words[0]!).toBeGreaterThanOrEqual(26)
    expect(words[2]! - words[1]!).toBeGreaterThanOrEqual(26)
  })

  it('keeps the word of a line off a spot that stands where it would stand', () => {
    const curve = {
      across: { label: 'age', unit: 'years' },
      up: { label: 'cost', unit: 'SKD' },
      lines: [line('keeping it', (x) => 10 * x), line('replacing it', () => 3000)],
      spots: [{ label: 'this unit', x: 14, y: 140 }],
    }
    for (const width of [358, 900]) {
      const on = drawn(curve as never, width, 240)
      const [keeping, replacing] = on.lines
      const spot = on.spots[0]!
      expect(Math.abs(keeping!.x - spot.x) >= 90 || Math.abs(keeping!.y - spot.word) >= 26).toBe(true)
      expect(keeping!.x).toBeGreaterThan(on.left)
      expect(keeping!.x).toBeLessThan(on.right)
      expect(replacing!.y).toBeLessThan(keeping!.y)
    }
  })
})
