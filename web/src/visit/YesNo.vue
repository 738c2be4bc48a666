<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { tell } from '../words/words'
import { isOurs } from '../common/typing'

/** Two big keys, under the thumb or by y and n. */
defineProps<{ busy: boolean }>()
const emit = defineEmits<{ answer: [yes: boolean] }>()

useEventListener('keydown', (event: KeyboardEvent) => {
  if (!isOurs(event)) return
  if (/^[yn]$/i.test(event.key)) emit('answer', event.key.toLowerCase() === 'y')
})
</script>

<template>
  <div class="yesno">
    <button type="button" class="key next" :disabled="busy" data-test="yes" @click="emit('answer', true)">
      {{ tell('common.yes') }}
    </button>
    <button type="button" class="key next" :disabled="busy" data-test="no" @click="emit('answer', false)">
      {{ tell('common.no') }}
    </button>
  </div>
</template>

<style scoped lang="scss">
.yesno {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.yesno .key {
  min-height: 88px;
  font-size: 1.5rem;
}
</style>
