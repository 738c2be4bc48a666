<script setup lang="ts">
import { computed } from 'vue'
import { useBring } from '../api/useBring'
import { percent } from './format'
import { useHandle } from './handle'
import { tell } from '../words/words'

/** What to take to the unit, with its chance; one tap where it was taken, and the next visit knows what came back unused. */
const props = defineProps<{ visit: string }>()
const { page, add } = useHandle()
const { data } = useBring(props.visit)
const taken = computed(
  () => new Set((page.value?.log ?? []).filter((l) => l.counts && l.kind === 'ALONG').map((l) => l.found)),
)
const all = computed(() => data.value ?? [])
</script>

<template>
  <section v-if="all.length" class="along" :aria-label="tell('takeAlong.takeAlong')" data-test="along">
    <h2 class="h5">{{ tell('takeAlong.takeAlong') }}</h2>
    <ul>
      <li v-for="p in all" :key="p.part">
        <span class="name">{{ p.label }}</span>
        <span class="num">{{ percent(p.probability) }}</span>
        <span v-if="taken.has(p.label)" class="soft" :data-test="`taken-${p.part}`">{{ tell('takeAlong.taken') }}</span>
        <button
          v-else
          type="button"
          class="key"
          :aria-label="tell('takeAlong.tookIt', { label: p.label })"
          :data-test="`take-${p.part}`"
          @click="add({ kind: 'ALONG', part: p.part })"
        >
          {{ tell('takeAlong.took') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
.along ul {
  list-style: none;
  max-width: 36rem;
  padding: 0;
  border-top: 2px solid var(--line);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 6.5rem;
  align-items: center;
  gap: 0.75rem;
  min-height: 52px;
  border-bottom: 1px solid var(--line-soft);
}
.name {
  font-weight: 700;
}
</style>
