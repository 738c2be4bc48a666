<script setup lang="ts">
import type { When } from '../api/client'
import { useHandle } from './handle'
import { tell } from '../words/words'

const { when } = useHandle()
const choices: { id: When | undefined; label: string }[] = [
  { id: undefined, label: tell('whenPicker.now') },
  { id: 'BEFORE_RESET', label: tell('whenPicker.beforeTheReset') },
  { id: 'LAST_NIGHT', label: tell('whenPicker.lastNight') },
  { id: 'EARLIER_VISIT', label: tell('whenPicker.atAnEarlierVisit') },
]
</script>

<template>
  <div class="when" role="group" :aria-label="tell('whenPicker.whenWasItSo')" data-test="when">
    <span class="eyebrow">{{ tell('whenPicker.whenWasThis') }}</span>
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
