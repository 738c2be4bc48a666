import type { LocationQuery } from 'vue-router'

/** What the link carries over what a calculator begins with: numbers stay numbers, what is no number is left as it was. */
export function fromLink<T extends Record<string, number | string | null>>(usual: T, query: LocationQuery): T {
  const taken: Record<string, number | string | null> = { ...usual }
  for (const key of Object.keys(usual)) {
    const value = query[key]
    if (typeof value !== 'string') continue
    if (typeof usual[key] === 'string') taken[key] = value
    else if (value !== '' && Number.isFinite(Number(value))) taken[key] = Number(value)
  }
  return taken as T
}

/** The inputs as a link carries them; what is not given is left out. */
export function toLink(inputs: Record<string, number | string | null>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(inputs)
      .filter(([, value]) => value !== null && value !== '')
      .map(([key, value]) => [key, String(value)]),
  )
}
