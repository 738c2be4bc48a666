import { IntlMessageFormat } from 'intl-messageformat'
import { describe, expect, it } from 'vitest'
import forbidden from '../../../casework/src/main/resources/words/forbidden.txt?raw'
import { compile } from './compile'
import english from './en.json?raw'
import spanish from './es.json?raw'
import { languages, speak, tell, type Key } from './words'

/** What the pages say is held to the same words as the program's catalogue: no forbidden word, short sentences, questions that are questions. */
const sources = import.meta.glob<string>(['../**/*.vue', '../**/*.ts', '!../**/*.test.ts'], {
  query: '?raw',
  import: 'default',
  eager: true,
})
const MOST_WORDS = 18
const ASKS = /^(Is|Are|Does|Did|Was|Were|Has|Have) (?!not )/
const messages: Record<string, Record<string, string>> = { en: JSON.parse(english), es: JSON.parse(spanish) }
const NUMBERS = [0, 1, 2, 5, 21, 100, 1_000_000]

const words = forbidden
  .split('\n')
  .filter((line) => line && !line.startsWith('#'))
  .map((line) => line.split('\t') as [string, string])

/** The texts between the tags and in what is read aloud, without what is filled in. */
function texts(view: string): string[] {
  const template = (/<template>([^]*)<\/template>/.exec(view)?.[1] ?? '')
    .replace(/<!--[^]*?-->/g, '')
    .replace(/<(kbd|code)[^]*?<\/\1>/g, '')
    .replace(/\{\{[^]*?\}\}/g, '')
  const read = [...template.matchAll(/\s(?:placeholder|aria-label|title|label)="([^"]+)"/g)].map((m) => m[1]!)
  const shown = [...template.replace(/"[^"]*"/g, '""').matchAll(/>([^<>]+)</g)].map((m) => m[1]!)
  return [...read, ...shown].map((text) => text.replace(/\s+/g, ' ').trim()).filter((text) => /[A-Za-z]{2}/.test(text))
}

const plain = (message: string) => message.replace(/\{\w+, plural,.*?other \{(.*?)\}\}/g, '$1')
const sentences = Object.entries(messages.en!).flatMap(([key, text]) =>
  plain(text)
    .split(/(?<=[.?!]) /)
    .map((one) => ({ key, one })),
)
const names = (message: string) => [...new Set([...message.matchAll(/\{(\w+)[,}]/g)].map((m) => m[1]))].sort()

describe('what the pages say', () => {
  it('has no forbidden word', () => {
    const found = Object.entries(messages.en!).flatMap(([key, text]) =>
      words.filter(([word]) => new RegExp(word, 'i').test(text)).map(([, say]) => `${key}: '${text}', say ${say}`),
    )
    expect(found).toEqual([])
  })

  it('is short', () => {
    expect(sentences.filter(({ one }) => one.split(' ').length > MOST_WORDS)).toEqual([])
  })

  it('asks with a question mark', () => {
    expect(sentences.filter(({ one }) => ASKS.test(one) && !/[?…:]$/.test(one))).toEqual([])
  })

  it('stands in the catalogue alone: a view holds no words but names and units', () => {
    const own = /^(Brick Signal|A4|OL|VA|YAML|°F|Btu\/lb|V DC|seconds,brightness)$/
    expect(
      Object.entries(sources)
        .flatMap(([file, source]) => texts(source).map((text) => `${file}: ${text}`))
        .filter((found) => !own.test(found.slice(found.indexOf(': ') + 2))),
    ).toEqual([])
  })

  it('is all said somewhere', () => {
    const all = Object.values(sources).join('\n')
    expect(Object.keys(messages.en!).filter((key) => !all.includes(`'${key}'`))).toEqual([])
  })
})

describe.each(Object.keys(languages) as (keyof typeof languages)[])('the catalogue of %s', (language) => {
  const catalogue = messages[language]!

  it('is whole: the keys of the English one, each with the same values in it', () => {
    expect(Object.keys(catalogue).sort()).toEqual(Object.keys(messages.en!).sort())
    expect(
      Object.keys(catalogue).filter((key) => names(catalogue[key]!).join() !== names(messages.en![key]!).join()),
    ).toEqual([])
  })

  it('says what a library for that syntax makes of it', async () => {
    await speak(language)
    for (const key of Object.keys(catalogue) as Key[])
      for (const number of NUMBERS) {
        const values = Object.fromEntries(names(catalogue[key]!).map((name) => [name!, number]))
        const expected = new IntlMessageFormat(catalogue[key]!.replace(/#/g, `${number}`), language, undefined, {
          ignoreTag: true,
        })
        const strings = Object.fromEntries(
          Object.entries(values).map(([name, value]) => [
            name,
            catalogue[key]!.includes(`{${name}, plural`) ? value : String(value),
          ]),
        )
        expect(tell(key, values)).toBe(expected.format(strings))
      }
    await speak('en')
  })
})

describe('a message that is not understood', () => {
  it('stops the build and names itself', () => {
    expect(() => compile({ 'a.b': '{when, date}' })).toThrow("message 'a.b'")
    expect(() => compile({ 'a.b': '{n, plural, one {x}}' })).toThrow("message 'a.b'")
    expect(() => compile({ 'a.b': 'left {open' })).toThrow("message 'a.b'")
  })
})
