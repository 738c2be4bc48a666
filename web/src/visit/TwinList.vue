<script setup lang="ts">
import { computed } from 'vue'
import { useHandle } from './handle'
import { tell } from '../words/words'

const { visit, add } = useHandle()
const twins = computed(() =>
  visit.value!.twins.map((t) => ({ ...t, alike: visit.value!.twinsSaid[t.id] as boolean | undefined })),
)
const closed = computed(() => Boolean(visit.value!.closedAt))
</script>

<template>
  <section v-if="twins.length" aria-labelledby="twins-title">
    <h2 id="twins-title" class="h5">{{ tell('twinList.otherUnitsHere') }}</h2>
    <p class="soft">{{ tell('twinList.ifAllFailTheSame') }}</p>
    <ul class="twins">
      <li v-for="t in twins" :key="t.id">
        <span
          ><strong>{{ t.label }}</strong> <span class="soft">{{ t.location }}</span></span
        >
        <button
          type="button"
          class="key"
          :aria-pressed="t.alike === true"
          :disabled="closed"
          @click="add({ kind: 'TWIN', unit: t.id, alike: true })"
        >
          {{ tell('twinList.sameSymptom') }}
        </button>
        <button
          type="button"
          class="key"
          :aria-pressed="t.alike === false"
          :disabled="closed"
          @click="add({ kind: 'TWIN', unit: t.id, alike: false })"
        >
          {{ tell('twinList.runsWell') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
.twins {
  list-style: none;
  padding: 0;
}
.twins li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 6px;
  align-items: center;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.twins [aria-pressed='true'] {
  border-width: 4px;
  background: var(--paper-2);
}
</style>
