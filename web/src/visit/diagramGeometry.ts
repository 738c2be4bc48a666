import type { Diagram } from '../api/client'

export const ROW = 26
export const LEFT = 96
export const TOP = 46

/** Where a time lies on the diagram, in units of the drawing. */
export function scale(diagram: Pick<Diagram, 'from' | 'to'>, width: number): (t: number) => number {
  return (t) => LEFT + ((t - diagram.from) / (diagram.to - diagram.from)) * (width - LEFT - 8)
}

/** The thin outline of a channel: low, high while it should be on, low again. */
export function outline(
  stretches: { from: number; to: number }[],
  x: (t: number) => number,
  from: number,
  to: number,
  low: number,
  high: number,
): string {
  const steps = stretches.map((s) => `H${x(s.from).toFixed(1)}V${high}H${x(s.to).toFixed(1)}V${low}`)
  return `M${x(from).toFixed(1)} ${low}${steps.join('')}H${x(to).toFixed(1)}`
}
