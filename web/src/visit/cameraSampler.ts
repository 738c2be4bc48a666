import type { NewTrace } from '../api/client'

/** What a small region of a picture and the ring around it look like. */
export interface Sample {
  level: number
  around: number
  colour: [number, number, number]
}

/** What one picture shows around the place that was touched: RGBA, width x width pixels. */
export type Patch = Uint8ClampedArray

/** Side of a patch, pixels, and of the square in it that is taken for the lamp. */
export const SIDE = 24
export const INNER = 6
/** Noise of a camera makes a pixel change by a few steps; a lamp by more. Squared steps of 255. */
const LEAST_VARIANCE = 16

/**
 * Reads the lamp in each picture. A finger is never quite on it, so the square is laid where the patches change most, the nearer to what was touched the better;
 * where nothing changes, on what was touched.
 */
export function samplesOf(patches: Patch[]): Sample[] {
  const at = whereItBlinks(patches)
  return patches.map((patch) => measure(patch, at.x, at.y))
}

/** The upper left corner of the square in which the pictures change most. */
export function whereItBlinks(patches: Patch[]): { x: number; y: number } {
  const change = variances(patches)
  const middle = (SIDE - INNER) / 2
  let best = { x: middle, y: middle }
  let most = LEAST_VARIANCE
  for (let y = 0; y <= SIDE - INNER; y++)
    for (let x = 0; x <= SIDE - INNER; x++) {
      const away = Math.hypot(x - middle, y - middle) / middle
      const here = meanOf(x, y, (i) => change[i]!) * Math.exp(-away * away)
      if (here > most) {
        most = here
        best = { x, y }
      }
    }
  return best
}

function variances(patches: Patch[]): number[] {
  const sum = new Array<number>(SIDE * SIDE).fill(0)
  const squares = new Array<number>(SIDE * SIDE).fill(0)
  for (const patch of patches)
    for (let i = 0; i < sum.length; i++) {
      const level = luma(patch, i)
      sum[i]! += level
      squares[i]! += level * level
    }
  const n = Math.max(1, patches.length)
  return squares.map((square, i) => square / n - (sum[i]! / n) ** 2)
}

function meanOf(x: number, y: number, value: (i: number) => number): number {
  let sum = 0
  for (let dy = 0; dy < INNER; dy++) for (let dx = 0; dx < INNER; dx++) sum += value((y + dy) * SIDE + x + dx)
  return sum / (INNER * INNER)
}

/** Luma of a pixel by ITU-R BT.601, 0 to 255. */
function luma(patch: Patch, i: number): number {
  return 0.299 * patch[4 * i]! + 0.587 * patch[4 * i + 1]! + 0.114 * patch[4 * i + 2]!
}

/**
 * The square with its upper left corner at a place, and what is well outside of it: the lamp and its glow are not taken for the room.
 */
export function measure(patch: Patch, x: number, y: number): Sample {
  const part = (channel: number) => meanOf(x, y, (i) => patch[4 * i + channel]!)
  let room = 0
  let count = 0
  for (let i = 0; i < SIDE * SIDE; i++) {
    const away = Math.max(Math.abs((i % SIDE) - x - INNER / 2), Math.abs(Math.floor(i / SIDE) - y - INNER / 2))
    if (away > INNER) {
      room += luma(patch, i)
      count += 1
    }
  }
  return {
    level: meanOf(x, y, (i) => luma(patch, i)),
    around: room / Math.max(1, count),
    colour: [part(0), part(1), part(2)],
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
