<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Suspect } from '../api/client'
import { percent } from './format'
import { tell } from '../words/words'

const props = defineProps<{ suspects: Suspect[]; others: string[] }>()
const CLEARED = 0.01
const all = ref(false)
const open = computed(() => props.suspects.filter((s) => s.probability >= CLEARED))
const shown = computed(() => (all.value ? open.value : open.value.slice(0, 8)))
const cleared = computed(() => [
  ...props.suspects.filter((s) => s.probability < CLEARED).map((s) => s.label),
  ...props.others,
])
</script>

<template>
  <section aria-labelledby="suspects-title">
    <h2 id="suspects-title" class="eyebrow">{{ tell('suspectBars.likelyCauses') }}</h2>
    <ol class="suspects">
      <li v-for="s in shown" :key="s.id" :data-test="`suspect-${s.id}`">
        <span class="label"
          >{{ s.label }}<em v-if="s.board">{{ ` ${tell('common.board2')}` }}</em></span
        >
        <span class="track" aria-hidden="true">
          <span class="was" :style="{ width: `${s.before * 100}%` }"></span>
          <span class="bar hatch" :style="{ width: `${s.probability * 100}%` }"></span>
        </span>
        <span class="p num">{{ percent(s.probability) }}</span>
      </li>
    </ol>
    <button v-if="open.length > 8" type="button" class="key quiet" @click="all = !all">
      {{ all ? tell('suspectBars.fewer') : tell('suspectBars.more', { count: open.length - 8 }) }}
    </button>
    <details v-if="cleared.length" class="cleared">
      <summary>{{ tell('suspectBars.ruledOut', { count: cleared.length }) }}</summary>
      <p>{{ cleared.join(' · ') }}</p>
    </details>
  </section>
</template>

<style scoped lang="scss">
.suspects {
  list-style: none;
  padding: 0;
  margin: 0.3rem 0 0;
}
.suspects li {
  display: grid;
  grid-template-columns: 1fr 3.6rem;
  gap: 0 0.5rem;
  padding-block: 0.22rem;
}
.label {
  font-size: 0.9375rem;
}
.label em {
  font-style: normal;
  border: 1px solid var(--line);
  padding: 0 0.3rem;
  font-size: 0.75rem;
}
.p {
  grid-row: 1;
  grid-column: 2;
  text-align: right;
}
.track {
  grid-column: 1 / -1;
  position: relative;
  height: 10px;
  border-bottom: 1px solid var(--line-soft);
}
.bar,
.was {
  position: absolute;
  left: 0;
  top: 0;
  height: 10px;
  transition: width 180ms ease-out;
}
.bar {
  color: var(--ink);
  border-right: 3px solid var(--ink);
}
.was {
  border-right: 2px dotted var(--ink-soft);
}
.cleared {
  margin-top: 0.25rem;
  font-size: 0.875rem;
  color: var(--ink-soft);
}
.cleared summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
}
.cleared p {
  text-decoration: line-through;
}
</style>
