import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import type { components } from '../api/schema'

type Curve = components['schemas']['CurvePage']
const MARGIN = { left: 62, right: 16, top: 26, bottom: 40 }
const TICKS = 5
/** What comes down to less than this share of its height is drawn from zero on. */
const NEAR_ZERO = 0.35
/** A word that stands further out than this share of the width is set to the inside. */
const OUTER = 0.8

/** Two words that are closer than this lie on each other, in pixels. */
const WORD = { wide: 90, high: 26 }
type Place = { x: number; y: number }
const apart = (a: Place, b: Place) => Math.abs(a.x - b.x) >= WORD.wide || Math.abs(a.y - b.y) >= WORD.high

/** Where the word of a line stands: as near to the place it should have as it can without lying on another word. */
function wordAt(places: Place[], wanted: number, taken: Place[]): Place {
  const free = places.filter((place) => taken.every((other) => apart(place, other)))
  const from = places[wanted]!
  return (free.length ? free : places).reduce((best, place) =>
    Math.abs(place.x - from.x) < Math.abs(best.x - from.x) ? place : best,
  )
}

/** The places of a curve on a sheet of that width and height: ticks, lines as paths with a place for their word, spots. */
export function drawn(curve: Curve, width: number, height: number) {
  const points = [...curve.lines.flatMap((l) => l.points), ...curve.spots]
  const xs = points.map((p) => p.x)
  const ys = points.map((p) => p.y)
  const right = width - MARGIN.right
  const bottom = height - MARGIN.bottom
  const x = scaleLinear([Math.min(...xs), Math.max(...xs)], [MARGIN.left, right])
  const low = Math.min(...ys)
  const high = Math.max(...ys)
  const y = scaleLinear([low < NEAR_ZERO * high ? Math.min(0, low) : low, high], [bottom, MARGIN.top]).nice(TICKS)
  const path = line<{ x: number; y: number }>(
    (p) => x(p.x),
    (p) => y(p.y),
  )
  const place = (i: number, of: number) => (i + 1) / (of + 1)
  const spots = curve.spots.map((s) => ({
    label: s.label,
    x: x(s.x),
    y: y(s.y),
    anchor: x(s.x) > OUTER * width ? 'end' : x(s.x) < (1 - OUTER) * width ? 'start' : 'middle',
  }))
  const taken: Place[] = spots.map((spot) => ({ x: spot.x, y: spot.y - 8 }))
  return {
    left: MARGIN.left,
    right,
    bottom,
    across: x.ticks(TICKS).map((t) => ({ at: x(t), text: x.tickFormat(TICKS)(t) })),
    up: y.ticks(TICKS).map((t) => ({ at: y(t), text: y.tickFormat(TICKS)(t) })),
    lines: curve.lines.map((l, i) => {
      const places = l.points.map((p) => ({ x: x(p.x), y: y(p.y) - 8 }))
      const inside = places.filter((p) => p.x > MARGIN.left + WORD.wide / 2 && p.x < right - WORD.wide / 2)
      const from = inside.length ? inside : places
      const word = wordAt(from, Math.round(place(i, curve.lines.length) * (from.length - 1)), taken)
      taken.push(word)
      return { label: l.label, path: path(l.points) ?? '', ...word }
    }),
    spots,
  }
}
