import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import type { components } from '../api/schema'

type Curve = components['schemas']['Curve']
const MARGIN = { left: 62, right: 16, top: 26, bottom: 40 }
const TICKS = 5
/** What comes down to less than this share of its height is drawn from zero on. */
const NEAR_ZERO = 0.35
/** A word that stands further out than this share of the width is set to the inside. */
const OUTER = 0.8

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
  return {
    left: MARGIN.left,
    right,
    bottom,
    across: x.ticks(TICKS).map((t) => ({ at: x(t), text: x.tickFormat(TICKS)(t) })),
    up: y.ticks(TICKS).map((t) => ({ at: y(t), text: y.tickFormat(TICKS)(t) })),
    lines: curve.lines.map((l, i) => {
      const at = l.points[Math.round(place(i, curve.lines.length) * (l.points.length - 1))]!
      return { label: l.label, path: path(l.points) ?? '', x: x(at.x), y: y(at.y) - 8 }
    }),
    spots: curve.spots.map((s) => ({
      label: s.label,
      x: x(s.x),
      y: y(s.y),
      anchor: x(s.x) > OUTER * width ? 'end' : x(s.x) < (1 - OUTER) * width ? 'start' : 'middle',
    })),
  }
}
