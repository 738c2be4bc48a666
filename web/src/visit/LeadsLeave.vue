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
  <span class="soft">not before it is proven{{ lead ? '' : ", or with a lead's approval" }}</span>
  <button v-if="lead" type="button" class="key quiet" :aria-expanded="asked" data-test="leave" @click="asked = !asked">
    Allow it unproven
  </button>
  <form v-if="lead && asked" @submit.prevent="give">
    <p class="caution">
      Most boards changed unproven are good. Your name and reason are in the report and in Results. The bench test
      result is asked for later.
    </p>
    <label :for="`leave-${part}`">Reason</label>
    <input :id="`leave-${part}`" v-model="reason" class="form-control field" maxlength="500" required />
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
    <button type="submit" class="key mt-2" :disabled="!reason.trim() || sending" data-test="give-leave">
      Allow it, in my name
    </button>
  </form>
</template>

<style scoped lang="scss">
form {
  margin-block: 0.5rem;
}
</style>
