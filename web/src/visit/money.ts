import { tell } from '../words/words'
/** Money as it is read: whole units, thousands apart, the currency behind it where it is not said elsewhere. */
export function money(amount: number, currency: string): string {
  return `${Math.round(amount).toLocaleString('en', { useGrouping: true })} ${currency}`.trimEnd()
}

/** Hours as people say them: minutes below one and a half, days above two. */
export function hours(h: number): string {
  if (h < 1.5) return tell('money.min', { h: Math.round(h * 60) })
  return h < 48 ? `${Math.round(h * 2) / 2} h` : tell('money.days', { h: Math.round((h / 24) * 2) / 2 })
}
