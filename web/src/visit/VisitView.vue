<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, onUnmounted, provide, ref } from 'vue'
import { Problem } from '../api/client'
import { useLoggedOut } from '../api/useTrouble'
import { useVisit } from '../api/useVisit'
import TopBar from '../common/TopBar.vue'
import { clock, percent, timeOfDay } from './format'
import { visitKey } from './handle'
import LoginInPlace from './LoginInPlace.vue'
import RefusedEntries from './RefusedEntries.vue'
import DangerList from './DangerList.vue'
import StopPanel from './StopPanel.vue'
import { tell } from '../words/words'
import { isTyping } from '../common/typing'

// seldom seen: loaded when they are
const KeyHelp = defineAsyncComponent(() => import('./KeyHelp.vue'))
const PackNews = defineAsyncComponent(() => import('./PackNews.vue'))
const ReopenVisit = defineAsyncComponent(() => import('./ReopenVisit.vue'))

const props = defineProps<{ id: string }>()
const handle = useVisit(() => props.id)
provide(visitKey, handle)

const title = computed(() => {
  const job = handle.visit.value?.job
  return job ? `${job.site} · ${job.unit}` : tell('common.visit')
})
const missing = computed(() => handle.error.value instanceof Problem && handle.error.value.status === 404)
const waiting = computed(() => handle.waiting.value.length > 0 && handle.problem.value !== null)
const changes = computed(() => handle.page.value?.changes ?? [])
/** How far the unit is on its way to be ready, where that is what is waited for. */
const progress = computed(() =>
  handle.waitingFor.value instanceof Problem ? handle.waitingFor.value.progress : undefined,
)
const loggedOut = useLoggedOut()
const lostSession = computed(() => handle.loginNeeded.value || loggedOut.value)
const now = ref(Date.now())
useIntervalFn(() => (now.value = Date.now()), 1000)
const since = (at: number) => clock((now.value - at) / 1000)
/** The unit is set up on this visit. */
const isNew = computed(() => (handle.page.value?.log ?? []).some((l) => l.counts && l.kind === 'NEW_UNIT'))
const help = ref(false)
const danger = ref(false)
const mayStop = computed(() => !handle.visit.value?.closedAt && !handle.page.value?.stops.length)

