<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Problem, type Job, type Site } from '../api/client'
import CustomerSaid, { type Statement } from '../common/CustomerSaid.vue'
import TopBar from '../common/TopBar.vue'
import UnitPicker from './UnitPicker.vue'
import { tell } from '../words/words'

const PAUSE_MS = 300

const router = useRouter()
const queries = useQueryClient()
const sites = useQuery({ queryKey: ['sites'], queryFn: () => answer<Site[]>(api.GET('/api/sites')) })
const route = useRoute()
const siteId = String(route.query.site ?? '')
const unitId = ref(String(route.query.unit ?? ''))
const complaint = ref('')
/** It never ran: it is set up on this visit. */
const isNew = ref(false)
/** Left empty where no time was agreed. */
const at = ref('')
const problem = ref<Problem | null>(null)
const common = [
  tell('newJobView.noHeat'),
  tell('newJobView.startsAndGoesOutAgain'),
  tell('newJobView.heatsForAWhileThen'),
  tell('newJobView.blowerDoesNotStop'),
  tell('newJobView.runsButLittleHeat'),
]

/** What is asked for a moment after the last key, so that not every letter asks. */
const typed = ref('')
let waits: ReturnType<typeof setTimeout> | undefined
watch(complaint, (text) => {
  clearTimeout(waits)
  waits = setTimeout(() => (typed.value = text), PAUSE_MS)
})
const statements = useQuery({
  queryKey: ['statements', unitId, typed],
  enabled: () => unitId.value !== '',
  placeholderData: (before) => before,
  queryFn: () =>
    answer<{ all: Statement[]; understood: Statement[] }>(
      api.GET('/api/units/{id}/statements', {
        params: { path: { id: unitId.value }, query: { complaint: typed.value } },
      }),
    ),
})
/** What was tapped, by question; what is understood counts until it is tapped away. */
const tapped = ref(new Map<string, boolean | null>())
watch(unitId, () => (tapped.value = new Map()))
function said(s: Statement) {
  const own = tapped.value.get(s.test)
  return own === undefined
    ? (statements.data.value?.understood.some((u) => u.test === s.test && u.yes === s.yes) ?? false)
    : own === s.yes
}
function toggle(s: Statement) {
  tapped.value.set(s.test, said(s) ? null : s.yes)
}
const told = () => (statements.data.value?.all ?? []).filter(said).map(({ test, yes }) => ({ test, yes }))

type Danger = 'CALLER_TOLD' | 'NOT_SO'

async function make(danger?: Danger) {
  problem.value = null
  try {
    const job = await answer<Job>(
      api.POST('/api/jobs', {
        body: {
          unitId: unitId.value,
          complaint: complaint.value,
          danger,
          told: told(),
          newUnit: isNew.value || undefined,
          at: at.value || undefined,
        },
      }),
    )
    await queries.invalidateQueries({ queryKey: ['jobs'] })
    await router.replace(`/visits/${job.id}`)
  } catch (failure) {
    problem.value = failure as Problem
  }
}
</script>

<template>
  <TopBar :title="tell('common.newJob')" />
  <main class="page">
    <h1 class="h4">{{ tell('common.newJob') }}</h1>
    <hr class="rule" />
    <form class="form" @submit.prevent="make()">
      <UnitPicker v-model="unitId" :sites="sites.data.value ?? []" :arrived="siteId" />
      <label for="complaint">{{ tell('newJobView.complaintInTheCustomersWords') }}</label>
      <div class="quick">
        <button v-for="c in common" :key="c" class="key" type="button" @click="complaint = c">{{ c }}</button>
      </div>
      <BFormTextarea id="complaint" v-model="complaint" class="field" rows="3" required maxlength="500" />
      <label class="tick"
        ><input v-model="isNew" type="checkbox" data-test="is-new" /> {{ tell('newJobView.neverRan') }}</label
      >
      <p v-if="!isNew" class="soft mb-0" data-test="leave-it">{{ tell('newJobView.tellTheCaller') }}</p>
      <label for="at">{{ tell('newJobView.whenToday') }}</label>
      <input id="at" v-model="at" type="time" class="form-control field num time" />
      <CustomerSaid
        v-if="statements.data.value?.all.length"
        :all="statements.data.value.all"
        :understood="statements.data.value.understood"
        :said="said"
        @toggle="toggle"
      />
      <section v-if="problem?.caller.length" class="danger" role="alert" data-test="caller">
        <p class="problem">{{ problem.message }}</p>
        <h2 class="h5">{{ tell('newJobView.readThisToTheCaller') }}</h2>
        <ol>
          <li v-for="c in problem.caller" :key="c">{{ c }}</li>
        </ol>
        <p v-for="c in problem.call" :key="c">
          <strong>{{ tell('newJobView.call') }}</strong> {{ c }}
        </p>
        <button class="key next" type="button" data-test="caller-told" @click="make('CALLER_TOLD')">
          {{ tell('newJobView.callerToldMakeTheJob') }}
        </button>
        <button class="key" type="button" data-test="not-so" @click="make('NOT_SO')">
          {{ tell('newJobView.askedAgainNotSo') }}
        </button>
      </section>
      <p v-else-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <button class="key next" type="submit" :disabled="!unitId || !complaint.trim()">
        {{ tell('newJobView.makeJobAndOpenIt') }}
      </button>
    </form>
  </main>
</template>

<style scoped lang="scss">
.form {
  display: grid;
  gap: 0.4rem;
  max-width: 36rem;
}
label {
  font-weight: 700;
  margin-top: 0.9rem;
}
.quick {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.quick .key {
  font-weight: 400;
}
.tick {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 48px;
}
.tick input {
  width: 1.5rem;
  height: 1.5rem;
}
.time {
  max-width: 10rem;
}
.danger {
  display: grid;
  gap: 0.4rem;
  margin-top: 0.75rem;
  padding: 0.5rem 0.75rem;
  border-left: 12px solid var(--danger);
  font-size: 1.0625rem;
}
.danger li {
  font-weight: 700;
}
.next {
  min-height: 56px;
  margin-top: 1rem;
}
</style>
