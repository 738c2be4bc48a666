<script setup lang="ts">
import type { Way } from '../api/client'
import { minutes, percent } from './format'
import { tell } from '../words/words'

defineProps<{ plan: Way[] }>()
</script>

<template>
  <ol class="plan" :aria-label="tell('planTree.thePlanTwoStepsDeep')" data-test="plan">
    <li v-for="w in plan" :key="w.expected">
      <span class="if"
        ><strong class="num">{{ w.expected }}</strong> <span class="num soft">{{ percent(w.probability) }}</span></span
      >
      <span class="bar" aria-hidden="true"><i :style="{ width: `${100 * w.probability}%` }"></i></span>
      <span class="then">
        <template v-if="w.next"
          >{{ tell('planTree.then') }} <strong>{{ w.next.instruction }}</strong>
          <span class="soft">{{ w.next.moment }} · {{ minutes(w.next.minutes) }}</span></template
        >
        <template v-else-if="w.suspects.length">{{ tell('planTree.thenItIsClear') }}</template>
        <template v-else>{{ tell('planTree.thenMeasureAgain') }}</template>
        <span v-if="w.suspects.length" class="soft who">{{
          tell('planTree.leaves', { causes: w.suspects.join(', ') })
        }}</span>
      </span>
    </li>
  </ol>
</template>

<style scoped lang="scss">
.plan {
  list-style: none;
  margin: 0.25rem 0;
  padding: 0;
  border-left: 3px solid var(--line);
}
.plan li {
  display: grid;
  grid-template-columns: 10rem 5rem minmax(0, 1fr);
  gap: 0.75rem;
  align-items: baseline;
  padding: 0.15rem 0 0.15rem 0.75rem;
}
.bar {
  border-bottom: 2px solid var(--line-soft);
}
.bar i {
  display: block;
  height: 10px;
  background: var(--ink);
}
.who {
  display: block;
}
.if {
  display: flex;
  gap: 0.6rem;
}
.then .soft {
  margin-left: 0.4rem;
}
.then .who {
  margin-left: 0;
}
@media (max-width: 700px) {
  .plan li {
    grid-template-columns: minmax(0, 1fr) 4rem;
  }
  .then {
    grid-column: 1 / -1;
  }
}
</style>
