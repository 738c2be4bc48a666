<script setup lang="ts">
import type { Problem } from '../api/client'
import type { components } from '../api/schema'
import { tell } from '../words/words'

/** What a calculation asks for. */
defineProps<{ calculator: components['schemas']['CalculatorView']; problem: Problem | null }>()
const inputs = defineModel<Record<string, number | string | null>>({ required: true })
</script>

<template>
  <label v-for="i in calculator.inputs" :key="i.id">
    {{ i.label }}{{ i.unit ? ', ' + i.unit : '' }}
    <select v-if="i.options.length" v-model="inputs[i.id]" class="form-select field" :data-test="`in-${i.id}`">
      <option v-for="o in i.options" :key="o.id" :value="o.id">{{ o.label }}</option>
    </select>
    <input
      v-else
      v-model.number="inputs[i.id]"
      type="number"
      step="any"
      inputmode="decimal"
      class="form-control field num"
      :class="{ 'is-invalid': problem?.field === i.id }"
      :aria-invalid="problem?.field === i.id"
      :placeholder="typeof i.usual === 'number' ? undefined : tell('calculatorFields.ifKnown')"
      :data-test="`in-${i.id}`"
    />
  </label>
</template>

<style scoped lang="scss">
label {
  display: grid;
  gap: 0.2rem;
}
</style>
