import type { TestView } from '../api/client'

type Outcome = TestView['outcomes'][number]

/** A band on the scale: where it begins and how wide it is, in percent of the whole. */
export interface Bar {
  at: number
  wide: number
  likely: number
  nominal: boolean
}
/** The scale of a meter: its bands, and where a value lies on it, in percent. */
export interface Scale {
  bars: Bar[]
  open?: Outcome
  place: (value: number) => number
}

/** Narrower bands could not be seen, percent. */
const LEAST = 1.5
const BESIDE = 0.08

/** The scale of what a reading may show; none where nothing of it is a number. */
export function scaleOf(outcomes: Outcome[]): Scale | undefined {
  const bands = outcomes.flatMap((o) => (o.band && !o.band.open ? [{ o, from: o.band.from, to: o.band.to }] : []))
  if (!bands.length) return undefined
  const low = Math.min(0, ...bands.map((b) => b.from))
  const high = Math.max(0, ...bands.map((b) => b.to))
  const room = (high - low || 1) * BESIDE
  const [from, to] = [low < 0 ? low - room : 0, high + room]
  const place = (value: number) => Math.min(100, Math.max(0, (100 * (value - from)) / (to - from)))
  return {
    place,
    open: outcomes.find((o) => o.band?.open),
    bars: bands.map(({ o, from: a, to: b }) => ({
      at: Math.min(place(a), 100 - LEAST),
      wide: Math.max(LEAST, place(b) - place(a)),
      likely: o.probability,
      nominal: o.nominal,
    })),
  }
}
