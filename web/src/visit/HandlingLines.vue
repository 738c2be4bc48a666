<script setup lang="ts">
/** What to know of a part with it in hand. */
defineProps<{ lines: string[] }>()
</script>

<template>
  <ul data-test="handling">
    <li v-for="l in lines" :key="l">{{ l }}</li>
  </ul>
</template>

<style scoped lang="scss">
ul {
  margin: 0.25rem 0;
  padding-left: 1.1rem;
  color: var(--ink-soft);
}
</style>
