<script setup lang="ts">
import { ref } from 'vue'
import { useMe } from '../api/useMe'
import { useHandle } from './handle'
import { tell } from '../words/words'

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
  <span class="soft">{{
    tell('leadsLeave.notBeforeItIsProven', { approval: lead ? '' : tell('leadsLeave.orWithALeadsApproval') })
  }}</span>
  <button v-if="lead" type="button" class="key quiet" :aria-expanded="asked" data-test="leave" @click="asked = !asked">
    {{ tell('leadsLeave.allowItUnproven') }}
  </button>
  <form v-if="lead && asked" @submit.prevent="give">
    <p class="caution">
      {{ tell('leadsLeave.mostBoardsChangedUnprovenAre') }}
    </p>
    <label :for="`leave-${part}`">{{ tell('leadsLeave.reason') }}</label>
    <input :id="`leave-${part}`" v-model="reason" class="form-control field" maxlength="500" required />
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
    <button type="submit" class="key mt-2" :disabled="!reason.trim() || sending" data-test="give-leave">
      {{ tell('leadsLeave.allowItInMyName') }}
    </button>
  </form>
</template>

<style scoped lang="scss">
form {
  margin-block: 0.5rem;
}
</style>
