import { describe, expect, it } from 'vitest'
import { measure, toTrace } from './cameraSampler'

/** A dark picture with a lamp of one colour in its middle. */
function picture(width: number, inner: number, lamp: [number, number, number], room: number) {
  const pixels = new Uint8ClampedArray(4 * width * width)
  const from = Math.floor((width - inner) / 2)
  for (let y = 0; y < width; y++)
    for (let x = 0; x < width; x++) {
      const inside = x >= from && x < from + inner && y >= from && y < from + inner
      pixels.set(inside ? [...lamp, 255] : [room, room, room, 255], 4 * (y * width + x))
    }
  return pixels
}

describe('measure', () => {
  it('tells the lamp from the room around it', () => {
    const sample = measure(picture(24, 8, [200, 40, 40], 30), 24, 8)
    expect(sample.colour).toEqual([200, 40, 40])
    expect(sample.around).toBeCloseTo(30, 6)
    expect(sample.level).toBeCloseTo(0.299 * 200 + 0.587 * 40 + 0.114 * 40, 6)
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
