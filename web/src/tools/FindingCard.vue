<script setup lang="ts">
import type { components } from '../api/schema'
import CurveChart from './CurveChart.vue'
import { tell } from '../words/words'

/** What comes of a calculation: the sentence, the numbers, the picture, the reason and the source. */
defineProps<{ finding: components['schemas']['FindingPage'] }>()
const told = (value: number, decimals: number) =>
  value.toLocaleString('en-US', { minimumFractionDigits: decimals, maximumFractionDigits: decimals })
</script>

<template>
  <p v-for="stop in finding.stops" :key="stop" class="problem" role="alert" data-test="calculator-stop">{{ stop }}</p>
  <p v-if="!finding.stops.length" class="says" :class="{ off: !finding.good }" data-test="calculator-says">
    {{ finding.says }}
  </p>
  <dl class="results" :class="{ stopped: finding.stops.length }">
    <div v-for="r in finding.results" :key="r.id">
      <dt>{{ r.label }}</dt>
      <dd class="num">
        {{ told(r.value, r.decimals) }} <span class="soft">{{ r.unit }}</span>
      </dd>
    </div>
  </dl>
  <CurveChart v-if="finding.curve" :curve="finding.curve" />
  <p class="mt-3">{{ finding.reason }}</p>
  <p class="soft">{{ tell('findingCard.theMakersInstructionsAndThe', { source: finding.source }) }}</p>
</template>

<style scoped lang="scss">
.says {
  margin: 0;
  font-size: 1.75rem;
  font-weight: 700;
}
.off::before {
  content: '▲ ';
}
.results {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 2rem;
  margin: 0.75rem 0 0;
}
.results div {
  display: flex;
  flex-direction: column-reverse;
}
.results dt {
  font-weight: 400;
  color: var(--ink-soft);
}
.results dd {
  margin: 0;
  font-size: 1.75rem;
  font-weight: 700;
}
.results div:first-child dd {
  font-size: 2.5rem;
}
.results.stopped dd {
  font-size: 1.25rem;
  color: var(--ink-soft);
}
.results .soft {
  font-size: 1rem;
  font-weight: 400;
}
</style>
