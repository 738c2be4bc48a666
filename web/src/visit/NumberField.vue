<script setup lang="ts">
/** A number of a range: typed, or stepped with the keys beside it. */
const props = defineProps<{
  name: string
  test: string
  range: { least: number; most: number; step: number }
  unit: string
  /** Where the first step begins from: the factory's, or what was found. */
  start: string
}>()
const chosen = defineModel<string>({ required: true })
/** As many decimals as the step has. */
const decimals = String(props.range.step).split('.')[1]?.length ?? 0

function step(by: number) {
  const from = Number(chosen.value === '' ? props.start : chosen.value)
  const next = (Number.isNaN(from) ? Number(props.start) : from) + by * props.range.step
  chosen.value = String(Number(Math.min(props.range.most, Math.max(props.range.least, next)).toFixed(decimals)))
}
</script>

<template>
  <div class="number" role="group" :aria-label="name">
    <button type="button" class="key" :aria-label="`${name} −`" @click="step(-1)">−</button>
    <input
      v-model="chosen"
      class="form-control field num"
      inputmode="decimal"
      :aria-label="name"
      :placeholder="`${range.least} … ${range.most}`"
      :data-test="`${test}-number`"
    />
    <button type="button" class="key" :aria-label="`${name} +`" @click="step(1)">+</button>
    <span>{{ unit }}</span>
  </div>
</template>

<style scoped lang="scss">
.number {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.number .key {
  min-width: 56px;
  font-size: 1.5rem;
}
.number .field {
  max-width: 9rem;
}
</style>
