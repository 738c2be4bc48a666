<script setup lang="ts">
import { computed, ref } from 'vue'
import { MARGIN, path, region, sheet, type Air } from './airChart'
import { useSheet } from './useSheet'
import { tell } from '../words/words'

const props = defineProps<{ air: Air }>()
const figure = ref<HTMLElement>()
const { width, height } = useSheet(figure, { least: 300, most: 460, share: 0.66 })
const on = computed(() => sheet(width.value, height.value))
const states = computed(() => [
  { id: 'outdoor', word: tell('airChart.outdoors'), air: props.air.outdoor, shape: 'circle', below: true },
  { id: 'returned', word: tell('airChart.return'), air: props.air.returned, shape: 'square' },
  { id: 'mixed', word: tell('airChart.mixed'), air: props.air.mixed, shape: 'cross' },
])
</script>

<template>
  <figure ref="figure" class="chart" data-test="air-chart">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="tell('airChart.chartOfMoistAirTemperature')">
      <defs>
        <pattern id="good" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="8" class="hatch" />
        </pattern>
      </defs>
      <path :d="region(air.border, on)" fill="url(#good)" class="border" />
      <path
        v-for="line in air.lines"
        :key="line.humidity"
        :d="path(line.points, on)"
        :class="line.humidity === 100 ? 'saturated' : 'humid'"
      />
      <line :x1="on.left" :x2="on.right" :y1="on.bottom" :y2="on.bottom" class="axis" />
      <line :x1="on.right" :x2="on.right" :y1="on.bottom" :y2="on.top" class="axis" />
      <text v-for="f in on.degrees" :key="f" :x="on.x(f)" :y="height - MARGIN.bottom + 16" text-anchor="middle">
        {{ f }}
      </text>
      <text :x="on.middle" :y="height - 3" text-anchor="middle">{{ tell('airChart.fDryBulb') }}</text>
      <text v-for="g in on.grains" :key="g" :x="on.right + 5" :y="on.y(g) + 4">{{ g }}</text>
      <text :x="on.right - 4" :y="on.top + 4" text-anchor="end">{{ tell('airChart.grainsAPound') }}</text>
      <line
        :x1="on.x(air.outdoor.dryBulb)"
        :x2="on.x(air.returned.dryBulb)"
        :y1="on.y(air.outdoor.grains)"
        :y2="on.y(air.returned.grains)"
        class="mixing"
      />
      <g v-for="s in states" :key="s.id" :data-state="s.id">
        <circle v-if="s.shape === 'circle'" :cx="on.x(s.air.dryBulb)" :cy="on.y(s.air.grains)" r="7" class="mark" />
        <rect
          v-else-if="s.shape === 'square'"
          :x="on.x(s.air.dryBulb) - 6"
          :y="on.y(s.air.grains) - 6"
          width="12"
          height="12"
          class="mark"
        />
        <path
          v-else
          :d="`M${on.x(s.air.dryBulb) - 7} ${on.y(s.air.grains)}h14m-7 -7v14`"
          class="mark"
          stroke-width="4"
        />
        <text :x="on.x(s.air.dryBulb)" :y="on.y(s.air.grains) + (s.below ? 22 : -12)" text-anchor="middle" class="word">
          {{ s.word }}
        </text>
      </g>
    </svg>
    <figcaption class="soft">{{ tell('airChart.hatchedOutdoorAirIsGood') }}</figcaption>
  </figure>
</template>

<style scoped lang="scss">
.chart {
  margin: 0;
}
.hatch {
  stroke: var(--next);
  stroke-width: 2;
}
.border {
  fill: url(#good);
  stroke: var(--next);
  stroke-width: 2;
}
.humid {
  stroke: var(--line-soft);
}
.saturated {
  stroke-width: 3;
}
.mixing {
  stroke-dasharray: 6 4;
}
.mark {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
