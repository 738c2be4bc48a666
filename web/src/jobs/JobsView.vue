<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api, type Job } from '../api/client'
import TopBar from '../common/TopBar.vue'
import { dayLabel, shiftDay, today } from './day'

const day = ref(today())
const jobs = useQuery({
  queryKey: computed(() => ['jobs', day.value]),
  queryFn: () => answer<Job[]>(api.GET('/api/jobs', { params: { query: { day: day.value } } })),
})
const words: Record<Job['state'], string> = { PLANNED: 'to do', OPEN: 'open', CLOSED: 'closed' }
</script>

<template>
  <TopBar title="Jobs" />
  <main class="page">
    <div class="head">
      <button class="key" type="button" aria-label="Day before" @click="day = shiftDay(day, -1)">‹</button>
      <h1 class="h4 m-0 day">{{ dayLabel(day) }}</h1>
      <button class="key" type="button" aria-label="Day after" @click="day = shiftDay(day, 1)">›</button>
      <RouterLink class="key quiet ms-auto" to="/tools">Tools</RouterLink>
      <RouterLink class="key quiet" to="/boards">Boards</RouterLink>
      <RouterLink class="key quiet" to="/policy">How we work</RouterLink>
      <RouterLink class="key" to="/jobs/new">New job</RouterLink>
    </div>
    <hr class="rule" />
    <p v-if="jobs.isPending.value" class="soft mt-3">Fetching the jobs.</p>
    <div v-else-if="jobs.error.value" class="mt-3" role="alert">
      <p class="problem">{{ jobs.error.value.message }}</p>
      <button class="key mt-2" type="button" @click="jobs.refetch()">Try again</button>
    </div>
    <p v-else-if="jobs.data.value?.length === 0" class="mt-3">
      No jobs on this day. Make one when a call comes in, or look at another day.
    </p>
    <ol v-else class="jobs">
      <li v-for="job in jobs.data.value" :key="job.id">
        <RouterLink :to="`/visits/${job.id}`" class="job">
          <span class="no num">{{ job.number }}</span>
          <span class="where">
            <strong>{{ job.site }}</strong>
            <span class="soft">{{ job.unit }} · {{ job.location }}</span>
          </span>
          <span class="complaint">{{ job.complaint }}</span>
          <span class="state" :class="job.state.toLowerCase()">{{ words[job.state] }}</span>
          <span class="soft by">{{ job.technician }}</span>
        </RouterLink>
      </li>
    </ol>
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
.jobs {
  list-style: none;
  padding: 0;
  margin: 0;
}
.job {
  display: grid;
  grid-template-columns: 2.5rem minmax(0, 15rem) minmax(0, 1fr) 5rem;
  gap: 0.1rem 1rem;
  padding: 0.9rem 0.25rem;
  min-height: 64px;
  border-bottom: 1px solid var(--line-soft);
  text-decoration: none;
}
.job:hover {
  background: var(--paper-2);
}
.where {
  display: grid;
}
.state {
  font-weight: 700;
  text-align: right;
}
.state.open::before {
  content: '● ';
}
.state.planned::before {
  content: '○ ';
}
.state.closed {
  font-weight: 400;
}
.by {
  grid-column: 3;
}
@media (max-width: 700px) {
  .job {
    grid-template-columns: 2rem minmax(0, 1fr) 4.5rem;
  }
  .complaint,
  .by {
    grid-column: 2 / -1;
  }
  .state {
    grid-column: 3;
    grid-row: 1;
  }
}
</style>
