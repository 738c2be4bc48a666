<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api, type Verdict } from '../api/client'
import { useVisit } from '../api/useVisit'
import TopBar from '../common/TopBar.vue'
import { percent, timeOfDay } from '../visit/format'
import { outcomes } from '../visit/outcomes'
import ProofList from '../visit/ProofList.vue'
import TimingDiagram from '../visit/TimingDiagram.vue'

const props = defineProps<{ id: string }>()
const { visit, page, unit, error } = useVisit(() => props.id)
const words = {
  PROVEN: 'Proven',
  INDICATED: 'Indicated, proof is missing',
  NOT_YET: 'Not proven',
  UNEXPLAINED: 'not explained by the model',
}
/** What was found before each repair; what stands now where nothing was repaired. */
const { data: found, error: unfound } = useQuery({
  queryKey: ['visit', props.id, 'verdicts', () => page.value?.entries],
  queryFn: () => answer<Verdict[]>(api.GET('/api/visits/{id}/verdicts', { params: { path: { id: props.id } } })),
})
const log = computed(() => page.value?.log.filter((l) => l.counts && l.kind !== 'TAKE_BACK') ?? [])
const print = () => window.print()
</script>

<template>
  <TopBar title="Report" />
  <main v-if="visit && page && unit" class="page report" data-test="report-page">
    <div class="no-print tools">
      <RouterLink class="key" :to="`/visits/${id}/verdict`">Back to the visit</RouterLink>
      <button type="button" class="key next" @click="print">Print</button>
    </div>
    <header>
      <p class="eyebrow">Service report {{ visit.job.number }}</p>
      <h1 class="h3">{{ visit.job.site }}, {{ visit.job.unit }}</h1>
      <p>
        {{ visit.job.address }} · {{ visit.job.location }} · {{ visit.job.scheduledOn }} · {{ visit.job.technician }}
      </p>
      <p><strong>Complaint:</strong> {{ visit.job.complaint }}</p>
    </header>
    <hr class="rule" />
    <h2 class="h5">Found</h2>
    <p v-if="unfound" class="problem" role="alert">{{ unfound.message }}</p>
    <p v-else-if="!found" class="soft">Fetching what was found.</p>
    <section v-for="(v, i) in found" :key="i" data-test="found">
      <p>
        <strong>{{ v.label }}</strong> ({{ words[v.status] }}, {{ percent(v.probability) }}). {{ v.remedy }}.
      </p>
      <ProofList :verdict="v" />
      <p v-if="v.skipped.length" class="mt-2"><strong>Not shown:</strong> {{ v.skipped.join('; ') }}</p>
      <p v-if="v.untested.length" class="mt-2"><strong>Untested downstream:</strong> {{ v.untested.join(', ') }}</p>
    </section>
    <h2 class="h5">Measured</h2>
    <table class="table">
      <thead>
        <tr>
          <th scope="col">Time</th>
          <th scope="col">What</th>
          <th scope="col">Found</th>
          <th scope="col">In good order</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in log" :key="l.id">
          <td class="num">{{ timeOfDay(l.madeAt) }}</td>
          <td>{{ l.what }}</td>
          <td class="num">{{ l.found }}</td>
          <td class="num">{{ l.due || l.judgement }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="log.length === 0" class="soft">Nothing was measured.</p>
    <TimingDiagram :diagram="page.diagram" />
    <h2 class="h5 mt-3">Decided</h2>
    <p v-if="visit.closedAt">{{ visit.outcome ? outcomes[visit.outcome].report : '' }}. {{ visit.decided }}</p>
    <p v-else>The visit is still open; nothing has been decided.</p>
    <p class="caution">{{ unit.defer }}</p>
  </main>
  <main v-else-if="error" class="page">
    <p class="problem" role="alert">{{ error.message }}</p>
  </main>
</template>

<style scoped lang="scss">
.tools {
  display: flex;
  justify-content: space-between;
  margin-bottom: 1rem;
}
h2 {
  margin-top: 1.25rem;
}
.table {
  --bs-table-bg: transparent;
  --bs-table-color: inherit;
  border-color: var(--line-soft);
}
@media print {
  .report {
    max-width: none;
    padding: 0;
  }
}
</style>
