<script setup lang="ts">
import type { components } from '../api/schema'
import { tell } from '../words/words'

type Control = components['schemas']['ControlInput']
type Function = components['schemas']['TerminalInput']['function']
/** A control with its terminals; outputs draw nothing. */
const props = defineProps<{ title: string; outputs?: boolean }>()
const control = defineModel<Control>({ required: true })
const functions: Record<Function, string> = {
  COOL: tell('controlForm.cooling'),
  COOL_SECOND: tell('controlForm.cooling2'),
  HEAT: tell('controlForm.heating'),
  HEAT_SECOND: tell('controlForm.heating2'),
  FAN: tell('controlForm.fan'),
  REVERSE: tell('controlForm.reversingValve'),
  DRY: tell('controlForm.drying'),
  SHUT_DOWN: tell('controlForm.shutDown'),
}
const taken = (f: string) => control.value.terminals.some((t) => t.function === f)

function set(changes: Partial<Control>) {
  control.value = { ...control.value, ...changes }
}
function terminal(i: number, changes: Partial<Control['terminals'][number]>) {
  set({ terminals: control.value.terminals.map((t, at) => (at === i ? { ...t, ...changes } : t)) })
}
function add() {
  const free = (Object.keys(functions) as Function[]).find((f) => !taken(f))
  if (free) set({ terminals: [...control.value.terminals, { name: '', function: free, va: props.outputs ? 0 : 10 }] })
}
const value = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <fieldset class="control">
    <legend class="h5">{{ title }}</legend>
    <label>
      {{ tell('controlForm.called') }}
      <input class="form-control field" :value="control.label" maxlength="60" @change="set({ label: value($event) })" />
    </label>
    <div class="pair">
      <label>
        24 V
        <input class="form-control field" :value="control.hot" maxlength="40" @change="set({ hot: value($event) })" />
      </label>
      <label>
        {{ tell('controlForm.common') }}
        <input
          class="form-control field"
          :value="control.common"
          maxlength="40"
          @change="set({ common: value($event) })"
        />
      </label>
      <label>
        {{ tell('controlForm.ratedVa') }}
        <input
          class="form-control field num"
          type="number"
          :value="control.ratedVa"
          @change="set({ ratedVa: Number(value($event)) })"
        />
      </label>
      <label>
        {{ tell('controlForm.carriesVa') }}
        <input
          class="form-control field num"
          type="number"
          :value="control.ownVa"
          @change="set({ ownVa: Number(value($event)) })"
        />
      </label>
    </div>
    <ul class="terminals">
      <li v-for="(t, i) in control.terminals" :key="i">
        <input
          class="form-control field"
          :value="t.name"
          :aria-label="tell('controlForm.terminal', { i: i + 1 })"
          maxlength="40"
          @change="terminal(i, { name: value($event) })"
        />
        <select
          class="form-select field"
          :value="t.function"
          :aria-label="tell('controlForm.whatAsksFor', { name: t.name })"
          @change="terminal(i, { function: value($event) as Function })"
        >
          <option v-for="(word, f) in functions" :key="f" :value="f" :disabled="taken(f) && f !== t.function">
            {{ word }}
          </option>
        </select>
        <input
          v-if="!outputs"
          class="form-control field num"
          type="number"
          :value="t.va"
          :aria-label="tell('controlForm.vaOf', { name: t.name })"
          @change="terminal(i, { va: Number(value($event)) })"
        />
        <button
          type="button"
          class="key quiet"
          :aria-label="tell('controlForm.takeOut', { name: t.name })"
          @click="set({ terminals: control.terminals.filter((_, at) => at !== i) })"
        >
          {{ tell('common.out') }}
        </button>
      </li>
    </ul>
    <button v-if="control.terminals.length < 8" type="button" class="key quiet" @click="add">
      {{ tell('controlForm.oneMoreTerminal') }}
    </button>
  </fieldset>
</template>

<style scoped lang="scss">
.control {
  grid-column: 1 / -1;
  display: grid;
  gap: 0.4rem;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
}
.terminals {
  list-style: none;
  margin: 0;
  padding: 0;
}
.terminals li {
  display: flex;
  gap: 0.3rem;
  margin-bottom: 0.3rem;
}
.terminals input {
  width: 4.6rem;
  padding-inline: 0.4rem;
}
.terminals input.num {
  width: 3.6rem;
}
.terminals select {
  flex: 1;
  min-width: 0;
}
</style>
