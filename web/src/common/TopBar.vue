<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { logOut } from '../api/client'
import { useMe } from '../api/useMe'
import { useLoggedOut } from '../api/useTrouble'
import { useWaiting } from '../api/useWaiting'
import { useTheme } from '../theme/useTheme'
import FetchTrouble from './FetchTrouble.vue'
import { read, tell } from '../words/words'

/** Stays: a page on which nothing may be lost asks for the login itself. */
const props = defineProps<{ title: string; stays?: boolean }>()

const router = useRouter()
const queries = useQueryClient()
const { theme, toggle } = useTheme()
const { me } = useMe()
const initials = computed(() =>
  (me.data.value?.name ?? '')
    .split(' ')
    .map((part) => part[0])
    .join(''),
)
// what the person chose goes with them to this device
watch(
  () => me.data.value,
  (known) => {
    if (!known) return
    document.documentElement.dataset.hand = known.hand
    read(known.locale)
  },
  { immediate: true },
)

const loggedOut = useLoggedOut()
watch(
  loggedOut,
  (out) => {
    if (out && !props.stays) void router.replace('/login')
  },
  { immediate: true },
)

const { mine, others } = useWaiting()
async function leave() {
  const count = mine.value.length
  if (count && !window.confirm(tell('topBar.ofYourEntriesAreNot', { count }))) return
  await logOut().catch(() => undefined)
  queries.clear()
  await router.replace('/login')
}
</script>

<template>
  <header class="bar no-print">
    <RouterLink to="/jobs" class="brand" :aria-label="tell('topBar.brickSignalJobsOfThe')">
      <svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
        <path d="M1 23h7V9h4v14h4V9h4v14h11" fill="none" stroke="currentColor" stroke-width="3" />
      </svg>
      <span class="word">Brick Signal</span>
    </RouterLink>
    <p class="title">{{ title }}</p>
    <p v-if="mine.length || others.length" class="waiting" role="status" data-test="waiting">
      <span v-if="mine.length">{{ tell('topBar.notSent', { count: mine.length }) }}</span>
      <span v-if="others.length">{{ tell('topBar.fromAColleagueOnThis', { count: others.length }) }}</span>
    </p>
    <button class="key quiet" type="button" @click="toggle">
      {{ theme === 'closet' ? tell('topBar.daylight') : tell('topBar.closet') }}
    </button>
    <RouterLink v-if="me.data.value" class="key quiet" to="/me" data-test="me">
      <span class="name">{{ me.data.value.name }}</span><span class="initials" aria-hidden="true">{{ initials }}</span>
    </RouterLink>
    <button v-if="me.data.value" class="key quiet" type="button" @click="leave">
      {{ tell('topBar.logOut') }}
    </button>
  </header>
  <FetchTrouble />
</template>

<style scoped lang="scss">
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  padding: 0.15rem 1rem;
  border-bottom: 2px solid var(--line);
}
.brand {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
  font-weight: 700;
  text-decoration: none;
}
.waiting {
  margin: 0;
  font-weight: 700;
  white-space: nowrap;
}
.waiting span {
  border: 2px solid var(--line);
  padding: 0.1rem 0.4rem;
}
.title {
  flex: 1;
  margin: 0;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.initials {
  display: none;
}
@media (max-width: 700px) {
  .initials {
    display: inline;
  }
  .word {
    display: none;
  }
  /* read aloud whole, shown as initials */
  .name {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .bar {
    padding-inline: 0.5rem;
    gap: 0.4rem;
  }
  .title {
    font-size: 0.875rem;
  }
}
</style>
