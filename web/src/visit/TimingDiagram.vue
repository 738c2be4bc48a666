<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Diagram, Tap } from '../api/client'
import { clock } from './format'
import { LEFT, lines, outline, ROW, scale, tickStep, TOP } from './diagramGeometry'
import { tell } from '../words/words'

const props = defineProps<{
  diagram: Diagram
  mark?: number | null
  now?: number | null
  taps?: Tap[]
}>()
const figure = ref<HTMLElement>()
const { width: measured } = useElementSize(figure)
const width = computed(() => Math.max(300, Math.round(measured.value || 760)))
const height = computed(() => TOP + props.diagram.channels.length * ROW + 22)
const x = computed(() => scale(props.diagram, width.value))
const rows = computed(() =>
  props.diagram.channels.map((channel, i) => {
    const low = TOP + (i + 1) * ROW - 6
    return {
      seen: (props.taps ?? [])
        .filter((e) => e.channel === channel.id)
        .map((e) => ({ x: x.value(props.diagram.callAt + e.seconds), begins: e.begins })),
      channel,
      words: lines(channel.label),
      low,
      outline: outline(channel.expected, x.value, props.diagram.from, props.diagram.to, low, low - 16),
      ink: channel.believed.map((b) => ({
        x: x.value(b.from),
        width: Math.max(1, x.value(b.to) - x.value(b.from)),
        y: low - 16 * b.probability,
        height: 16 * b.probability,
      })),
    }
  }),
)
const step = computed(() => tickStep(props.diagram, width.value))
const ticks = computed(() => {
  const list = []
  for (let t = props.diagram.callAt; x.value(t) < width.value - 20; t += step.value) list.push(t)
  return list
})
const stages = computed(() =>
  [...props.diagram.stages]
    .sort((a, b) => a.from - b.from)
    .filter((s) => x.value(s.to) - x.value(s.from) > (width.value < 500 ? 8 : 14)),
)
const current = computed(() => {
  const now = props.now
  return now == null ? undefined : stages.value.find((s) => s.from <= now && now < s.to)
})
</script>

<template>
  <figure ref="figure" class="diagram" data-test="diagram">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="tell('timingDiagram.timingOfTheUnit', { value: diagram.channels.map((c) => c.label).join(', ') })"
    >
      <g v-for="(s, i) in stages" :key="s.id">
        <line :x1="x(s.from)" :x2="x(s.from)" :y1="TOP - 8" :y2="height - 20" class="stage-line" />
        <text :x="x(s.from) + 3" :y="11 + 12 * (i % 3)" class="stage">{{ s.label }}</text>
      </g>
      <g v-for="row in rows" :key="row.channel.id">
        <text :y="row.low - 3 - 6 * (row.words.length - 1)" :class="['channel', { small: row.words.length > 1 }]">
          <tspan v-for="(words, i) in row.words" :key="i" :x="LEFT - 8" :dy="i ? 12 : 0">{{ words }}</tspan>
        </text>
        <rect v-for="(b, i) in row.ink" :key="i" :x="b.x" :y="b.y" :width="b.width" :height="b.height" class="ink" />
        <path :d="row.outline" class="outline" />
        <path
          v-for="(e, i) in row.seen"
          :key="`seen-${i}`"
          :d="e.begins ? `M${e.x} ${row.low}v-18h9v5h-9` : `M${e.x} ${row.low - 18}v18h9v-5h-9`"
          class="seen"
        />
      </g>
      <g v-for="t in ticks" :key="t">
        <line :x1="x(t)" :x2="x(t)" :y1="height - 22" :y2="height - 17" class="tick" />
        <text :x="x(t)" :y="height - 4" class="time">{{ clock(t - diagram.callAt) }}</text>
      </g>
      <g v-if="mark != null && mark >= diagram.from && mark <= diagram.to">
        <line :x1="x(mark)" :x2="x(mark)" :y1="TOP - 8" :y2="height - 20" class="mark" />
        <path :d="`M${x(mark) - 7} ${TOP - 8}h14l-7 9z`" class="mark-head" />
      </g>
      <line
        v-if="now != null && now <= diagram.to"
        :x1="x(now)"
        :x2="x(now)"
        :y1="TOP - 8"
        :y2="height - 20"
        class="now"
      />
    </svg>
    <figcaption>
      <span
        ><svg width="26" height="12" aria-hidden="true"><path d="M0 11H6V2H20V11H26" class="outline" /></svg>
        {{ tell('common.expected3') }}</span
      >
      <span
        ><svg width="26" height="12" aria-hidden="true"><rect x="4" y="4" width="18" height="8" class="ink" /></svg>
        {{ tell('timingDiagram.chanceThatItIsOn') }}</span
      >
      <span v-if="current" class="current"
        ><strong>{{ current.label }}:</strong> {{ current.seen }}</span
      >
    </figcaption>
  </figure>
</template>

<style scoped lang="scss">
.seen {
  fill: var(--next);
  stroke: var(--next);
  stroke-width: 2;
}
.diagram {
  margin: 0;
}
svg {
  width: 100%;
  display: block;
}
text {
  fill: var(--ink);
  font-size: 12px;
}
.channel {
  text-anchor: end;
  font-size: 13px;
  font-weight: 700;
}
.channel.small {
  font-size: 11.5px;
}
.stage {
  fill: var(--ink-soft);
  font-size: 11px;
}
.time {
  text-anchor: middle;
  font-size: 11px;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
}
.ink {
  fill: var(--ink);
  fill-opacity: 0.55;
  transition: all 180ms ease-out;
}
.stage-line,
.tick {
  stroke: var(--line-soft);
}
.mark {
  stroke: var(--next);
  stroke-width: 2.5;
}
.mark-head {
  fill: var(--next);
}
.now {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.25rem;
  font-size: 0.8125rem;
  color: var(--ink-soft);
}
figcaption svg {
  width: 26px;
  display: inline-block;
}
.current {
  color: var(--ink);
}
</style>
