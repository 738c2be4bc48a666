<script setup lang="ts">
import type { LogLine } from '../api/client'
import { timeOfDay } from '../visit/format'
import { tell } from '../words/words'

/** Lines of the log as they stand in a report; good adds what a unit in good order has. */
defineProps<{ lines: LogLine[]; good?: boolean }>()
</script>

<template>
  <table class="table">
    <thead>
      <tr>
        <th scope="col">{{ tell('reportLines.time') }}</th>
        <th scope="col">{{ tell('reportLines.what') }}</th>
        <th scope="col">{{ tell('common.found') }}</th>
        <th v-if="good" scope="col">{{ tell('reportLines.expected') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in lines" :key="line.id">
        <td class="num">{{ timeOfDay(line.madeAt) }}</td>
        <td>{{ line.what }}</td>
        <td class="num">{{ line.found }}</td>
        <td v-if="good" class="num">{{ line.due || line.judgement }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped lang="scss">
td:nth-child(3) {
  width: 22%;
}
td:nth-child(4) {
  width: 24%;
}
</style>
