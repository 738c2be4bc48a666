<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { Problem, TestView } from '../api/client'
import MeterScale from './MeterScale.vue'
import StampRow from './StampRow.vue'
import YesNo from './YesNo.vue'
import { typedIn } from './typed'
import { tell } from '../words/words'
import { isOurs } from '../common/typing'

const props = defineProps<{ test: TestView; problem: Problem | null; busy: boolean }>()
const emit = defineEmits<{ take: [reading: string]; answer: [yes: boolean] }>()
const typed = ref('')
watch(
  () => props.test.id,
  () => (typed.value = ''),
)
defineExpose({ clear: () => (typed.value = '') })

// what is not a digit lies under the tip of the thumb
const rows =
  document.documentElement.dataset.hand === 'LEFT'
    ? ['OL', 'back', '7', '8', '9', '.', '-', '4', '5', '6', '0', '1', '2', '3']
    : ['7', '8', '9', 'back', 'OL', '4', '5', '6', '-', '.', '1', '2', '3', '0']
const names: Record<string, string> = {
  '-': tell('readingPad.minus'),
  '.': tell('readingPad.point'),
  back: tell('common.takeBackADigit'),
  OL: tell('readingPad.openOl'),
}

function press(key: string) {
  if (key === 'back') typed.value = typed.value === 'OL' ? '' : typed.value.slice(0, -1)
  if (key === 'OL') typed.value = 'OL'
  if (key === 'back' || key === 'OL') return
  if (typed.value === 'OL') typed.value = ''
  typed.value = (typed.value + key).slice(0, 12)
}
function take() {
  if (typed.value) emit('take', typedIn(props.test.behind, typed.value))
}

useEventListener('keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement
  if (!isOurs(event)) return
  if (!props.test.reading) return
  if (/^[0-9.,-]$/.test(event.key)) press(event.key)
  else if (event.key === 'Backspace') press('back')
  else if (/^o$/i.test(event.key) && props.test.canReadOpen) press('OL')
  else if (event.key === 'Enter' && typed.value && !target.closest('.pad')) {
    event.preventDefault()
    take()
  }
})
</script>

<template>
  <section class="pad" :aria-label="tell('readingPad.reading')">
    <template v-if="test.reading">
      <StampRow v-if="test.stamp" :key="test.id" :test="test" />
      <MeterScale :outcomes="test.outcomes" :typed="typed" />
      <output class="display num" :class="{ empty: !typed }" data-test="display" aria-live="polite"
        >{{ typed || '– – –' }}<small>{{ test.unit }}</small></output
      >
      <p v-if="problem" class="problem" role="alert" data-test="reading-problem">{{ problem.message }}</p>
      <div class="grid">
        <button
          v-for="k in rows"
          :key="k"
          type="button"
          class="key num"
          :class="{ zero: k === '0' }"
          :aria-label="names[k] ?? k"
          :disabled="k === 'OL' && !test.canReadOpen"
          @click="press(k)"
        >
          {{ k === 'back' ? '←' : k }}
        </button>
        <button type="button" class="key next take" :disabled="!typed || busy" data-test="take" @click="take">
          {{ tell('common.takeReading') }}
        </button>
      </div>
    </template>
    <template v-else>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <YesNo :busy="busy" @answer="(yes) => emit('answer', yes)" />
    </template>
  </section>
</template>

<style scoped lang="scss">
.display {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font-size: 2.5rem;
  line-height: 1.1;
  border: 2px solid var(--line);
  padding: 0.15rem 0.6rem;
}
.display small {
  font-size: 1.125rem;
}
.display.empty {
  color: var(--ink-soft);
}
.grid {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 4px;
  margin-top: 4px;
}
.grid .key {
  font-size: 1.25rem;
  padding: 0;
}
.zero {
  grid-column: span 2;
}
.take {
  grid-column: span 5;
  min-height: 52px;
}
</style>
