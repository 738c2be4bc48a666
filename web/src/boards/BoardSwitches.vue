<script setup lang="ts">
import type { Family } from '../api/client'
import type { Typed } from './draft'
import { tell } from '../words/words'

/** The switches of a board: what each position means, and where the factory leaves it. */
defineProps<{ family: Family; said: (path: string) => string }>()
const typed = defineModel<Typed>({ required: true })
</script>

<template>
  <details>
    <summary class="h5">{{ tell('boardSwitches.switches') }}</summary>
    <div v-for="s in family.settings" :key="s.id">
      <h3 class="eyebrow">{{ s.label }}, {{ s.unit }}</h3>
      <div v-if="typed.settings[s.id]" class="values">
        <div v-for="(o, i) in typed.settings[s.id]!.options" :key="i" class="pair">
          <input
            v-model="o.position"
            class="form-control field"
            :placeholder="Object.keys(s.options)[i] ?? tell('boardSwitches.position')"
            :aria-label="tell('boardSwitches.position2', { label: s.label, i: i + 1 })"
          />
          <input
            v-model="o.value"
            class="form-control field num"
            inputmode="decimal"
            :placeholder="String(Object.values(s.options)[i] ?? '')"
            :aria-label="tell('boardSwitches.value', { label: s.label, i: i + 1 })"
          />
        </div>
        <div>
          <label :for="`fac-${s.id}`">{{ tell('boardSwitches.factoryPosition') }}</label>
          <input :id="`fac-${s.id}`" v-model="typed.settings[s.id]!.factory" class="form-control field" />
        </div>
      </div>
      <p v-if="said(`/settings/${s.id}`)" class="problem">{{ said(`/settings/${s.id}`) }}</p>
    </div>
  </details>
</template>
