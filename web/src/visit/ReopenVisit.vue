<script setup lang="ts">
import { ref } from 'vue'
import { useAttempt } from '../api/useAttempt'
import { useHandle } from './handle'
import { tell } from '../words/words'

const { visit, reopen } = useHandle()
const asking = ref(false)
const reason = ref('')
const { problem, attempt } = useAttempt()
</script>

<template>
  <section class="closed no-print" data-test="closed">
    <p>{{ tell('reopenVisit.thisVisitIsClosedIt') }}</p>
    <template v-if="visit!.mayReopen">
      <button v-if="!asking" type="button" class="key quiet" data-test="reopen" @click="asking = true">
        {{ tell('reopenVisit.reopenIt') }}
      </button>
      <form v-else @submit.prevent="attempt(() => reopen(reason))">
        <label for="reopen-why">{{ tell('reopenVisit.whyItIsReopenedFor') }}</label>
        <input id="reopen-why" v-model="reason" class="form-control field" maxlength="500" required />
        <button type="submit" class="key" :disabled="!reason.trim()" data-test="reopen-now">
          {{ tell('reopenVisit.reopenIt') }}
        </button>
      </form>
    </template>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.closed {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.25rem 1rem;
  padding: 0.35rem 1rem;
  border-bottom: 2px solid var(--line);
  background: var(--paper-2);
}
.closed p {
  margin: 0;
  font-weight: 700;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
.field {
  max-width: 20rem;
}
</style>
