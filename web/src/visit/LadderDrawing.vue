<script setup lang="ts">
import { computed } from 'vue'
import type { Rung, Stop } from '../api/client'
import { conductorColour } from './conductor'

const props = defineProps<{
  rungs: Rung[]
  readings: Record<string, string>
  black?: string | null
  red?: string | null
}>()
const emit = defineEmits<{ pick: [net: string] }>()

/** The rungs with a probe on them first; the rest follow in the pack's order. */
const ordered = computed(() => {
  const has = (r: Rung) => r.stops.some((s) => s.net === props.red || s.net === props.black)
  return [...props.rungs.filter(has), ...props.rungs.filter((r) => !has(r))]
})
const probe = (s: Stop) => (s.net === props.red ? 'red' : s.net === props.black ? 'black' : '')
const volts = (v: number) => (v < 0.5 ? '0' : v < 10 ? v.toFixed(1) : Math.round(v).toString())
</script>

<template>
  <div class="ladder" data-test="ladder">
    <section v-for="rung in ordered" :key="rung.side" class="rung" :aria-label="rung.side">
      <h3 class="eyebrow">{{ rung.side }}</h3>
      <ol>
        <li v-for="s in rung.stops" :key="s.net">
          <span v-if="s.symbol !== 'GAP'" class="link" :class="{ live: s.live }">
            <svg viewBox="0 0 44 22" width="44" height="22" aria-hidden="true">
              <path v-if="s.symbol === 'WIRE'" d="M0 11H44" />
              <path v-else-if="s.symbol === 'SWITCH' && s.closed" d="M0 11H12M12 11L32 9M32 11H44M12 8v6M32 8v6" />
              <path v-else-if="s.symbol === 'SWITCH'" d="M0 11H12M12 11L30 2M32 11H44M12 8v6M32 8v6" />
              <path v-else-if="s.symbol === 'FUSE'" d="M0 11H8C14 0 18 0 22 11C26 22 30 22 36 11H44" />
              <path v-else-if="s.symbol === 'LOAD'" d="M0 11H6M6 4h32v14H6zM38 11H44" />
              <path v-else-if="s.symbol === 'CAPACITOR'" d="M0 11H18M18 3v16M26 3v16M26 11H44" />
              <path v-else d="M0 11H8a5 5 0 0 1 9 0a5 5 0 0 1 9 0a5 5 0 0 1 9 0H44" />
            </svg>
            <span class="name">{{ s.element }}</span>
          </span>
          <span v-else class="gap" aria-hidden="true"></span>
          <button
            type="button"
            class="point"
            :class="[probe(s) && `probe-${probe(s)}`, { live: s.live }]"
            :title="s.label"
            @click="emit('pick', s.net)"
          >
            <span class="dot" aria-hidden="true"
              ><i v-if="probe(s)">{{ probe(s) === 'red' ? 'R' : 'B' }}</i></span
            >
            <span class="net">{{ s.net }}</span>
            <span class="visually-hidden">{{ s.label }}{{ probe(s) ? `, ${probe(s)} probe here` : '' }}, expected</span>
            <span class="volts num">{{ volts(s.volts) }} V</span>
            <span v-if="readings[s.net]" class="read num">▸{{ readings[s.net] }}</span>
            <span
              v-if="s.colour"
              class="wire"
              :style="{ background: conductorColour(s.colour) }"
              aria-hidden="true"
            ></span>
          </button>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped lang="scss">
.rung {
  border-top: 1px solid var(--line-soft);
  padding: 0.25rem 0;
}
ol {
  display: flex;
  flex-wrap: wrap;
  list-style: none;
  padding: 0;
  margin: 0;
  row-gap: 0.35rem;
}
li {
  display: flex;
  align-items: center;
}
.link {
  display: grid;
  justify-items: center;
  width: 60px;
}
.link svg {
  width: 60px;
}
.link path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 4 3;
}
.link.live path {
  stroke-width: 3;
  stroke-dasharray: none;
}
.gap {
  width: 14px;
}
.name {
  font-size: 0.6875rem;
  max-width: 64px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--ink-soft);
}
.point {
  position: relative;
  display: grid;
  justify-items: center;
  min-width: 58px;
  min-height: 58px;
  border: 0;
  background: none;
  color: var(--ink);
  padding: 0.1rem 0.2rem;
  line-height: 1.15;
}
.dot {
  width: 14px;
  height: 14px;
  border: 2px dashed var(--ink);
  border-radius: 50%;
  background: var(--paper);
  display: grid;
  place-items: center;
}
.point.live .dot {
  border-style: solid;
  background: var(--ink);
}
.probe-red .dot,
.probe-black .dot {
  width: 26px;
  height: 26px;
  border: 3px solid var(--next) !important;
  background: var(--next) !important;
}
.dot i {
  font-style: normal;
  font-weight: 700;
  font-size: 0.875rem;
  color: var(--next-ink);
}
.net {
  font-size: 0.8125rem;
  font-weight: 700;
}
.volts {
  font-size: 0.75rem;
  color: var(--ink-soft);
}
.read {
  font-size: 0.75rem;
  font-weight: 700;
}
.wire {
  width: 30px;
  height: 5px;
  border: 1px solid var(--ink);
}
</style>
