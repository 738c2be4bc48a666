import { dates, tell } from '../words/words'

/** The day of today as the server writes it, yyyy-mm-dd, in the company's time zone; in the technician's own where none is known. */
export function today(now = new Date(), timeZone?: string): string {
  const parts = new Intl.DateTimeFormat('en-US', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' })
  const of = Object.fromEntries(parts.formatToParts(now).map((part) => [part.type, part.value]))
  return `${of.year}-${of.month}-${of.day}`
}

export function shiftDay(day: string, by: number): string {
  const date = new Date(`${day}T12:00:00`)
  date.setDate(date.getDate() + by)
  return iso(date)
}

export function dayLabel(day: string, now = new Date(), timeZone?: string): string {
  const date = new Date(`${day}T12:00:00`)
  const text = date.toLocaleDateString(dates(), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  })
  return day === today(now, timeZone) ? tell('day.today', { day: text }) : text
}

function iso(date: Date): string {
  const two = (n: number) => String(n).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

/** A time of day without its seconds, as the page's language writes it. */
export function shortTime(time: string): string {
  return new Date(`2000-01-01T${time}`).toLocaleTimeString(dates(), { hour: 'numeric', minute: '2-digit' })
}
