import type { components } from '../api/schema'

export type Air = components['schemas']['EconomizerView']
export type AirState = components['schemas']['AirState']
type Point = components['schemas']['ChartPoint']

export const MARGIN = { left: 12, right: 46, top: 10, bottom: 34 }
const FROM_F = 30
const TO_F = 110
const MOST_GRAINS = 160

/** Places of the chart: degrees to the right, moisture upwards, on a sheet of that width and height. */
export function sheet(width: number, height: number) {
  const x = (f: number) =>
    MARGIN.left +
    ((Math.min(TO_F, Math.max(FROM_F, f)) - FROM_F) / (TO_F - FROM_F)) * (width - MARGIN.left - MARGIN.right)
  const y = (grains: number) =>
    height -
    MARGIN.bottom -
    (Math.min(MOST_GRAINS, Math.max(0, grains)) / MOST_GRAINS) * (height - MARGIN.top - MARGIN.bottom)
  const edges = { left: x(FROM_F), right: x(TO_F), top: y(MOST_GRAINS), bottom: y(0), middle: x((FROM_F + TO_F) / 2) }
  return { x, y, ...edges, degrees: [40, 50, 60, 70, 80, 90, 100], grains: [40, 80, 120, 160] }
}

type Sheet = ReturnType<typeof sheet>

/** A line of the chart as a path; it ends where the sheet does. */
export function path(points: Point[], on: Sheet): string {
  const inside = points.filter((p) => p.grains <= MOST_GRAINS)
  return inside.map((p, i) => `${i ? 'L' : 'M'}${on.x(p.dryBulb).toFixed(1)} ${on.y(p.grains).toFixed(1)}`).join('')
}

/** The region below a border, down to dry air. */
export function region(border: Point[], on: Sheet): string {
  if (border.length < 2) return ''
  const first = border[0]!
  const last = border.at(-1)!
  return `M${on.x(first.dryBulb).toFixed(1)} ${on.bottom.toFixed(1)}${border
    .map((p) => `L${on.x(p.dryBulb).toFixed(1)} ${on.y(p.grains).toFixed(1)}`)
    .join('')}L${on.x(last.dryBulb).toFixed(1)} ${on.bottom.toFixed(1)}Z`
}
