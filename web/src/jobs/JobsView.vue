<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api, type Job } from '../api/client'
import { useMe } from '../api/useMe'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import { dayLabel, shiftDay, today } from './day'
import JobList from './JobList.vue'
import { tell } from '../words/words'

const { me, zone } = useMe()
const chosen = ref('')
const day = computed({ get: () => chosen.value || today(new Date(), zone.value), set: (of) => (chosen.value = of) })
const jobs = useQuery({
  queryKey: computed(() => ['jobs', day.value]),
  enabled: computed(() => !me.isPending.value),
  queryFn: () => answer<Job[]>(api.GET('/api/jobs', { params: { query: { day: day.value } } })),
  meta: told,
})
/** A time zone by the one of its names that this browser uses: Etc/UTC is UTC. */
const named = (timeZone?: string) => new Intl.DateTimeFormat('en-US', { timeZone }).resolvedOptions().timeZone
const elsewhere = computed(() => zone.value && named(zone.value) !== named())
</script>

<template>
  <TopBar :title="tell('common.jobs')" />
  <main class="page">
    <div class="head">
      <button class="key" type="button" :aria-label="tell('jobsView.dayBefore')" @click="day = shiftDay(day, -1)">
        ‹
      </button>
      <h1 class="h4 m-0 day">{{ dayLabel(day, new Date(), zone) }}</h1>
      <button class="key" type="button" :aria-label="tell('jobsView.dayAfter')" @click="day = shiftDay(day, 1)">
        ›
      </button>
      <RouterLink class="key quiet ms-auto" to="/jobs/record">{{ tell('common.record') }}</RouterLink>
      <RouterLink class="key quiet" to="/tools">{{ tell('common.tools') }}</RouterLink>
      <RouterLink class="key quiet" to="/boards">{{ tell('common.boards') }}</RouterLink>
      <RouterLink class="key quiet" to="/policy">{{ tell('common.companyRules') }}</RouterLink>
      <RouterLink class="key" to="/jobs/new" data-test="new-job">{{ tell('common.newJob') }}</RouterLink>
    </div>
    <p v-if="elsewhere" class="soft mb-0" data-test="zone">{{ tell('jobsView.daysInTime', { zone }) }}</p>
    <hr class="rule" />
    <p v-if="jobs.isPending.value" class="soft mt-3">{{ tell('jobsView.loadingJobs') }}</p>
    <div v-else-if="jobs.error.value" class="mt-3" role="alert">
      <p class="problem">{{ jobs.error.value.message }}</p>
      <button class="key mt-2" type="button" @click="jobs.refetch()">{{ tell('common.tryAgain') }}</button>
    </div>
    <p v-else-if="jobs.data.value?.length === 0" class="mt-3">
      {{ tell('jobsView.noJobsOnThisDay') }}
    </p>
    <JobList v-else :jobs="jobs.data.value ?? []" />
  </main>
</template>

<style scoped lang="scss">
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  padding-bottom: 0.75rem;
}
.day {
  white-space: nowrap;
}
</style>
