<script setup lang="ts">
import type { BoardCheck, Family } from '../api/client'
import ChartRows from './ChartRows.vue'
import { emptyRow, type Typed } from './draft'
import { tell } from '../words/words'

/** The code charts of a board, each in one or several generations. */
defineProps<{ family: Family; check: BoardCheck | null }>()
const typed = defineModel<Typed>({ required: true })
</script>

<template>
  <section
    v-for="chart in family.charts"
    :key="chart.board"
    :aria-label="tell('boardCharts.chartOfThe', { label: chart.label })"
  >
    <h2 class="h5">{{ tell('boardCharts.codeChart', { label: chart.label }) }}</h2>
    <div v-for="(g, i) in typed.charts[chart.board]" :key="i" class="generation">
      <div v-if="(typed.charts[chart.board]?.length ?? 0) > 1" class="gen-head">
        <input
          v-model="g.generation"
          class="form-control field"
          :aria-label="tell('boardCharts.generation', { i: i + 1 })"
        />
        <label :for="`w-${chart.board}-${i}`">{{ tell('boardCharts.howLikelyItIsThis') }}</label>
        <input
          :id="`w-${chart.board}-${i}`"
          v-model.number="g.weight"
          type="number"
          min="0.1"
          step="0.1"
          class="form-control field weight"
        />
        <button type="button" class="key quiet" @click="typed.charts[chart.board]!.splice(i, 1)">
          {{ tell('common.out') }}
        </button>
      </div>
      <ChartRows
        v-model="typed.charts[chart.board]![i]!"
        :board="chart.board"
        :place="i"
        :conditions="chart.conditions"
        :problems="[...(check?.problems ?? []), ...(check?.notes ?? [])]"
      />
    </div>
    <button
      type="button"
      class="key quiet"
      @click="
        typed.charts[chart.board]!.push({
          generation: `generation ${typed.charts[chart.board]!.length + 1}`,
          weight: 1,
          codes: [emptyRow()],
        })
      "
    >
      {{ tell('boardCharts.anotherChartGenerationWhenYou') }}
    </button>
  </section>
</template>

<style scoped lang="scss">
.generation {
  margin-bottom: 0.75rem;
}
.gen-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-bottom: 6px;
}
.gen-head .field {
  width: 14rem;
}
.gen-head .weight {
  width: 6rem;
}
</style>
