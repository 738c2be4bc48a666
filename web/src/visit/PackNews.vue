<script setup lang="ts">
import { ref } from 'vue'
import type { Visit } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { useHandle } from './handle'

defineProps<{ differences: NonNullable<Visit['newerPack']> }>()
const { visit, goOver } = useHandle()
const open = ref(false)
const { problem, busy, attempt } = useAttempt()
const words = { ADDED: 'new', CHANGED: 'changed', TAKEN_OUT: 'taken out' }
</script>

<template>
  <section v-if="!visit!.closedAt" class="news" aria-label="A newer pack" data-test="pack-news">
    <p>
      <strong>The equipment data of this unit is newer than this visit.</strong> The visit keeps the old data until you
      switch.
    </p>
    <button type="button" class="key quiet" :aria-expanded="open" @click="open = !open">
      what differs ({{ differences.length }})
    </button>
    <button type="button" class="key" :disabled="busy" data-test="go-over" @click="attempt(goOver)">
      Use the newer data
    </button>
    <ul v-if="open">
      <li v-for="d in differences" :key="`${d.section}/${d.name}`">
        {{ d.section }}<template v-if="d.name">: {{ d.name }}</template> <span class="soft">{{ words[d.kind] }}</span>
      </li>
    </ul>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.news {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.25rem 1rem;
  padding: 0.35rem 1rem;
  border-bottom: 2px solid var(--line);
  background: var(--paper-2);
}
p {
  margin: 0;
  flex: 1 1 20rem;
}
ul {
  flex: 1 1 100%;
  columns: 3 14rem;
  margin: 0;
}
</style>
