/** A day as the server writes it, yyyy-mm-dd, in the technician's own time. */
export function today(now = new Date()): string {
  return iso(now)
}

export function shiftDay(day: string, by: number): string {
  const date = new Date(`${day}T12:00:00`)
  date.setDate(date.getDate() + by)
  return iso(date)
}

export function dayLabel(day: string, now = new Date()): string {
  const date = new Date(`${day}T12:00:00`)
  const text = date.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
  return day === iso(now) ? `Today, ${text}` : text
}

function iso(date: Date): string {
  const two = (n: number) => String(n).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}
