import type { NewTrace } from '../api/client'

/** What a small region of a picture and the ring around it look like. */
export interface Sample {
  level: number
  around: number
  colour: [number, number, number]
}

/**
 * Measures a square region of RGBA pixels and the frame around it.
 * @param pixels width x width pixels, RGBA
 * @param width side of the whole, pixels
 * @param inner side of the region in its middle, pixels
 */
export function measure(pixels: Uint8ClampedArray, width: number, inner: number): Sample {
  const from = Math.floor((width - inner) / 2)
  const lamp = [0, 0, 0, 0]
  const ring = [0, 0]
  for (let y = 0; y < width; y++) {
    for (let x = 0; x < width; x++) {
      const i = 4 * (y * width + x)
      const [r, g, b] = [pixels[i]!, pixels[i + 1]!, pixels[i + 2]!]
      const luma = 0.299 * r + 0.587 * g + 0.114 * b
      if (x >= from && x < from + inner && y >= from && y < from + inner) {
        lamp[0]! += r
        lamp[1]! += g
        lamp[2]! += b
        lamp[3]! += 1
      } else {
        ring[0]! += luma
        ring[1]! += 1
      }
    }
  }
  const n = Math.max(1, lamp[3]!)
  const colour: Sample['colour'] = [lamp[0]! / n, lamp[1]! / n, lamp[2]! / n]
  return {
    level: 0.299 * colour[0] + 0.587 * colour[1] + 0.114 * colour[2],
    around: ring[0]! / Math.max(1, ring[1]!),
    colour,
  }
}

/** Samples as the server takes them. Frames that came twice or late are left out, because times rise. */
export function toTrace(times: number[], samples: Sample[], mark: string, coloured: boolean): NewTrace {
  const keep = times.map((t, i) => i === 0 || t > Math.max(...times.slice(Math.max(0, i - 3), i)))
  const kept = samples.filter((_, i) => keep[i])
  const round = (v: number) => Math.round(v * 100) / 100
  return {
    seconds: times.filter((_, i) => keep[i]).map((t) => Math.round((t - times[0]!) * 10000) / 10000),
    level: kept.map((s) => round(s.level)),
    around: kept.map((s) => round(s.around)),
    colours: coloured ? kept.map((s) => s.colour.map(round)) : undefined,
    mark: mark || undefined,
  }
}
