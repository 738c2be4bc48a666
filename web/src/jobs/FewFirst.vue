<script setup lang="ts" generic="T extends { id: string }">
import { computed, ref } from 'vue'
import { tell } from '../words/words'

/** A list of which few are shown until somebody asks for all. */
const props = defineProps<{ items: T[] }>()
defineSlots<{ default(shown: { item: T }): unknown }>()
const FEW = 8
const all = ref(false)
const shown = computed(() => (all.value ? props.items : props.items.slice(0, FEW)))
</script>

<template>
  <ul>
    <li v-for="item in shown" :key="item.id"><slot :item="item"></slot></li>
  </ul>
  <button v-if="shown.length < items.length" type="button" class="key quiet" data-test="all" @click="all = true">
    {{ tell('fewFirst.all', { count: items.length }) }}
  </button>
</template>

<style scoped lang="scss">
li {
  padding: 0.25rem 0;
}
</style>
