<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { components } from '../api/schema'
import { emptyRow, type GenerationRows } from './draft'
import { tell } from '../words/words'

const rows = defineModel<GenerationRows>({ required: true })
const props = defineProps<{
  board: string
  place: number
  conditions: string[]
  problems: components['schemas']['PackProblem'][]
}>()
const body = ref<HTMLElement>()

/** What was found about a line that was typed; empty lines are not sent, so places are counted without them. */
function said(i: number): string {
  if (!rows.value.codes[i]?.pattern.trim()) return ''
  const sent = rows.value.codes.slice(0, i).filter((c) => c.pattern.trim()).length
  const path = `/charts/${props.board}/${props.place}/codes/${sent}`
  return props.problems
    .filter((p) => p.path === path || p.path.startsWith(`${path}/`))
    .map((p) => `${p.reason}. ${p.remedy}.`)
    .join(' ')
}
async function more() {
  rows.value.codes.push(emptyRow())
  await nextTick()
  body.value?.querySelector<HTMLInputElement>('li:last-child input')?.focus()
}
</script>

<template>
  <div ref="body">
    <datalist :id="`conditions-${board}-${place}`">
      <option v-for="c in conditions" :key="c" :value="c"></option>
    </datalist>
    <ol class="codes">
      <li v-for="(code, i) in rows.codes" :key="i">
        <input
          v-model="code.pattern"
          class="form-control field num"
          :aria-label="tell('chartRows.codePattern', { i: i + 1 })"
          :placeholder="tell('chartRows.3Flashes')"
          :data-test="`pattern-${place}-${i}`"
          @keydown.enter.prevent="more"
        />
        <input
          v-model="code.condition"
          class="form-control field"
          :list="`conditions-${board}-${place}`"
          :aria-label="tell('chartRows.codeCondition', { i: i + 1 })"
          :placeholder="tell('chartRows.typeAFewLetters')"
          :data-test="`condition-${place}-${i}`"
          @keydown.enter.prevent="more"
        />
        <input
          v-model="code.text"
          class="form-control field"
          :aria-label="tell('chartRows.codeWordsOfTheChart', { i: i + 1 })"
          :placeholder="tell('chartRows.theChartsOwnWordsIf')"
          @keydown.enter.prevent="more"
        />
        <button
          type="button"
          class="key quiet"
          :aria-label="tell('chartRows.takeOutCode', { i: i + 1 })"
          @click="rows.codes.splice(i, 1)"
        >
          {{ tell('common.out') }}
        </button>
        <p v-if="said(i)" class="said" role="status">{{ said(i) }}</p>
      </li>
    </ol>
    <button type="button" class="key" :data-test="`more-codes-${place}`" @click="more">
      {{ tell('chartRows.anotherCode') }}
    </button>
  </div>
</template>

<style scoped lang="scss">
.codes {
  list-style: none;
  padding: 0;
  margin: 0;
}
.codes li {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 6px;
  margin-bottom: 6px;
}
.said {
  grid-column: 1 / -1;
  margin: 0;
  font-weight: 700;
}
@media (max-width: 700px) {
  .codes li {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    border-bottom: 1px solid var(--line-soft);
    padding-bottom: 6px;
  }
}
</style>
