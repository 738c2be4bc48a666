<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, type Job } from '../api/client'
import { useMe } from '../api/useMe'
import { useAttempt } from '../api/useAttempt'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import JobList from './JobList.vue'
import { tell } from '../words/words'

/** Waits for a pause in typing. */
const PAUSE_MS = 250

const route = useRoute()
const router = useRouter()
const queries = useQueryClient()
const text = ref(typeof route.query.query === 'string' ? route.query.query : '')
const asked = refDebounced(text, PAUSE_MS)
const wanted = computed(() => asked.value.trim())
watch(wanted, (query) => void router.replace({ query: query ? { query } : {} }))
const found = useQuery({
  queryKey: computed(() => ['found', wanted.value]),
  queryFn: () => answer<Job[]>(api.GET('/api/visits', { params: { query: { query: wanted.value } } })),
  enabled: computed(() => wanted.value.length > 0),
  meta: told,
})
const { lead } = useMe()

const { attempt, busy, problem } = useAttempt()
const taken = ref<{ id: string; entries: number; closed: boolean; left: string[] }>()
async function takeIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  taken.value = undefined
  await attempt(async () => {
    let document: Record<string, never>
    try {
      document = JSON.parse(await file.text())
    } catch {
      throw new Error(tell('recordView.isNotJsonChooseA', { name: file.name }))
    }
    taken.value = await answer(api.POST('/api/visits/import', { body: document }))
    await queries.invalidateQueries({ queryKey: ['found'] })
  })
  input.value = ''
}
</script>

<template>
  <TopBar :title="tell('common.record')" />
  <main class="page" data-test="record-page">
    <h1 class="visually-hidden">{{ tell('common.record') }}</h1>
    <RouterLink v-if="lead" class="key mb-3" to="/jobs/lead">{{ tell('common.results') }}</RouterLink>
    <label class="form-label d-block" for="query">{{ tell('recordView.whatToLookFor') }}</label>
    <input
      id="query"
      v-model="text"
      class="form-control form-control-lg"
      type="search"
      maxlength="100"
      autofocus
      :placeholder="tell('recordView.siteUnitBoardComplaintVerdict')"
    />
    <hr class="rule mt-3" />
    <p v-if="!wanted" class="soft mt-3">{{ tell('recordView.everyVisitIsKeptType') }}</p>
    <p v-else-if="found.error.value" class="problem mt-3" role="alert">{{ found.error.value.message }}</p>
    <p v-else-if="found.isPending.value" class="soft mt-3">{{ tell('recordView.searching') }}</p>
    <p v-else-if="found.data.value?.length === 0" class="mt-3">
      {{ tell('recordView.noVisitSaysTryA', { wanted }) }}
    </p>
    <JobList v-else :jobs="found.data.value ?? []" dated />
    <section v-if="lead" class="take" aria-labelledby="take-title">
      <h2 id="take-title" class="h5">{{ tell('recordView.importAVisit') }}</h2>
      <p class="soft">
        {{ tell('recordView.useTheVisitJsonFile') }}
      </p>
      <label class="key" :class="{ busy }">
        {{ tell('recordView.chooseTheFile') }}
        <input class="visually-hidden" type="file" accept="application/json,.json" :disabled="busy" @change="takeIn" />
      </label>
      <p v-if="problem" class="problem mt-2" role="alert">{{ problem }}</p>
      <div v-if="taken" class="mt-2" role="status">
        <p>
          {{
            tell('recordView.importedWithRecords', {
              entries: taken.entries,
              open: taken.closed ? tell('common.closed') : tell('common.open'),
            })
          }}
          <RouterLink :to="`/visits/${taken.id}`">{{ tell('recordView.openTheVisit') }}</RouterLink>
        </p>
        <template v-if="taken.left.length">
          <p class="mb-1">
            <strong>{{ tell('recordView.leftOut') }}</strong>
          </p>
          <ul data-test="left">
            <li v-for="line in taken.left" :key="line">{{ line }}</li>
          </ul>
        </template>
      </div>
    </section>
  </main>
</template>

<style scoped lang="scss">
.take {
  margin-top: 2.5rem;
}
</style>
