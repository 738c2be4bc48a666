<script setup lang="ts">
import { computed } from 'vue'
import type { TestView } from '../api/client'
import { scaleOf } from './scale'
import { tell } from '../words/words'

/** What a reading may show, as bands on the meter's scale; what is typed is a mark on it. */
const props = defineProps<{ outcomes: TestView['outcomes']; typed: string }>()
const scale = computed(() => scaleOf(props.outcomes))
const value = computed(() => Number(props.typed.replace(',', '.')))
const mark = computed(() =>
  scale.value && props.typed && props.typed !== 'OL' && Number.isFinite(value.value)
    ? scale.value.place(value.value)
    : null,
)
</script>

<template>
  <div
    v-if="scale"
    class="scale"
    data-test="scale"
    role="img"
    :aria-label="tell('meterScale.mayShow', { value: outcomes.map((o) => o.expected).join('; ') })"
  >
    <div class="bands">
      <span
        v-for="(b, i) in scale.bars"
        :key="i"
        class="band"
        :class="{ nominal: b.nominal }"
        :style="{ left: `${b.at}%`, width: `${b.wide}%`, height: `${20 + 80 * b.likely}%` }"
      ></span>
      <i v-if="mark !== null" class="mark" :style="{ left: `${mark}%` }" data-test="mark"></i>
      <span v-if="scale.open" class="open num" :class="{ here: typed === 'OL' }">OL</span>
    </div>
    <div class="ends num">
      <span
        v-for="(b, i) in scale.bars"
        :key="i"
        :class="{ nominal: b.nominal }"
        :style="{ left: `${b.at + b.wide / 2}%` }"
        >{{ b.nominal ? tell('common.expected3') : '' }}</span
      >
    </div>
  </div>
</template>

<style scoped lang="scss">
.scale {
  margin-bottom: 0.35rem;
}
.bands {
  position: relative;
  height: 34px;
  border-bottom: 2px solid var(--line);
}
.band {
  position: absolute;
  bottom: 0;
  background: repeating-linear-gradient(135deg, var(--ink) 0 2px, transparent 2px 6px);
  border: 1px solid var(--ink);
  border-bottom: 0;
}
.band.nominal {
  background: var(--paper-2);
  border-width: 2px;
}
.mark {
  position: absolute;
  inset: -2px auto 0 auto;
  width: 3px;
  margin-left: -1px;
  background: var(--next);
  transition: left 0.15s;
}
.mark::before {
  content: '';
  position: absolute;
  top: -4px;
  left: -5px;
  border: 6.5px solid transparent;
  border-top-color: var(--next);
  border-bottom: 0;
}
.open {
  position: absolute;
  right: 0;
  top: 0;
  border: 1px solid var(--ink);
  padding: 0 0.3rem;
}
.open.here {
  background: var(--next);
  color: var(--next-ink);
}
.ends {
  position: relative;
  height: 1.1rem;
  font-size: 0.8125rem;
  color: var(--ink-soft);
}
.ends span {
  position: absolute;
  white-space: nowrap;
  transform: translateX(-50%);
}
@media (prefers-reduced-motion: reduce) {
  .mark {
    transition: none;
  }
}
@media (max-width: 900px) {
  .bands {
    height: 24px;
  }
  .ends {
    height: 0.95rem;
    line-height: 1;
  }
}
</style>
