<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import { shiftDay, today } from './day'
import FewFirst from './FewFirst.vue'
import FigureBars from './FigureBars.vue'
import ShopTest from './ShopTest.vue'
import VanStock from './VanStock.vue'

type Overview = components['schemas']['Overview']
const QUARTER_DAYS = 91
const from = ref(shiftDay(today(), -QUARTER_DAYS))
const to = ref(today())
const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['lead', from.value, to.value]),
  queryFn: () =>
    answer<Overview>(api.GET('/api/lead/overview', { params: { query: { from: from.value, to: to.value } } }) as never),
  placeholderData: keepPreviousData,
  meta: told,
})
const csv = computed(() => `/api/lead/visits.csv?from=${from.value}&to=${to.value}`)
</script>

<template>
  <TopBar title="Results" />
  <main class="page" data-test="lead-page">
    <h1 class="h4">Results</h1>
    <form class="days" @submit.prevent>
      <label>From <input v-model="from" type="date" class="form-control num" required /></label>
      <label>To <input v-model="to" type="date" class="form-control num" required /></label>
      <a class="key" :href="csv" download>Visits (CSV)</a>
      <RouterLink class="key" to="/jobs/learning">Our own failure rates</RouterLink>
    </form>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-else-if="!data" class="soft">Counting.</p>
    <p v-else-if="data.all.visits === 0">No visit was closed in these days. Choose other days.</p>
    <template v-else>
      <p class="lead num">
        {{ data.all.visits }} visits closed, {{ data.all.proven }} of them proven; {{ data.all.backs }} callbacks within
        30 days; {{ data.all.boards }} {{ data.all.boards === 1 ? 'board' : 'boards' }} changed{{
          data.all.allowed ? `, ${data.all.allowed} without proof, approved by a lead` : ''
        }}.
      </p>
      <p class="soft">
        Minutes and cost are medians. Book time is what the tests, the parts and a try after each take by our book
        figures.
      </p>
      <FigureBars title="By equipment type" :figures="data.families" :currency="data.currency" />
      <FigureBars title="By person, by name" :figures="data.people" :currency="data.currency" />
      <section v-if="data.backs.length">
        <h2 class="h5">Callbacks within 30 days, and what had not been proven</h2>
        <FewFirst :items="data.backs">
          <template #default="{ item: v }">
            <RouterLink :to="`/visits/${v.id}`">{{ v.number }}</RouterLink> {{ v.site }}, {{ v.unit }}:
            {{ v.verdict || 'no verdict' }}, {{ v.person }}.
            <strong>{{
              v.proven ? (v.skipped ? `proven, ${v.skipped} things skipped` : 'proven') : 'not proven'
            }}</strong>
            <span class="soft"> callback {{ v.back }}</span>
          </template>
        </FewFirst>
      </section>
      <section v-if="data.boards.length">
        <h2 class="h5">Boards changed, and their bench tests</h2>
        <FewFirst :items="data.boards">
          <template #default="{ item: v }">
            <RouterLink :to="`/visits/${v.id}`">{{ v.number }}</RouterLink> {{ v.site }}, {{ v.unit }}: {{ v.verdict }}.
            <strong>{{ v.back ? `came back as ${v.back}` : 'has not come back' }}</strong>
            <span v-if="v.allowed" class="problem" data-test="allowed">{{ v.allowed }}.</span>
            <ShopTest :visit="v.id" :found="v.shopTest" @kept="refetch()" />
          </template>
        </FewFirst>
      </section>
    </template>
    <VanStock />
  </main>
</template>

<style scoped lang="scss">
.days {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem 1.25rem;
  margin-bottom: 1rem;
}
section {
  margin-top: 1.5rem;
}
</style>
