<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { Drawing, DrawingSpot } from '../api/client'
import { conductorColour } from './conductor'
import { percent } from './format'
import { symbolPath } from './symbols'
import { tell } from '../words/words'

/** A ladder diagram: to be scrolled, pinched and searched. What stands in the slot stands beside its tools. */
const props = defineProps<{ drawing: Drawing; black?: string | null; red?: string | null }>()
const emit = defineEmits<{ pick: [net: string] }>()

const STEP = 1.25
const [LEAST, MOST] = [0.4, 3]
const scale = ref(globalThis.innerWidth < 700 ? 0.85 : 1)
const zoom = (by: number) => (scale.value = Math.min(MOST, Math.max(LEAST, scale.value * by)))
const frame = ref<HTMLElement>()
/** Two fingers, each where it is. */
const fingers = new Map<number, { x: number; y: number }>()
const apart = () => {
  const [a, b] = [...fingers.values()]
  return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0
}
function down(event: PointerEvent) {
  if (event.pointerType === 'touch') fingers.set(event.pointerId, { x: event.clientX, y: event.clientY })
}
function moved(event: PointerEvent) {
  if (!fingers.has(event.pointerId) || fingers.size !== 2) return
  const before = apart()
  fingers.set(event.pointerId, { x: event.clientX, y: event.clientY })
  if (before) zoom(apart() / before)
}
const up = (event: PointerEvent) => fingers.delete(event.pointerId)
function keyed(event: KeyboardEvent) {
  if (event.key === '+' || event.key === '=') zoom(STEP)
  else if (event.key === '-') zoom(1 / STEP)
  else return
  event.preventDefault()
}

const search = ref('')
const named = computed(() => props.drawing.spots.filter((s) => s.label.length))
const hits = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  return words.length
    ? named.value.filter((s) => words.every((w) => s.label.join(' ').toLowerCase().includes(w))).slice(0, 6)
    : []
})
const at = ref('')
async function show(net: string) {
  at.value = net
  search.value = ''
  await nextTick()
  const spot = named.value.find((s) => s.net === net)
  const box = frame.value
  if (spot && box)
    box.scrollTo({
      left: spot.x * scale.value - box.clientWidth / 2,
      top: spot.y * scale.value - box.clientHeight / 2,
    })
}
watch(
  () => [props.drawing.moment, props.red] as const,
  ([, red]) => red && show(red),
  { immediate: true },
)
const probe = (s: DrawingSpot) => (s.net === props.red ? 'R' : s.net === props.black ? 'B' : '')
function read(s: DrawingSpot) {
  if (s.label.length) emit('pick', s.net)
}
</script>

