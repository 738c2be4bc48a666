import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'

/** What stands in a message: words, the value of a name, or one of several forms by that value as a number. */
export type Part = string | { of: string; plural?: Record<string, Part[]> }
/** Messages by key; one without values is its words alone. */
export type Compiled = Record<string, string | Part[]>

function parts(elements: MessageFormatElement[], number: string): Part[] {
  return elements.map((element): Part => {
    if (element.type === TYPE.literal) return element.value
    if (element.type === TYPE.argument) return { of: element.value }
    if (element.type === TYPE.pound) return { of: number }
    if (element.type === TYPE.plural && element.pluralType === 'cardinal' && !element.offset)
      return {
        of: element.value,
        plural: Object.fromEntries(
          Object.entries(element.options).map(([form, option]) => [form, parts(option.value, element.value)]),
        ),
      }
    throw new Error(`only values and plurals are understood, not ${JSON.stringify(element)}`)
  })
}

/** Takes a catalogue in ICU's message syntax apart, so that a page needs no parser; the build does it. */
export function compile(catalogue: Record<string, string>): Compiled {
  return Object.fromEntries(
    Object.entries(catalogue).map(([key, message]) => {
      try {
        const compiled = parts(parse(message, { ignoreTag: true }), '')
        return [key, compiled.every((part) => typeof part === 'string') ? compiled.join('') : compiled]
      } catch (cause) {
        throw new Error(`message '${key}': ${String(cause)}`, { cause })
      }
    }),
  )
}
