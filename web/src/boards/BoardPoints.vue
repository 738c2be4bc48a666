<script setup lang="ts">
import type { Family } from '../api/client'
import { CONDUCTOR_COLOURS } from '../visit/conductor'
import type { Typed } from './draft'
import { tell } from '../words/words'

/** What stands beside each terminal of a board, and the colours of its conductors. */
defineProps<{ family: Family }>()
const typed = defineModel<Typed>({ required: true })
</script>

<template>
  <details>
    <summary class="h5">{{ tell('boardPoints.terminalsAndWireColors') }}</summary>
    <datalist id="colours"><option v-for="c in CONDUCTOR_COLOURS" :key="c" :value="c"></option></datalist>
    <ul class="points">
      <li v-for="p in family.points" :key="p.id">
        <span
          >{{ p.label }} <span class="soft">{{ p.where }}</span></span
        >
        <input
          v-model="typed.labels[p.id]"
          class="form-control field"
          :placeholder="p.label"
          :aria-label="tell('boardPoints.labelOnThisBoard', { label: p.label })"
        />
        <input
          v-model="typed.colours[p.id]"
          class="form-control field"
          list="colours"
          :placeholder="p.colour"
          :aria-label="tell('boardPoints.conductorColour', { label: p.label })"
        />
      </li>
    </ul>
  </details>
</template>

<style scoped lang="scss">
.points {
  list-style: none;
  padding: 0;
}
.points li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 6px;
  align-items: center;
  padding: 3px 0;
}
</style>
