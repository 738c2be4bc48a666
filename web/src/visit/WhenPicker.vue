<script setup lang="ts">
import type { When } from '../api/client'
import { useHandle } from './handle'

const { when } = useHandle()
const choices: { id: When | undefined; label: string }[] = [
  { id: undefined, label: 'now' },
  { id: 'BEFORE_RESET', label: 'before the reset' },
  { id: 'LAST_NIGHT', label: 'last night' },
  { id: 'EARLIER_VISIT', label: 'at an earlier visit' },
]
</script>

<template>
  <div class="when" role="group" aria-label="When was it so" data-test="when">
    <span class="eyebrow">When was this?</span>
    <button
      v-for="c in choices"
      :key="c.label"
      type="button"
      class="key"
      :aria-pressed="when === c.id"
      :data-test="`when-${c.id ?? 'now'}`"
      @click="when = c.id"
    >
      {{ c.label }}
    </button>
  </div>
</template>

<style scoped lang="scss">
.when {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  align-items: center;
}
.when [aria-pressed='true'] {
  border-width: 4px;
  background: var(--paper-2);
}
</style>
