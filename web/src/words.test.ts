import { describe, expect, it } from 'vitest'
import forbidden from '../../casework/src/main/resources/words/forbidden.txt?raw'

/** What is written in the views themselves is held to the same words as the catalogue: no forbidden word, short sentences, questions that are questions. */
const views = import.meta.glob<string>('./**/*.vue', { query: '?raw', import: 'default', eager: true })
const MOST_WORDS = 18
const ASKS = /^(Is|Are|Does|Did|Was|Were|Has|Have) (?!not )/

const words = forbidden
  .split('\n')
  .filter((line) => line && !line.startsWith('#'))
  .map((line) => line.split('\t') as [string, string])

/** The texts between the tags and in what is read aloud, without what is filled in. */
function texts(view: string): string[] {
  const template = (/<template>([^]*)<\/template>/.exec(view)?.[1] ?? '')
    .replace(/<!--[^]*?-->/g, '')
    .replace(/\{\{[^]*?\}\}/g, '…')
  const read = [...template.matchAll(/\s(?:placeholder|aria-label|title|label)="([^"]+)"/g)].map((m) => m[1]!)
  const shown = [...template.replace(/"[^"]*"/g, '""').matchAll(/>([^<>]+)</g)].map((m) => m[1]!)
  return [...read, ...shown].map((text) => text.replace(/\s+/g, ' ').trim()).filter((text) => /[A-Za-z]{2}/.test(text))
}

const all = Object.entries(views).flatMap(([file, view]) => texts(view).map((text) => ({ file, text })))
const sentences = all.flatMap(({ file, text }) => text.split(/(?<=[.?!]) /).map((one) => ({ file, text: one })))

describe('what the views say', () => {
  it('has no forbidden word', () => {
    expect(all.length).toBeGreaterThan(400)
    const found = all.flatMap(({ file, text }) =>
      words.filter(([word]) => new RegExp(word, 'i').test(text)).map(([, say]) => `${file}: '${text}', say ${say}`),
    )
    expect(found).toEqual([])
  })

  it('is short', () => {
    expect(sentences.filter(({ text }) => text.split(' ').length > MOST_WORDS)).toEqual([])
  })

  it('asks with a question mark', () => {
    expect(sentences.filter(({ text }) => ASKS.test(text) && !/[?…:]$/.test(text))).toEqual([])
  })
})
