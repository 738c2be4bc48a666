import type { Compiled, Part } from './compile'
import type english from './en.json'

/** A message of the catalogue; another language has the same keys. */
export type Key = keyof typeof english
type Values = Record<string, string | number | null | undefined>

/** The languages that ship, by their own names. */
export const languages = { en: 'English', es: 'Español (borrador)' } as const
export type Language = keyof typeof languages

const catalogues: Record<Language, () => Promise<{ default: unknown }>> = {
  en: () => import('./en.json'),
  es: () => import('./es.json'),
}
const KEPT = 'language'
let said: Compiled = {}
let plurals = new Intl.PluralRules('en')
let spoken: Language = 'en'

const known = (language: string | null | undefined): language is Language => !!language && language in languages

/** The language of this device: as chosen last, else the first of the browser's that ships. */
export function preferred(): Language {
  const kept = localStorage.getItem(KEPT)
  if (known(kept)) return kept
  return navigator.languages.map((asked) => asked.slice(0, 2)).find(known) ?? 'en'
}

/** What the page speaks. */
export function language(): Language {
  return spoken
}

/** Takes the words of a language in; before it nothing can be told. */
export async function speak(wanted: Language) {
  said = (await catalogues[wanted]()).default as Compiled
  plurals = new Intl.PluralRules(wanted)
  spoken = wanted
  document.documentElement.lang = wanted
}

/** Keeps a language for this device and loads the page in it; nothing if the page speaks it already. */
export function change(wanted: string | null | undefined) {
  if (!known(wanted) || wanted === spoken) return
  localStorage.setItem(KEPT, wanted)
  location.reload()
}

function filled(parts: Part[], values: Values): string {
  return parts
    .map((part) => {
      if (typeof part === 'string') return part
      const value = values[part.of]
      if (!part.plural) return String(value ?? '')
      const form = part.plural[`=${value}`] ?? part.plural[plurals.select(Number(value))] ?? part.plural.other ?? []
      return filled(form, values)
    })
    .join('')
}

/** The words of a message with its values in their places. */
export function tell(key: Key, values: Values = {}): string {
  const message = said[key]
  return typeof message === 'string' ? message : filled(message ?? [key], values)
}
