<script setup lang="ts">
import type { components } from '../api/schema'
import { tell } from '../words/words'

type Found = components['schemas']['PackProblem']
defineProps<{ problems: Found[]; notes?: Found[]; jumps?: boolean }>()
defineEmits<{ line: [line: number] }>()
</script>

<template>
  <ul v-if="problems.length || notes?.length" class="found" role="status" data-test="problems">
    <li v-for="p in problems" :key="p.path + p.reason" class="bad">
      <button v-if="jumps" type="button" class="num jump" @click="$emit('line', p.line)">
        {{ tell('problemList.line', { line: p.line }) }}
      </button>
      <span class="num">{{ jumps ? '' : tell('problemList.line', { line: p.line }) }} {{ p.path }}</span>
      {{ p.reason }}. {{ p.remedy }}.
    </li>
    <li v-for="n in notes" :key="n.path + n.reason">
      <span class="num">{{ tell('problemList.line', { line: n.line }) }}</span> {{ n.reason }}. {{ n.remedy }}.
    </li>
  </ul>
</template>

<style scoped lang="scss">
.found {
  list-style: none;
  padding: 0;
  margin: 0.5rem 0;
}
.found li {
  border-left: 6px solid var(--line-soft);
  padding: 0.3rem 0.75rem;
  margin-bottom: 4px;
}
.jump {
  min-height: 44px;
  padding: 0 0.5rem;
  border: 1px solid var(--line-soft);
  background: none;
  color: inherit;
}
.found .bad {
  border-left-color: var(--danger);
}
</style>
