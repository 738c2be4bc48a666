<script setup lang="ts">
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import CalculatorFields from './CalculatorFields.vue'
import FindingCard from './FindingCard.vue'
import ToolPage from './ToolPage.vue'
import { given, usually } from './given'
import { useTool } from './useTool'

const props = defineProps<{ calculator: components['schemas']['CalculatorView'] }>()
const { inputs, result, problem } = useTool(props.calculator.id, usually(props.calculator), (now) =>
  answer<components['schemas']['FindingPage']>(
    api.POST('/api/tools/calculators/{id}', {
      params: { path: { id: props.calculator.id } },
      body: given(props.calculator, now),
    }),
  ),
)
</script>

<template>
  <ToolPage :name="calculator.title" :title="calculator.what" :computed="Boolean(result)" :problem="problem">
    <template #about>
      <p class="caution">{{ calculator.caution }}</p>
    </template>
    <template #inputs>
      <CalculatorFields v-model="inputs" :calculator="calculator" :problem="problem" />
    </template>
    <FindingCard v-if="result" :finding="result" />
  </ToolPage>
</template>
