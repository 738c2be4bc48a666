<script setup lang="ts">
import { computed } from 'vue'
import type { components } from '../api/schema'
import { dates, tell } from '../words/words'

/** Week by week: a column for the visits that were closed, full where proven; a mark above it for each that came back. */
const props = defineProps<{ weeks: components['schemas']['Week'][] }>()
const WEEK_MS = 604_800_000
const WIDE = 26
const HIGH = 120
const MARK = 10
const START = 12
const FOOT = 24
const columns = computed(() => {
  const first = Date.parse(props.weeks[0]?.week ?? '')
  return props.weeks.map((w) => ({ ...w, x: START + WIDE * Math.round((Date.parse(w.week) - first) / WEEK_MS) }))
})
const most = computed(() => Math.max(1, ...props.weeks.map((w) => w.visits)))
const marks = computed(() => MARK * Math.max(0, ...props.weeks.map((w) => w.backs)) + MARK)
const width = computed(() => (columns.value.at(-1)?.x ?? 0) + WIDE + START)
const tall = (n: number) => (HIGH * n) / most.value
const day = (week: string) => new Date(`${week}T00:00`).toLocaleDateString(dates(), { day: 'numeric', month: 'short' })
const told = (w: (typeof props.weeks)[number]) =>
  tell('weekTrend.week', { day: day(w.week), visits: w.visits, proven: w.proven, backs: w.backs, boards: w.boards })
/** A day under every so many columns, so that they do not touch. */
const EVERY = 4
</script>

<template>
  <section v-if="weeks.length > 1" data-test="trend">
    <h2 class="h5">{{ tell('weekTrend.weekByWeek') }}</h2>
    <div class="wide" tabindex="0" role="group" :aria-label="tell('weekTrend.weekByWeek')">
      <svg :width="width" :height="marks + HIGH + FOOT" role="img" :aria-label="weeks.map(told).join('; ')">
        <g v-for="(w, i) in columns" :key="w.week" :transform="`translate(${w.x} ${marks})`">
          <title>{{ told(w) }}</title>
          <rect class="rest" x="2" :y="HIGH - tall(w.visits)" :width="WIDE - 6" :height="tall(w.visits)" />
          <rect class="proven" x="2" :y="HIGH - tall(w.proven)" :width="WIDE - 6" :height="tall(w.proven)" />
          <path
            v-for="n in w.backs"
            :key="n"
            class="back"
            :d="`M${WIDE / 2 - 1},${HIGH - tall(w.visits) - MARK * n} l5,8 h-10 z`"
          />
          <text v-if="i % EVERY === 0" x="0" :y="HIGH + 18">{{ day(w.week) }}</text>
        </g>
        <line x1="0" :x2="width" :y1="marks + HIGH" :y2="marks + HIGH" class="foot" />
      </svg>
    </div>
    <p class="soft key-line">{{ tell('weekTrend.legend') }}</p>
  </section>
</template>

<style scoped lang="scss">
.wide {
  overflow-x: auto;
}
.proven {
  fill: var(--ink);
}
.rest {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-dasharray: 3 2;
}
.back {
  fill: var(--danger);
}
.foot {
  stroke: var(--line);
  stroke-width: 2;
}
text {
  fill: var(--ink);
  font-size: 12px;
}
.key-line {
  margin: 0.25rem 0 0;
}
</style>
