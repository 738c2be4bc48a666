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

const ROUND = [15, 30, 60, 120, 300, 600, 900, 1800, 3600]
const FIGURES = 40

/** Seconds between the marks of the clock: round ones, no closer than their figures are wide. */
export function tickStep(diagram: Pick<Diagram, 'from' | 'to'>, width: number): number {
  const room = ((diagram.to - diagram.from) * FIGURES) / (width - LEFT - 8)
  return ROUND.find((step) => step >= room) ?? Math.ceil(room / 3600) * 3600
}

/** A label in lines of about so many letters, broken at its spaces. */
export function lines(label: string, letters = 13): string[] {
  return label.split(' ').reduce<string[]>((made, word) => {
    const last = made.at(-1)
    return last !== undefined && last.length + 1 + word.length <= letters
      ? [...made.slice(0, -1), `${last} ${word}`]
      : [...made, word]
  }, [])
}
