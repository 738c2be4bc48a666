<script setup lang="ts">
/** One of a few, each a key of its own; what is chosen is pressed. */
defineProps<{ name: string; test: string; options: { value: string; label: string }[] }>()
const chosen = defineModel<string>({ required: true })
</script>

<template>
  <div class="choices" role="group" :aria-label="name">
    <button
      v-for="o in options"
      :key="o.value"
      type="button"
      class="key"
      :aria-pressed="o.value === chosen"
      :data-test="`${test}-${o.value}`"
      @click="chosen = o.value"
    >
      {{ o.label }}
    </button>
  </div>
</template>

<style scoped lang="scss">
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.choices [aria-pressed='true'] {
  background: var(--paper-2);
  border-width: 4px;
}
</style>
