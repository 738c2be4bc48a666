<script setup lang="ts">
import { computed } from 'vue'
import { paperPlace, usePapers } from '../api/usePapers'
import { useHandle } from './handle'
import { tell } from '../words/words'

/** The documents of the parts that a test is about, one touch away. */
const props = defineProps<{ about: string[] }>()
const { visit } = useHandle()
const papers = usePapers(() => visit.value?.unitId)
const wanted = computed(() => (papers.data.value ?? []).filter((p) => p.part && props.about.includes(p.part)))
</script>

<template>
  <p v-if="wanted.length" class="papers" data-test="papers-here">
    <a v-for="p in wanted" :key="p.id" class="key quiet" :href="paperPlace(p)" target="_blank" rel="noopener"
      >{{ p.title }}<template v-if="p.page">{{ tell('paperShelf.page', { page: p.page }) }}</template></a
    >
  </p>
</template>

<style scoped lang="scss">
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 0.75rem;
  margin: 0.25rem 0;
}
</style>
