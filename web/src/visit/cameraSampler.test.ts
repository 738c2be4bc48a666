import { describe, expect, it } from 'vitest'
import { INNER, measure, SIDE, samplesOf, toTrace, whereItBlinks } from './cameraSampler'

/** A dark picture with a square lamp whose upper left corner lies at a place. */
function picture(at: { x: number; y: number; size: number }, lamp: [number, number, number], room: number) {
  const pixels = new Uint8ClampedArray(4 * SIDE * SIDE)
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const inside = x >= at.x && x < at.x + at.size && y >= at.y && y < at.y + at.size
      pixels.set(inside ? [...lamp, 255] : [room, room, room, 255], 4 * (y * SIDE + x))
    }
  return pixels
}

describe('measure', () => {
  it('tells the lamp from the room around it', () => {
    const sample = measure(picture({ x: 9, y: 9, size: INNER }, [200, 40, 40], 30), 9, 9)
    expect(sample.colour).toEqual([200, 40, 40])
    expect(sample.around).toBeCloseTo(30, 6)
    expect(sample.level).toBeCloseTo(0.299 * 200 + 0.587 * 40 + 0.114 * 40, 6)
  })
})

describe('samplesOf', () => {
  const corners = [0, 7, 14].flatMap((x) => [0, 7, 14].map((y) => ({ x, y, size: 10 })))

  it.each(corners)('follows a lamp that the finger missed, at $x, $y', (at) => {
    const lit = picture(at, [210, 210, 210], 50)
    const dark = picture(at, [50, 50, 50], 50)
    const read = samplesOf([dark, lit, lit, dark])
    const shows = read.map((s) => s.level - s.around)
    expect(shows[1]! - shows[0]!).toBeGreaterThan(80)
    expect(shows[3]).toBeCloseTo(shows[0]!, 6)
  })

  it('takes the nearer of two lamps that blink', () => {
    const two = (near: number, far: number) => {
      const pixels = picture({ x: 8, y: 8, size: INNER }, [near, near, near], 40)
      pixels.set(picture({ x: 17, y: 17, size: INNER }, [far, far, far], 40).slice(4 * 17 * SIDE), 4 * 17 * SIDE)
      return pixels
    }
    const at = whereItBlinks([two(200, 40), two(40, 220), two(200, 40), two(40, 220)])
    expect(Math.hypot(at.x - 8, at.y - 8)).toBeLessThan(3)
  })

  it('stays where the finger was if nothing blinks', () => {
    const steady = picture({ x: 9, y: 9, size: INNER }, [200, 200, 200], 50)
    expect(whereItBlinks([steady, steady])).toEqual({ x: 9, y: 9 })
    expect(samplesOf([steady])[0]!.level).toBeCloseTo(200, 6)
  })
})

describe('toTrace', () => {
  const sample = { level: 10, around: 5, colour: [10, 10, 10] as [number, number, number] }

  it('starts at zero and leaves out a frame that came twice', () => {
    const trace = toTrace([7, 7.033, 7.033, 7.066], [sample, sample, sample, sample], '', false)
    expect(trace.seconds).toEqual([0, 0.033, 0.066])
    expect(trace.level).toHaveLength(3)
    expect(trace.colours).toBeUndefined()
  })

  it('keeps the colours where the lamp has colours', () => {
    expect(toTrace([0, 0.03], [sample, sample], '2', true).colours).toEqual([
      [10, 10, 10],
      [10, 10, 10],
    ])
  })
})
