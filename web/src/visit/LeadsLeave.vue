<script setup lang="ts">
import { ref } from 'vue'
import { useMe } from '../api/useMe'
import { useHandle } from './handle'

/** A board that is not proven is changed by a lead's leave only, by name and with a reason that stays on the record. */
const props = defineProps<{ part: string }>()
const { add, sending, problem } = useHandle()
const { lead } = useMe()
const asked = ref(false)
const reason = ref('')

async function give() {
  if (await add({ kind: 'ALLOWED', part: props.part, reason: reason.value.trim() })) asked.value = false
}
</script>

<template>
  <span class="soft">a board is not replaced before it is proven{{ lead ? '' : ", or by a lead's leave" }}</span>
  <button v-if="lead" type="button" class="key quiet" :aria-expanded="asked" data-test="leave" @click="asked = !asked">
    Let it be changed unproven
  </button>
  <form v-if="lead && asked" @submit.prevent="give">
    <p class="caution">
      Most boards that are changed unproven are in order. Your name and your reason stand in the report and in the
      lead's figures, and the shop is asked what it found.
    </p>
    <label :for="`leave-${part}`">Why it is changed without proof</label>
    <input :id="`leave-${part}`" v-model="reason" class="form-control field" maxlength="500" required />
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
    <button type="submit" class="key mt-2" :disabled="!reason.trim() || sending" data-test="give-leave">
      Let it be changed, by my name
    </button>
  </form>
</template>

<style scoped lang="scss">
form {
  margin-block: 0.5rem;
}
</style>