function onKey(event: KeyboardEvent) {
  if (event.key === '?' && !isTyping(event)) help.value = !help.value
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <TopBar :title="title" stays />
  <LoginInPlace v-if="lostSession" :waiting="handle.waiting.value.length" @done="handle.resume" />
  <div v-if="handle.visit.value && handle.page.value" class="visit">
    <nav class="steps no-print" :aria-label="tell('visitView.stepsOfTheVisit')">
      <RouterLink :to="{ name: 'before', params: { id } }"
        ><span class="long">1 {{ tell('visitView.beforePower') }}</span
        ><span class="short">{{ tell('visitView.before') }}</span></RouterLink
      >
      <RouterLink :to="{ name: 'power', params: { id } }"
        ><span class="long">2 {{ tell('visitView.powerAndCall') }}</span
        ><span class="short">{{ tell('visitView.power') }}</span></RouterLink
      >
      <RouterLink :to="{ name: 'work', params: { id } }" data-test="step-work"
        ><span class="long">3 </span>{{ tell('visitView.work') }}</RouterLink
      >
      <RouterLink :to="{ name: 'verdict', params: { id } }"
        ><span class="long">4 </span>{{ tell('visitView.verdict') }}</RouterLink
      >
      <RouterLink :to="{ name: 'prove', params: { id } }"
        ><span class="long">5 </span>{{ tell('visitView.prove') }}</RouterLink
      >
      <button
        v-if="mayStop"
        class="key danger"
        type="button"
        data-test="danger"
        :aria-expanded="danger"
        @click="danger = !danger"
      >
        <span class="long">{{ tell('visitView.dangerFound') }}</span><span class="short">{{
          tell('visitView.danger')
        }}</span>
      </button>
      <button class="key quiet keys" type="button" @click="help = true">{{ tell('visitView.keys') }}</button>
      <RouterLink v-if="isNew" :to="{ name: 'set-up', params: { id } }" class="long" data-test="step-set-up">{{
        tell('visitView.setUp')
      }}</RouterLink>
      <p class="complaint">{{ handle.visit.value.job.complaint }}</p>
    </nav>
    <DangerList v-if="mayStop && danger" @done="danger = false" />
    <p v-if="waiting" class="banner" role="status" data-test="outbox">
      {{
        tell('visitView.keptOnThisDeviceNot', {
          count: handle.waiting.value.length,
          message: handle.problem.value?.message,
        })
      }}
    </p>
    <RefusedEntries v-if="handle.refused.value.length" />
    <PackNews v-if="handle.visit.value.newerPack?.length" :differences="handle.visit.value.newerPack" />
    <ReopenVisit v-if="handle.visit.value.closedAt" />
    <ul
      v-if="changes.length"
      class="changes"
      :aria-label="tell('visitView.temporaryChangesInTheUnit')"
      data-test="changes"
    >
      <li v-for="c in changes" :key="c.id">
        <span
          ><strong>{{ tell('visitView.stillIn') }}</strong> {{ c.what }}</span
        >
        <span class="num">{{ since(c.since) }}</span>
        <button
          v-if="!handle.visit.value.closedAt"
          type="button"
          class="key"
          data-test="change-out"
          @click="handle.add({ kind: 'CHANGE_OUT', supersedes: c.id })"
        >
          {{ tell('common.itIsOut') }}
        </button>
      </li>
    </ul>
    <template v-if="handle.page.value.stops.length">
      <StopPanel />
      <details v-if="handle.page.value.stops.every((s) => s.left)" class="left" data-test="left">
        <summary class="key quiet">{{ tell('visitView.testsThatAreStillAllowed') }}</summary>
        <RouterView />
      </details>
    </template>
    <RouterView v-else />
    <KeyHelp v-if="help" v-model="help" />
  </div>
  <main v-else-if="handle.visit.value" class="page" data-test="raw">
    <h1 class="h4">{{ tell('visitView.thisVisitCanOnlyBe') }}</h1>
    <p>{{ tell('visitView.itWasMadeByA') }}</p>
    <p v-if="handle.visit.value.job.verdict">
      <strong>{{ tell('visitView.verdictThen') }}</strong> {{ handle.visit.value.job.verdict }}
    </p>
    <ol>
      <li v-for="r in handle.visit.value.raw" :key="r.id">
        {{ timeOfDay(r.madeAt) }} {{ r.kind }} <span class="soft">{{ r.text }}</span>
      </li>
    </ol>
  </main>
  <main v-else-if="missing" class="page">
    <h1 class="h4">{{ tell('visitView.notOneOfYourVisits') }}</h1>
    <p>{{ tell('visitView.itMayBelongToA') }}</p>
    <RouterLink class="key next" to="/jobs">{{ tell('common.todaysJobs') }}</RouterLink>
  </main>
  <main v-else-if="handle.error.value && !lostSession" class="page">
    <h1 class="h4">{{ tell('visitView.theVisitDidNotLoad') }}</h1>
    <p class="problem" role="alert">{{ handle.error.value.message }}</p>
    <button class="key next" type="button" @click="handle.refetch()">{{ tell('common.tryAgain') }}</button>
  </main>
  <main v-else class="page" role="status">
    <template v-if="progress !== undefined">
      <p>{{ tell('visitView.preparingThisUnit', { percent: percent(progress) }) }}</p>
      <div class="track"><i :style="{ width: `${100 * progress}%` }"></i></div>
    </template>
    <p v-else-if="handle.waitingFor.value" class="soft">
      {{ tell('visitView.tryingAgain', { message: handle.waitingFor.value.message }) }}
    </p>
    <p v-else class="soft">{{ tell('visitView.loadingTheVisit') }}</p>
  </main>
</template>

<style scoped lang="scss">
.steps {
  display: flex;
  flex-wrap: wrap;
  align-items: stretch;
  border-bottom: 2px solid var(--line);
  padding-inline: 1rem;
}
.steps a {
  display: inline-flex;
  align-items: center;
  white-space: pre;
  min-height: 44px;
  padding-inline: 0.9rem;
  text-decoration: none;
  border-right: 1px solid var(--line-soft);
}
.steps a:first-child {
  padding-left: 0;
}
.steps a.router-link-active {
  font-weight: 700;
  box-shadow: inset 0 -5px 0 var(--ink);
}
.complaint {
  order: 3;
  margin: 0 0 0 1rem;
  align-self: center;
  flex: 1;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  color: var(--ink-soft);
}
.keys {
  order: 4;
}
.danger {
  order: 5;
  align-self: center;
  margin-left: 0.75rem;
  min-height: 36px;
  border-color: var(--danger);
  color: var(--danger);
}
.changes {
  list-style: none;
  margin: 0;
  padding: 0;
  border-bottom: 4px double var(--line);
}
.changes li {
  display: flex;
  align-items: center;
  gap: 1rem;
  padding: 0.15rem 1rem;
}
.changes li span:first-child {
  flex: 1;
}

.left {
  border-top: 2px solid var(--line);
}
.track {
  height: 12px;
  border: 2px solid var(--line);
}
.track i {
  display: block;
  height: 100%;
  background: var(--ink);
}
.banner {
  margin: 0;
  padding: 0.5rem 1rem;
  font-weight: 700;
  border-bottom: 2px solid var(--line);
  background: var(--paper-2);
}
.short {
  display: none;
}
@media (max-width: 700px) {
  .short {
    display: inline;
  }
  .long,
  .complaint,
  .keys {
    display: none;
  }
  .steps {
    padding-inline: 0.5rem;
  }
  .steps a {
    flex: 1;
    padding-inline: 0.3rem;
    justify-content: center;
    font-size: 0.875rem;
  }
  .danger {
    margin-left: 0.35rem;
    padding-inline: 0.4rem;
    font-size: 0.875rem;
  }
}
</style>
