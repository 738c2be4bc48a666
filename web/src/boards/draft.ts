import type { Draft } from '../api/client'
import { tell } from '../words/words'

/** A line of a chart as it is being typed. */
export interface CodeRow {
  pattern: string
  condition: string
  text: string
}
/** A chart generation as it is being typed. */
export interface GenerationRows {
  generation: string
  weight: number
  codes: CodeRow[]
}
/** What the editor holds; empty strings are what nobody typed. */
export interface Typed {
  name: string
  title: string
  /** Option by choice of the family; what is not in it is as usual. */
  choices: Record<string, string>
  charts: Record<string, GenerationRows[]>
  timings: Record<string, string>
  labels: Record<string, string>
  colours: Record<string, string>
  fuses: Record<string, string>
  nominals: Record<string, { value: string; tolerance: string }>
  /** In which order it takes power and call; empty where it does as its family does. */
  call: { order: string; why: string }
  settings: Record<string, { factory: string; options: { position: string; value: string }[] }>
  /** Numbers of a range that this board has, by setting; kept as they came. */
  ranges: NonNullable<Draft['settings']>
  limits: Record<string, { least: string; most: string }>
  /** What to know of a part in hand: a line each. */
  handling: Record<string, string>
  /** Screens of its menu; kept as they came. */
  menu: Draft['menu']
}

export const emptyRow = (): CodeRow => ({ pattern: '', condition: '', text: '' })

/** A bare count is so many flashes. */
export const patternOf = (typed: string): string =>
  /^\s*\d+\s*$/.test(typed) ? tell('draft.flashes', { value: typed.trim() }) : typed.trim()

function filled<T>(entries: Record<string, string>, value: (text: string) => T): Record<string, T> | undefined {
  const kept = Object.entries(entries).filter(([, text]) => text.trim() !== '')
  return kept.length ? Object.fromEntries(kept.map(([id, text]) => [id, value(text.trim())])) : undefined
}
const number = (text: string) => Number(text.replace(',', '.'))

/** The draft that the server checks and keeps: only what somebody typed. */
export function toDraft(typed: Typed, family: string): Draft {
  const charts = Object.entries(typed.charts)
    .map(([board, generations]): [string, NonNullable<Draft['charts']>[string]] => [
      board,
      generations
        .map((g) => ({
          generation: g.generation,
          weight: g.weight,
          codes: g.codes
            .filter((c) => c.pattern.trim())
            .map((c) => ({
              pattern: patternOf(c.pattern),
              condition: c.condition || undefined,
              text: c.text.trim() || undefined,
            })),
        }))
        .filter((g) => g.codes.length),
    ])
    .filter(([, generations]) => generations.length)
  const nominals = Object.entries(typed.nominals).filter(([, n]) => n.value.trim())
  const limits = Object.entries(typed.limits).filter(([, l]) => l.least.trim() || l.most.trim())
  const handling = Object.entries(typed.handling)
    .map(([part, text]): [string, string[]] => [part, text.split('\n').flatMap((line) => line.trim() || [])])
    .filter(([, lines]) => lines.length)
  const settings = Object.entries(typed.settings).filter(([, s]) => s.options.some((o) => o.position.trim()))
  return {
    overlay: typed.name,
    family,
    title: typed.title,
    choices: filled(typed.choices, (t) => t),
    charts: charts.length ? Object.fromEntries(charts) : undefined,
    timings: filled(typed.timings, number),
    labels: filled(typed.labels, (t) => t),
    colours: filled(typed.colours, (t) => t),
    fuses: filled(typed.fuses, number),
    nominals: nominals.length
      ? Object.fromEntries(
          nominals.map(([id, n]) => [
            id,
            { value: number(n.value), tolerance: n.tolerance.trim() ? number(n.tolerance) / 100 : undefined },
          ]),
        )
      : undefined,
    call:
      typed.call.order || typed.call.why.trim()
        ? { order: typed.call.order as NonNullable<Draft['call']>['order'], why: typed.call.why.trim() }
        : undefined,
    limits: limits.length
      ? Object.fromEntries(
          limits.map(([id, l]) => [
            id,
            {
              least: l.least.trim() ? number(l.least) : undefined,
              most: l.most.trim() ? number(l.most) : undefined,
            },
          ]),
        )
      : undefined,
    handling: handling.length ? Object.fromEntries(handling) : undefined,
    menu: typed.menu,
    settings:
      settings.length || Object.keys(typed.ranges).length
        ? Object.assign(
            { ...typed.ranges },
            Object.fromEntries(
              settings.map(([id, s]) => [
                id,
                {
                  factory: s.factory,
                  options: Object.fromEntries(
                    s.options.filter((o) => o.position.trim()).map((o) => [o.position.trim(), number(o.value)]),
                  ),
                },
              ]),
            ),
          )
        : undefined,
  }
}

/** The other way: a kept board back into the editor. */
export function fromDraft(draft: Draft): Typed {
  const texts = (values?: Record<string, number | string>) =>
    Object.fromEntries(Object.entries(values ?? {}).map(([id, v]) => [id, String(v)]))
  return {
    name: draft.overlay,
    title: draft.title,
    choices: texts(draft.choices),
    charts: Object.fromEntries(
      Object.entries(draft.charts ?? {}).map(([board, generations]) => [
        board,
        generations.map((g) => ({
          generation: g.generation,
          weight: g.weight ?? 1,
          codes: g.codes.map((c) => ({ pattern: c.pattern, condition: c.condition ?? '', text: c.text ?? '' })),
        })),
      ]),
    ),
    timings: texts(draft.timings),
    labels: texts(draft.labels),
    colours: texts(draft.colours),
    fuses: texts(draft.fuses),
    nominals: Object.fromEntries(
      Object.entries(draft.nominals ?? {}).map(([id, n]) => [
        id,
        { value: String(n.value), tolerance: n.tolerance ? String(Math.round(1000 * n.tolerance) / 10) : '' },
      ]),
    ),
    call: { order: draft.call?.order ?? '', why: draft.call?.why ?? '' },
    settings: Object.fromEntries(
      Object.entries(draft.settings ?? {}).flatMap(([id, s]) =>
        s.options
          ? [
              [
                id,
                {
                  factory: s.factory,
                  options: Object.entries(s.options).map(([position, value]) => ({ position, value: String(value) })),
                },
              ],
            ]
          : [],
      ),
    ),
    ranges: Object.fromEntries(Object.entries(draft.settings ?? {}).filter(([, s]) => s.range)),
    limits: Object.fromEntries(
      Object.entries(draft.limits ?? {}).map(([id, l]) => [
        id,
        { least: l.least == null ? '' : String(l.least), most: l.most == null ? '' : String(l.most) },
      ]),
    ),
    handling: Object.fromEntries(Object.entries(draft.handling ?? {}).map(([part, lines]) => [part, lines.join('\n')])),
    menu: draft.menu,
  }
}
