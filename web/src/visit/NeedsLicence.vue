<script setup lang="ts">
import { computed } from 'vue'
import type { Licence } from '../api/client'
import { useLicences } from '../api/useLicences'

/** What is said at an act to whoever lacks the licence for it. */
const props = defineProps<{ needs: Licence['licence'][] }>()
const licences = useLicences()
const missing = computed(() => licences.data.value?.filter((l) => !l.mine && props.needs.includes(l.licence)) ?? [])
</script>

<template>
  <p v-for="l in missing" :key="l.licence" class="needs" data-test="needs">{{ l.needed }}</p>
</template>

<style scoped lang="scss">
.needs {
  margin: 0.1rem 0;
  font-weight: 700;
  color: var(--danger);
}
</style>
