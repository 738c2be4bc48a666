<script setup lang="ts">
import { computed } from 'vue'
import type { components } from '../api/schema'
import { tell } from '../words/words'

/** Shares of the faults: an open mark where the pack has it, a full one where the records put it, a line between. */
const props = defineProps<{ parts: components['schemas']['LearnedPart'][] }>()
const most = computed(() => Math.max(...props.parts.flatMap((part) => [part.before, part.after])))
const at = (share: number) => `${(100 * share) / most.value}%`
const percent = (share: number) => `${(100 * share).toFixed(1)}%`
</script>

<template>
  <table class="table num">
    <thead>
      <tr>
        <th scope="col">{{ tell('common.part') }}</th>
        <th scope="col" class="wide">{{ tell('shareMove.shareOfTheFaultsPack') }}</th>
        <th scope="col">{{ tell('shareMove.confirmed') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="part in parts" :key="part.part">
        <th scope="row">{{ part.label }}</th>
        <td>
          <span class="track" aria-hidden="true">
            <span
              class="way"
              :style="{ left: at(Math.min(part.before, part.after)), width: at(Math.abs(part.after - part.before)) }"
            ></span>
            <span class="mark" :style="{ left: at(part.before) }"></span>
            <span class="mark full" :style="{ left: at(part.after) }"></span>
          </span>
          {{ tell('shareMove.to', { percent: percent(part.before), percent2: percent(part.after) }) }}
        </td>
        <td>{{ part.confirmed }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped lang="scss">
.wide {
  width: 50%;
}
.track {
  position: relative;
  display: block;
  height: 14px;
  margin: 0 7px 0.25rem;
  border-bottom: 1px solid var(--ink);
}
.way {
  position: absolute;
  top: 5px;
  height: 4px;
  background: var(--ink);
}
.mark {
  position: absolute;
  top: 1px;
  width: 12px;
  height: 12px;
  margin-left: -6px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  background: var(--paper);
}
.full {
  background: var(--ink);
}
</style>
