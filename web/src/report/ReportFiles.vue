<script setup lang="ts">
import { computed, ref } from 'vue'

/** The report on paper, and the visit in open formats for other tools. */
const props = defineProps<{ id: string }>()
const paper = ref<'A4' | 'LETTER'>('A4')
const at = computed(() => `/api/visits/${props.id}`)
const others = [
  { file: 'visit.json', label: 'Visit (JSON)', what: 'everything, to be taken in elsewhere' },
  { file: 'readings.csv', label: 'Readings (CSV)', what: 'the log for a spreadsheet' },
  { file: 'run.vcd', label: 'Run (VCD)', what: 'the run for a waveform viewer' },
  { file: 'circuit.cir', label: 'Circuit (SPICE)', what: 'the circuit for a simulator' },
]
</script>

<template>
  <nav class="no-print files" aria-label="The report as a file">
    <RouterLink class="key" :to="`/visits/${id}/verdict`">Back to the visit</RouterLink>
    <span class="paper">
      <select v-model="paper" class="form-select" aria-label="Paper">
        <option value="A4">A4</option>
        <option value="LETTER">Letter</option>
      </select>
      <a class="key next" :href="`${at}/report.pdf?paper=${paper}`" download data-test="pdf">Report (PDF)</a>
    </span>
    <details>
      <summary class="key quiet">Other files</summary>
      <ul>
        <li v-for="other in others" :key="other.file">
          <a class="key quiet" :href="`${at}/${other.file}`" download>{{ other.label }}</a>
          <span class="soft">{{ other.what }}</span>
        </li>
      </ul>
    </details>
  </nav>
</template>

<style scoped lang="scss">
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-bottom: 1rem;
}
.paper {
  display: flex;
  gap: 0.5rem;
}
.form-select {
  width: 6.5rem;
  min-height: 44px;
}
summary {
  list-style: none;
}
ul {
  list-style: none;
  padding: 0.5rem 0 0;
  margin: 0;
  display: grid;
  gap: 0.5rem;
}
li {
  display: flex;
  align-items: center;
  gap: 0.75rem;
}
</style>
