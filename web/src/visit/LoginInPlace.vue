<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answer, api, logIn } from '../api/client'
import { useAttempt } from '../api/useAttempt'

defineProps<{ waiting: number }>()
const emit = defineEmits<{ done: [] }>()
const queries = useQueryClient()
const known = queries.getQueryData<{ login: string }>(['me'])
const username = ref(known?.login ?? '')
const password = ref('')
const { problem, busy, attempt } = useAttempt()

const enter = () =>
  attempt(async () => {
    await logIn(username.value.trim(), password.value)
    queries.setQueryData(['me'], await answer(api.GET('/api/me')))
    void queries.refetchQueries({ type: 'active', predicate: (query) => query.state.status === 'error' })
    emit('done')
  })
</script>

<template>
  <section class="login" aria-labelledby="again-title" data-test="login-in-place">
    <h2 id="again-title" class="h5">Log in again</h2>
    <p>
      The session has ended.
      <strong v-if="waiting">{{ waiting }} kept on this device and sent as soon as you are in.</strong>
      <span v-else>Nothing on this screen is lost.</span>
    </p>
    <form @submit.prevent="enter">
      <label for="again-username">Login</label>
      <input
        id="again-username"
        v-model="username"
        class="form-control field"
        autocomplete="username"
        autocapitalize="none"
        required
      />
      <label for="again-password">Password</label>
      <input
        id="again-password"
        v-model="password"
        class="form-control field"
        type="password"
        autocomplete="current-password"
        required
      />
      <button class="key next" type="submit" :disabled="busy">{{ busy ? 'Logging in' : 'Log in and go on' }}</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.login {
  border-bottom: 2px solid var(--line);
  border-left: 12px solid var(--next);
  background: var(--next-soft);
  padding: 0.75rem 1rem;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.75rem;
  align-items: center;
}
.field {
  max-width: 14rem;
}
p {
  margin: 0 0 0.5rem;
}
</style>
