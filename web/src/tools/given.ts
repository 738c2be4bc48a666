import type { components } from '../api/schema'

type Calculator = components['schemas']['CalculatorView']
type Inputs = Record<string, number | string | null>

/** What stands in the inputs of a calculation at first: its usual numbers, nothing where one may be left out, the first option. */
export function usually(calculator: Calculator): Inputs {
  return Object.fromEntries(calculator.inputs.map((i) => [i.id, i.options[0]?.id ?? i.usual ?? null]))
}

/** What was typed, as numbers and choices; an empty field is not sent. */
export function given(calculator: Calculator, inputs: Inputs): components['schemas']['CalculatorInput'] {
  const numbers: Record<string, number> = {}
  const choices: Record<string, string> = {}
  for (const { id, options } of calculator.inputs) {
    const value = inputs[id]
    if (options.length) choices[id] = String(value)
    else if (typeof value === 'number') numbers[id] = value
  }
  return { numbers, choices }
}
