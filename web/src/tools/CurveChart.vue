<script setup lang="ts">
import { computed, ref } from 'vue'
import type { components } from '../api/schema'
import { drawn } from './curve'
import { useSheet } from './useSheet'
import { tell } from '../words/words'

/** Lines over one axis, and where this unit stands on them. */
const props = defineProps<{ curve: components['schemas']['CurvePage'] }>()
const figure = ref<HTMLElement>()
const { width, height } = useSheet(figure, { least: 240, most: 380, share: 0.55 })
const on = computed(() => drawn(props.curve, width.value, height.value))
const title = computed(() => tell('curveChart.by', { up: props.curve.up.label, across: props.curve.across.label }))
/** A bare number has no unit. */
const named = (axis: { label: string; unit: string }) => (axis.unit ? `${axis.label}, ${axis.unit}` : axis.label)
</script>

<template>
  <figure ref="figure" class="chart" data-test="curve">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="title">
      <g v-for="tick in on.up" :key="`u${tick.text}`">
        <line :x1="on.left" :x2="on.right" :y1="tick.at" :y2="tick.at" class="grid" />
        <text :x="on.left - 6" :y="tick.at + 4" text-anchor="end">{{ tick.text }}</text>
      </g>
      <g v-for="tick in on.across" :key="`a${tick.text}`">
        <line :x1="tick.at" :x2="tick.at" :y1="on.bottom" :y2="on.bottom + 5" class="axis" />
        <text :x="tick.at" :y="on.bottom + 18" text-anchor="middle">{{ tick.text }}</text>
      </g>
      <line :x1="on.left" :x2="on.right" :y1="on.bottom" :y2="on.bottom" class="axis" />
      <text :x="on.right" :y="height - 4" text-anchor="end">{{ named(curve.across) }}</text>
      <text :x="4" :y="14">{{ named(curve.up) }}</text>
      <defs>
        <pattern id="all-below" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="8" class="hatch" />
        </pattern>
      </defs>
      <path v-for="line in on.lines" :key="line.label" :d="line.path" :class="line.look" />
      <text
        v-for="line in on.lines.length > 1 ? on.lines : []"
        :key="line.label"
        :x="line.x"
        :y="line.y"
        text-anchor="middle"
        class="word"
      >
        {{ line.label }}
      </text>
      <g v-for="spot in on.spots" :key="spot.label">
        <line :x1="spot.x" :x2="spot.x" :y1="spot.y" :y2="on.bottom" class="drop" />
        <circle :cx="spot.x" :cy="spot.y" r="7" class="spot" />
        <text :x="spot.x" :y="spot.word" :text-anchor="spot.anchor" class="word">{{ spot.label }}</text>
      </g>
    </svg>
  </figure>
</template>

<style scoped lang="scss">
.chart {
  margin: 0.75rem 0 0;
}
text {
  font-variant-numeric: tabular-nums;
}
.grid {
  stroke: var(--line-soft);
}
.plain-0,
.plain-1,
.plain-2 {
  stroke-width: 3;
}
.plain-1 {
  stroke-dasharray: 10 5;
}
.plain-2 {
  stroke-dasharray: 3 5;
}
.faint {
  stroke: var(--line-soft);
}
.hatch {
  stroke: var(--next);
  stroke-width: 2;
}
.all-below {
  fill: url(#all-below);
  stroke: var(--next);
  stroke-width: 2;
}
.drop {
  stroke-dasharray: 2 4;
}
.spot {
  fill: var(--paper);
  stroke: var(--next);
  stroke-width: 4;
}
</style>
