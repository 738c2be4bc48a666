<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answer, api, logIn } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { tell } from '../words/words'

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
    <h2 id="again-title" class="h5">{{ tell('loginInPlace.logInAgain') }}</h2>
    <p>
      {{ tell('loginInPlace.theSessionHasEnded') }}
      <strong v-if="waiting">{{ tell('loginInPlace.keptOnThisDeviceAnd', { waiting }) }}</strong>
      <span v-else>{{ tell('loginInPlace.nothingOnThisScreenIs') }}</span>
    </p>
    <form @submit.prevent="enter">
      <label for="again-username">{{ tell('common.login') }}</label>
      <input
        id="again-username"
        v-model="username"
        class="form-control field"
        autocomplete="username"
        autocapitalize="none"
        required
      />
      <label for="again-password">{{ tell('common.password') }}</label>
      <input
        id="again-password"
        v-model="password"
        class="form-control field"
        type="password"
        autocomplete="current-password"
        required
      />
      <button class="key next" type="submit" :disabled="busy">
        {{ busy ? tell('common.loggingIn') : tell('loginInPlace.logInAndGoOn') }}
      </button>
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
