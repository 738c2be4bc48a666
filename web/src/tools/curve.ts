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
/** How far above or below its spot a word stands. */
const ABOVE = 13
const BELOW = 25
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
  /** A border of all that is below it goes down to the axis and back. */
  const traced = (l: Curve['lines'][number]) => {
    const along = path(l.points) ?? ''
    return l.look === 'ALL_BELOW'
      ? `${along}L${x(l.points.at(-1)!.x)},${bottom}L${x(l.points[0]!.x)},${bottom}Z`
      : along
  }
  const looks = curve.lines.map((l, i) => {
    if (l.look === 'ALL_BELOW') return 'all-below'
    if (l.look === 'FAINT') return 'faint'
    return `plain-${curve.lines.slice(0, i).filter((other) => other.look === l.look).length % 3}`
  })
  const place = (i: number, of: number) => (i + 1) / (of + 1)
  const taken: Place[] = []
  const spots = curve.spots.map((s) => {
    const at = { x: x(s.x), y: y(s.y) }
    const words = [-ABOVE, BELOW, -ABOVE - WORD.high].map((by) => ({ x: at.x, y: at.y + by }))
    const word = words.find((place) => taken.every((other) => apart(place, other))) ?? words[0]!
    taken.push(word)
    const anchor = at.x > OUTER * width ? 'end' : at.x < (1 - OUTER) * width ? 'start' : 'middle'
    return { label: s.label, ...at, word: word.y, anchor }
  })
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
      return { label: l.label, path: traced(l), look: looks[i]!, ...word }
    }),
    spots,
  }
}
