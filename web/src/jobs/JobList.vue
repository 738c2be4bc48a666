<script setup lang="ts">
import type { Job } from '../api/client'
import BringAlong from './BringAlong.vue'
import { shortTime } from './day'
import { tell } from '../words/words'

defineProps<{ jobs: Job[]; dated?: boolean }>()
const words: Record<Job['state'], string> = {
  PLANNED: tell('jobList.toDo'),
  OPEN: tell('common.open'),
  CLOSED: tell('common.closed'),
}
</script>

<template>
  <ol class="jobs">
    <li v-for="job in jobs" :key="job.id">
      <RouterLink :to="`/visits/${job.id}`" class="job">
        <span class="no num"
          ><strong v-if="job.at">{{ shortTime(job.at) }}</strong
          ><span class="soft">{{ tell('jobList.number', { number: job.number }) }}</span></span
        >
        <span class="where">
          <strong>{{ job.site }}</strong>
          <span class="soft">{{ job.unit }} · {{ job.location }}</span>
        </span>
        <span class="complaint">{{ job.complaint }}</span>
        <span class="state" :class="job.state.toLowerCase()">{{ words[job.state] }}</span>
        <span class="soft by">
          <template v-if="dated"
            ><span class="num">{{ job.scheduledOn }}</span> ·
          </template>
          {{ job.technician }}<template v-if="job.brought">{{ ` ${tell('jobList.imported')}` }}</template
          ><template v-if="dated && job.verdict"> · {{ job.verdict }}</template>
        </span>
        <BringAlong v-if="!dated && job.state === 'PLANNED'" class="by" :visit="job.id" />
      </RouterLink>
    </li>
  </ol>
</template>

<style scoped lang="scss">
.jobs {
  list-style: none;
  padding: 0;
  margin: 0;
}
.job {
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 15rem) minmax(0, 1fr) 5rem;
  gap: 0.1rem 1rem;
  padding: 0.9rem 0.25rem;
  min-height: 64px;
  border-bottom: 1px solid var(--line-soft);
  text-decoration: none;
}
.job:hover {
  background: var(--paper-2);
}
.no,
.where {
  display: grid;
  align-content: start;
}
.where {
  grid-row: span 3;
}
.state {
  white-space: nowrap;
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
    grid-template-columns: 3.4rem minmax(0, 1fr) auto;
    column-gap: 0.5rem;
  }
  .complaint,
  .by {
    grid-column: 2 / -1;
  }
  .no {
    grid-area: 1 / 1;
  }
  .where {
    grid-area: 1 / 2;
  }
  .state {
    grid-column: 3;
    grid-row: 1;
  }
}
</style>
