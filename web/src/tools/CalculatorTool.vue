<script setup lang="ts">
import { computed } from 'vue'
import type { Problem } from '../api/client'
import { told } from '../api/useTrouble'
import NotFound from '../common/NotFound.vue'
import CalculatorForm from './CalculatorForm.vue'
import ToolPage from './ToolPage.vue'
import { useCalculator } from './useCalculator'
import { tell } from '../words/words'

/** A calculation of setting up, without a visit. */
const props = defineProps<{ id: string }>()
const { data, error } = useCalculator(() => props.id, told)
const problem = computed(() => error.value as Problem | null)
</script>

<template>
  <CalculatorForm v-if="data && data.id === id" :key="id" :calculator="data" />
  <NotFound v-else-if="problem?.status === 404" />
  <ToolPage v-else name="Tools" :title="tell('common.tools')" :computed="false" :problem="problem" />
</template>
