<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import CalculatorFields from '../tools/CalculatorFields.vue'
import FindingCard from '../tools/FindingCard.vue'
import { given, usually } from '../tools/given'
import { useComputed } from '../tools/useTool'
import { useHandle } from './handle'
import { tell } from '../words/words'

/** Where a setting should stand, by what a person has at hand; the person has the last word. */
const props = defineProps<{ setting: string; calculator: components['schemas']['CalculatorView'] }>()
const emit = defineEmits<{ suggested: [position: string] }>()
const { id } = useHandle()
const inputs = ref(usually(props.calculator))
const { result, problem } = useComputed(`${id}-${props.setting}`, inputs, (now) =>
  answer<components['schemas']['Suggested']>(
    api.POST('/api/visits/{id}/settings/{setting}/suggestion', {
      params: { path: { id, setting: props.setting } },
      body: given(props.calculator, now),
    }),
  ),
)
const asked = ref(false)
watch(inputs, () => (asked.value = true), { deep: true })
</script>

<template>
  <section class="suggestion" data-test="suggestion">
    <p class="caution">{{ calculator.caution }}</p>
    <form class="inputs" @submit.prevent>
      <CalculatorFields v-model="inputs" :calculator="calculator" :problem="problem" />
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
    <template v-else-if="result">
      <FindingCard :finding="result.finding" />
      <p v-if="!asked" class="soft">{{ tell('settingSuggestion.theseAreUsualNumbersType') }}</p>
      <button
        v-if="result.position"
        type="button"
        class="key next"
        data-test="take-suggestion"
        @click="emit('suggested', result.position)"
      >
        {{ tell('settingSuggestion.takeTheNearest', { position: result.position }) }}
      </button>
    </template>
  </section>
</template>

<style scoped lang="scss">
.suggestion {
  margin-block: 0.75rem;
  padding-left: 1rem;
  border-left: 4px solid var(--line-soft);
}
.inputs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
  align-items: end;
  gap: 0.6rem;
  margin-bottom: 0.75rem;
}
</style>
