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
let said: Compiled = {}
let plurals = new Intl.PluralRules('en')
let spoken: Language = 'en'

/** What a person reads: a language, and the measuring system of its amounts. */
export interface Reader {
  language: Language
  metric: boolean
}

const A_YEAR = 31_536_000
const METRIC = '-u-ms-metric'
const US = '-u-ms-ussystem'
const known = (language: string | undefined): language is Language => !!language && language in languages

/** Both as one tag, as BCP 47 writes them; the server reads it from a cookie, so that files are told like pages. */
export const tagOf = ({ language, metric }: Reader) => `${language}${metric ? METRIC : US}`

function readerOf(tag: string | null | undefined): Reader | undefined {
  const language = tag?.slice(0, 2)
  return known(language) ? { language, metric: tag!.endsWith(METRIC) } : undefined
}

/** As chosen last on this device; else the first of the browser's languages that ships, in the trade's units. */
export function reader(): Reader {
  const kept = document.cookie.split('; ').find((one) => one.startsWith('locale='))
  const language = navigator.languages.map((asked) => asked.slice(0, 2)).find(known) ?? 'en'
  return readerOf(kept?.slice('locale='.length)) ?? { language, metric: false }
}

/** Keeps what a person reads for this device and loads the page so; nothing where it is so already. */
export function read(tag: string | null | undefined) {
  const wanted = readerOf(tag)
  if (!wanted || tagOf(wanted) === tagOf(reader())) return
  keep(wanted)
  location.reload()
}

function keep(wanted: Reader) {
  document.cookie = `locale=${tagOf(wanted)}; path=/; max-age=${A_YEAR}; samesite=lax`
}

/** What the page speaks. */
export function language(): Language {
  return spoken
}

/** How dates and times are written: the English that ships is American. */
export const dates = () => (spoken === 'en' ? 'en-US' : spoken)

/** Takes the words of a language in; before it nothing can be told. */
export async function speak(wanted: Language) {
  said = (await catalogues[wanted]()).default as Compiled
  plurals = new Intl.PluralRules(wanted)
  spoken = wanted
  document.documentElement.lang = wanted
  keep({ ...reader(), language: wanted })
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
