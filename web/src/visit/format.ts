import { dates, tell } from '../words/words'
/** Numbers and times as they are shown; what they mean is decided by the server. */
export function percent(p: number): string {
  if (p > 0 && p < 0.01) return tell('format.unlikely')
  if (p < 1 && p > 0.99) return '>99%'
  return `${Math.round(p * 100)}%`
}

export function minutes(m: number): string {
  return m < 1 ? tell('format.1Min') : tell('format.min', { m: Math.round(m) })
}

export function clock(seconds: number): string {
  const s = Math.max(0, Math.round(seconds))
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}

export function timeOfDay(at: string | number): string {
  return new Date(at).toLocaleTimeString(dates(), { hour: '2-digit', minute: '2-digit' })
}
