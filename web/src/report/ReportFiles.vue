<script setup lang="ts">
import { computed, ref } from 'vue'
import { tell } from '../words/words'

/** The report on paper, and the visit in open formats for other tools. */
const props = defineProps<{ id: string }>()
const paper = ref<'A4' | 'LETTER'>('A4')
const at = computed(() => `/api/visits/${props.id}`)
const others = [
  { file: 'visit.json', label: tell('reportFiles.visitJson'), what: tell('reportFiles.everythingToBeTakenIn') },
  { file: 'readings.csv', label: tell('reportFiles.readingsCsv'), what: tell('reportFiles.theLogForASpreadsheet') },
  { file: 'run.vcd', label: tell('reportFiles.runVcd'), what: tell('reportFiles.theRunForAWaveform') },
  { file: 'circuit.cir', label: tell('reportFiles.circuitSpice'), what: tell('reportFiles.theCircuitForASimulator') },
]
</script>

<template>
  <nav class="no-print files" :aria-label="tell('reportFiles.theReportAsAFile')">
    <RouterLink class="key" :to="`/visits/${id}/verdict`">{{ tell('reportFiles.backToTheVisit') }}</RouterLink>
    <span class="paper">
      <select v-model="paper" class="form-select" :aria-label="tell('reportFiles.paper')">
        <option value="A4">A4</option>
        <option value="LETTER">{{ tell('reportFiles.letter') }}</option>
      </select>
      <a class="key next" :href="`${at}/report.pdf?paper=${paper}`" download data-test="pdf">{{
        tell('reportFiles.reportPdf')
      }}</a>
    </span>
    <details>
      <summary class="key quiet">{{ tell('reportFiles.otherFiles') }}</summary>
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
