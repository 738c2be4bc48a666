<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { logIn } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { tell } from '../words/words'

const router = useRouter()
const queries = useQueryClient()
const username = ref('')
const password = ref('')
const { problem, busy, attempt } = useAttempt()

const enter = () =>
  attempt(async () => {
    await logIn(username.value.trim(), password.value)
    queries.clear()
    await router.replace('/jobs')
  })
</script>

<template>
  <main class="login">
    <svg viewBox="0 0 320 60" class="trace" aria-hidden="true">
      <path
        d="M0 50h40V10h20v40h20V10h20v40h20V10h20v40h100V10h20v40h60"
        fill="none"
        stroke="currentColor"
        stroke-width="4"
      />
    </svg>
    <h1>Brick Signal</h1>
    <p class="soft">{{ tell('loginView.theBoardIsTheBrick') }}</p>
    <form @submit.prevent="enter">
      <label for="username">{{ tell('common.login') }}</label>
      <BFormInput
        id="username"
        v-model="username"
        class="field"
        autocomplete="username"
        autocapitalize="none"
        required
        autofocus
      />
      <label for="password">{{ tell('common.password') }}</label>
      <BFormInput
        id="password"
        v-model="password"
        class="field"
        type="password"
        autocomplete="current-password"
        required
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <button class="key next" type="submit" :disabled="busy">
        {{ busy ? tell('common.loggingIn') : tell('common.logIn') }}
      </button>
    </form>
  </main>
</template>

<style scoped lang="scss">
.login {
  max-width: 26rem;
  margin: 0 auto;
  padding: 12vh 1rem 2rem;
}
.trace {
  width: 100%;
  margin-bottom: 1.5rem;
}
form {
  display: grid;
  gap: 0.4rem;
  margin-top: 1.5rem;
}
label {
  font-weight: 700;
  margin-top: 0.5rem;
}
.key {
  margin-top: 1rem;
  min-height: 56px;
}
</style>