<template>
  <div class="sheet">
    <div class="tools">
      <slot />
      <div class="find">
        <label class="visually-hidden" for="find-point">{{ tell('ladderSheet.findAPoint') }}</label>
        <input
          id="find-point"
          v-model="search"
          class="form-control field"
          :placeholder="tell('ladderSheet.findAPoint')"
          autocomplete="off"
          data-test="find-point"
        />
        <ul v-if="hits.length">
          <li v-for="h in hits" :key="h.net">
            <button type="button" class="key quiet" @click="show(h.net)">{{ h.label.join(' ') }}</button>
          </li>
        </ul>
      </div>
      <div class="zoom" role="group" :aria-label="tell('ladderSheet.size')">
        <button type="button" class="key" :aria-label="tell('ladderSheet.smaller')" @click="zoom(1 / STEP)">−</button>
        <button type="button" class="key" :aria-label="tell('ladderSheet.larger')" @click="zoom(STEP)">+</button>
      </div>
    </div>
    <div
      ref="frame"
      class="frame"
      tabindex="0"
      role="group"
      :aria-label="tell('ladderSheet.ladderDiagramOfTheUnit')"
      @pointerdown="down"
      @pointermove="moved"
      @pointerup="up"
      @pointercancel="up"
      @keydown="keyed"
    >
      <svg
        :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
        :width="drawing.width * scale"
        :height="drawing.height * scale"
        data-test="sheet"
      >
        <template v-for="m in drawing.marks" :key="`b${m.element}${m.x}`">
          <rect
            v-if="m.board"
            class="board"
            :x="m.x - 8"
            :y="m.y - 14"
            :width="m.right - m.x + 16"
            :height="22 + 14 * m.label.length"
          />
        </template>
        <path
          v-for="(w, i) in drawing.wires"
          :key="`w${i}`"
          class="wire"
          :class="{ live: w.live }"
          :d="`M${w.x} ${w.y}L${w.right} ${w.bottom}`"
        />
        <g
          v-for="m in drawing.marks"
          :key="`${m.element}${m.x}${m.y}`"
          class="mark"
          :class="{ suspect: m.state.suspected > 0, sound: m.state.sound }"
          :data-element="m.element"
        >
          <path v-if="m.symbol === 'WIRE'" class="wire" :d="`M${m.x} ${m.y}H${m.right}`" />
          <path v-else :transform="`translate(${m.x} ${m.y})`" :d="symbolPath(m.symbol, m.state.closed)" />
          <text
            v-for="(line, k) in m.label"
            :key="k"
            :x="(m.x + m.right) / 2"
            :y="m.y + 23 + 14 * k"
            text-anchor="middle"
          >
            {{ line }}
          </text>
          <text
            v-if="m.state.suspected > 0"
            class="share"
            :x="(m.x + m.right) / 2"
            :y="m.y + 23 + 14 * m.label.length"
            text-anchor="middle"
          >
            {{ percent(m.state.suspected) }}
          </text>
          <path v-if="m.state.sound" class="through" :d="`M${m.x - 2} ${m.y + 10}L${m.right + 2} ${m.y - 10}`" />
        </g>
        <template v-for="(e, i) in drawing.ends" :key="`e${i}`">
          <g v-if="e.ground" class="end">
            <path :d="`M${e.x} ${e.y}v7m-9 0h18m-15 4h12m-9 4h6`" />
            <text v-if="e.label" :x="e.x + 13" :y="e.y + 18">{{ e.label }}</text>
          </g>
          <g
            v-else
            class="end flag"
            role="link"
            tabindex="0"
            :aria-label="e.label"
            @click="show(e.net)"
            @keydown.enter="show(e.net)"
          >
            <path :d="`M${e.x} ${e.y}l${e.leftwards ? -9 : 9} -6v12z`" />
            <text :x="e.x + (e.leftwards ? -12 : 12)" :y="e.y + 4" :text-anchor="e.leftwards ? 'end' : 'start'">
              {{ e.label }}
            </text>
          </g>
        </template>
        <g
          v-for="s in drawing.spots"
          :key="s.net"
          class="spot"
          :class="{ live: s.live, here: s.net === at, named: s.label.length }"
          :data-net="s.net"
          :role="s.label.length ? 'button' : undefined"
          :tabindex="s.label.length ? 0 : undefined"
          :aria-description="s.label.length ? tell('common.expected2', { expected: s.expected }) : undefined"
          @click="read(s)"
          @keydown.enter="read(s)"
        >
          <rect v-if="s.label.length" class="touch" :x="s.x - 12" :y="s.y - 44" width="100" height="56" />
          <rect
            v-if="s.colour"
            class="colour"
            :x="s.x + 5"
            :y="s.y - 9"
            width="14"
            height="5"
            :style="{ fill: conductorColour(s.colour) }"
          />
          <circle :cx="s.x" :cy="s.y" :r="s.label.length ? 4.5 : 2" />
          <text
            v-for="(line, k) in s.label"
            :key="k"
            class="name"
            :x="s.x + 4"
            :y="s.y - 14 - 14 * (s.label.length - 1 - k)"
          >
            {{ line + ' ' }}
          </text>
          <text v-if="s.found" class="found" :x="s.x + 4" :y="s.y - 14 - 14 * s.label.length">▸{{ s.found }}</text>
          <g v-if="probe(s)" class="probe">
            <rect :x="s.x - 10" :y="s.y - 10" width="20" height="20" />
            <text :x="s.x" :y="s.y + 5" text-anchor="middle">{{ probe(s) }}</text>
          </g>
        </g>
      </svg>
    </div>
    <p class="legend soft">
      {{ tell('ladderSheet.heavyLineEnergizedInA') }}
    </p>
  </div>
</template>

<style scoped lang="scss">
.sheet {
  display: flex;
  flex-direction: column;
  flex: 1 1 0;
  min-width: 0;
  min-height: 0;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1.25rem;
  padding: 0.4rem 1rem;
  border-bottom: 1px solid var(--line-soft);
}
.find {
  position: relative;
  flex: 1 1 10rem;
}
.find ul {
  position: absolute;
  z-index: 2;
  inset: 100% 0 auto 0;
  list-style: none;
  margin: 0;
  padding: 0;
  background: var(--paper);
  border: 2px solid var(--line);
}
.find li .key {
  width: 100%;
  justify-content: flex-start;
}
.zoom {
  display: flex;
  gap: 6px;
}
.frame {
  /* holds what is hidden but read aloud: it would make the page wider than the screen */
  position: relative;
  flex: 1 1 0;
  overflow: auto;
  touch-action: pan-x pan-y;
}
svg text {
  font-size: 12px;
  fill: var(--ink-soft);
}
.wire {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1;
}
.wire.live {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.board {
  fill: var(--paper-2);
  stroke: var(--line-soft);
  stroke-dasharray: 2 3;
}
.mark path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.mark.suspect path {
  stroke-width: 3;
}
.mark .share {
  font-weight: 700;
  fill: var(--ink);
}
.mark .through {
  stroke-width: 1.5;
  stroke: var(--ink-soft);
}
.mark.sound text {
  text-decoration: line-through;
}
.end path {
  fill: none;
  stroke: var(--ink);
}
.end.flag {
  cursor: pointer;
}
.end.flag path {
  fill: var(--ink);
}
.end.flag text {
  fill: var(--ink);
  text-decoration: underline;
}
.spot circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.spot.live circle {
  fill: var(--ink);
}
.spot.named {
  cursor: pointer;
}
.spot .touch {
  fill: transparent;
}
.spot.here .touch {
  fill: var(--next-soft);
}
.spot .name {
  fill: var(--ink);
}
.spot .found {
  fill: var(--ink);
  font-weight: 700;
}
.spot .colour {
  stroke: var(--line);
  stroke-width: 0.5;
}
.probe rect {
  fill: var(--next);
}
.probe text {
  fill: var(--next-ink);
  font-weight: 700;
}
.legend {
  margin: 0;
  padding: 0.3rem 1rem;
  font-size: 0.8125rem;
  border-top: 1px solid var(--line-soft);
}
@media (max-width: 700px) {
  .legend {
    display: none;
  }
}
</style>
