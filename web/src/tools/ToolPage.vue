<script setup lang="ts">
import type { Problem } from '../api/client'
import TopBar from '../common/TopBar.vue'
import { tell } from '../words/words'

/** A calculator's page: what is typed on one side, what comes of it on the other; what was computed last stays while something cannot be. */
defineProps<{ name: string; title: string; computed: boolean; problem: Problem | null }>()
</script>

<template>
  <TopBar :title="name" />
  <main class="page">
    <h1 class="h4">{{ title }}</h1>
    <slot name="about" />
    <div class="tool">
      <form class="inputs no-print" @submit.prevent>
        <slot name="inputs" />
      </form>
      <div v-if="computed" class="answer">
        <p v-if="problem" class="problem" role="alert">
          {{ tell('toolPage.theResultBelowIsOlder', { message: problem.message }) }}
        </p>
        <slot />
      </div>
      <p v-else-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <p v-else class="soft">{{ tell('toolPage.computing') }}</p>
    </div>
  </main>
</template>

<style scoped lang="scss">
.tool {
  display: grid;
  gap: 1.5rem;
}
@media (min-width: 900px) {
  .tool {
    grid-template-columns: minmax(0, 17rem) minmax(0, 1fr);
  }
}
.inputs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
  align-content: start;
  align-items: end;
  gap: 0.6rem;
}
.inputs :slotted(label) {
  display: grid;
  gap: 0.2rem;
}
.answer {
  min-width: 0;
  overflow-x: auto;
}
.answer :slotted(.said) {
  margin: 0;
  font-size: 1.75rem;
  font-weight: 700;
}
</style>
