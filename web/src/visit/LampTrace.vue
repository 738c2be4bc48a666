<script setup lang="ts">
import { computed } from 'vue'
import type { LampReading, NewTrace } from '../api/client'
import { percent } from './format'
import { tell } from '../words/words'

const props = defineProps<{ trace: NewTrace; reading: LampReading; notes: string[] }>()
const emit = defineEmits<{ keep: []; drop: [] }>()
const W = 600
const H = 110
const from = computed(() => props.trace.seconds[0] ?? 0)
const to = computed(() => props.trace.seconds.at(-1) ?? 1)
const least = computed(() => Math.min(...props.trace.level, ...props.reading.threshold))
const most = computed(() => Math.max(...props.trace.level, ...props.reading.threshold))
const x = (t: number) => ((t - from.value) / Math.max(to.value - from.value, 0.001)) * W
const y = (v: number) => H - 6 - ((v - least.value) / Math.max(most.value - least.value, 1e-9)) * (H - 34)
const line = (times: number[], values: number[]) =>
  values.map((v, i) => `${i ? 'L' : 'M'}${x(times[i] ?? 0).toFixed(1)} ${y(v).toFixed(1)}`).join('')
const level = computed(() => line(props.trace.seconds, props.trace.level))
const threshold = computed(() => line(props.trace.seconds, props.reading.threshold))
</script>

<template>
  <div class="trace" data-test="trace">
    <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="tell('lampTrace.brightnessOfTheLampWith')">
      <rect
        v-for="(f, i) in reading.flashes"
        :key="i"
        :x="x(f.at)"
        y="4"
        :width="Math.max(3, x(f.at + (f.litSeconds || 0.1)) - x(f.at))"
        height="14"
        class="flash"
      />
      <path :d="threshold" class="threshold" />
      <path :d="level" class="level" />
    </svg>
    <p class="soft">
      {{
        tell('lampTrace.solidBrightnessDashedWhatSeparates', {
          count: reading.flashes.length,
          from: Math.round(to - from),
        })
      }}
    </p>
    <p v-for="n in notes" :key="n" class="caution">{{ n }}</p>
    <ul class="weights">
      <li v-for="w in reading.weights" :key="w.pattern">
        <strong>{{ w.pattern }}</strong> <span>{{ w.condition }}</span>
        <span class="num">{{ percent(w.weight) }}</span>
      </li>
    </ul>
    <div class="d-flex gap-2">
      <button type="button" class="key next flex-fill" data-test="keep-trace" @click="emit('keep')">
        {{ tell('lampTrace.keepThisReading') }}
      </button>
      <button type="button" class="key" data-test="drop-trace" @click="emit('drop')">
        {{ tell('lampTrace.recordAgain') }}
      </button>
    </div>
  </div>
</template>

<style scoped lang="scss">
svg {
  width: 100%;
  height: auto;
  border: 2px solid var(--line);
  background: var(--paper);
}
.level {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.threshold {
  fill: none;
  stroke: var(--ink-soft);
  stroke-dasharray: 5 4;
}
.flash {
  fill: var(--ink);
}
.weights {
  list-style: none;
  padding: 0;
}
.weights li {
  display: grid;
  grid-template-columns: 8rem 1fr auto;
  gap: 0.75rem;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line-soft);
}
</style>
