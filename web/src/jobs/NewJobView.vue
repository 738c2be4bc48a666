<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Problem, type Job, type Site } from '../api/client'
import CustomerSaid, { type Statement } from '../common/CustomerSaid.vue'
import TopBar from '../common/TopBar.vue'
import { tell } from '../words/words'

const PAUSE_MS = 300

const router = useRouter()
const queries = useQueryClient()
const sites = useQuery({ queryKey: ['sites'], queryFn: () => answer<Site[]>(api.GET('/api/sites')) })
const route = useRoute()
const siteId = ref(String(route.query.site ?? ''))
const unitId = ref(String(route.query.unit ?? ''))
const complaint = ref('')
const problem = ref<Problem | null>(null)
const site = computed(() => sites.data.value?.find((s) => s.id === siteId.value))
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

function choose(id: string) {
  siteId.value = id
  unitId.value = site.value?.units.length === 1 ? site.value.units[0]!.id : ''
}

type Danger = 'CALLER_TOLD' | 'NOT_SO'

async function make(danger?: Danger) {
  problem.value = null
  try {
    const job = await answer<Job>(
      api.POST('/api/jobs', {
        body: { unitId: unitId.value, complaint: complaint.value, danger, told: told() },
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
      <label for="site">{{ tell('common.site') }}</label>
      <select
        id="site"
        class="form-select field"
        required
        :value="siteId"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option value="" disabled>{{ tell('common.chooseASite') }}</option>
        <option v-for="s in sites.data.value" :key="s.id" :value="s.id">{{ s.name }}, {{ s.address }}</option>
      </select>
      <label for="unit">{{ tell('newJobView.unit') }}</label>
      <select id="unit" v-model="unitId" class="form-select field" required :disabled="!site">
        <option value="" disabled>
          {{ site ? tell('newJobView.chooseAUnit') : tell('newJobView.chooseTheSiteFirst') }}
        </option>
        <option v-for="u in site?.units" :key="u.id" :value="u.id">{{ u.label }}, {{ u.location }}</option>
      </select>
      <p class="soft m-0">
        {{ tell('newJobView.notInTheList') }}
        <RouterLink :to="{ path: '/identify', query: { site: siteId || undefined } }" data-test="to-identify">{{
          tell('newJobView.identifyItByWhatYou')
        }}</RouterLink>
      </p>
      <label for="complaint">{{ tell('newJobView.complaintInTheCustomersWords') }}</label>
      <div class="quick">
        <button v-for="c in common" :key="c" class="key" type="button" @click="complaint = c">{{ c }}</button>
      </div>
      <BFormTextarea id="complaint" v-model="complaint" class="field" rows="3" required maxlength="500" />
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
