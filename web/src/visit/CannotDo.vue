<script setup lang="ts">
import { useHandle } from './handle'
import { tell } from '../words/words'

/** What is in the way of a test: the plan goes on without it, and what is in the way is known on the next visit too. */
const props = defineProps<{ test: string }>()
const emit = defineEmits<{ said: [] }>()
const { add, sending } = useHandle()
const ways = [
  { why: 'REACH', says: tell('cannotDo.cannotReachIt') },
  { why: 'FITTED', says: tell('cannotDo.notFittedHere') },
  { why: 'TOOL', says: tell('cannotDo.noToolForItHere') },
] as const

async function say(why: (typeof ways)[number]['why']) {
  if (await add({ kind: 'UNABLE', test: props.test, why })) emit('said')
}
</script>

<template>
  <div class="ways" role="group" :aria-label="tell('cannotDo.whatIsInTheWay')" data-test="cannot">
    <button
      v-for="w in ways"
      :key="w.why"
      type="button"
      class="key"
      :disabled="sending"
      :data-test="`cannot-${w.why}`"
      @click="say(w.why)"
    >
      {{ w.says }}
    </button>
    <p class="soft m-0">{{ tell('cannotDo.thePlanContinuesWithoutIt') }}</p>
  </div>
</template>

<style scoped lang="scss">
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  align-items: center;
  margin: 0.25rem 0;
}
</style>
