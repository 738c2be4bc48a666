<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { TestView } from '../api/client'
import { tell } from '../words/words'

/** What can hurt somebody at a step: in full where it begins, by name while it goes on. */
const props = defineProps<{ safety: TestView['safety'] }>()
const again = ref(false)
const fresh = computed(() => props.safety.cautions.filter((c) => !c.told || again.value))
const told = computed(() => props.safety.cautions.filter((c) => c.told))
watch(
  () => props.safety,
  () => (again.value = false),
)
</script>

<template>
  <p v-if="safety.ended.length" class="after" data-test="ended">
    <strong>{{ tell('cautionList.first') }}</strong> {{ safety.ended.join(' ') }}
  </p>
  <p v-for="c in fresh" :key="c.hazard" class="caution" data-test="caution">{{ c.before }}</p>
  <p v-if="told.length && !again" class="still">
    <button type="button" class="key quiet" data-test="still" @click="again = true">
      {{ tell('cautionList.still', { value: told.map((c) => c.name).join(', ') }) }}
    </button>
  </p>
  <p v-if="safety.afterwards.length && fresh.length" class="after" data-test="afterwards">
    <strong>{{ tell('cautionList.afterwards') }}</strong> {{ safety.afterwards.join(' ') }}
  </p>
</template>

<style scoped lang="scss">
.caution {
  font-size: 0.9375rem;
}
.after {
  font-size: 0.875rem;
  margin: 0;
}
.still {
  margin: 0;
}
.still .key {
  font-weight: 700;
  min-height: 32px;
  padding: 0;
  background: none;
}
</style>
