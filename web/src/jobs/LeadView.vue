<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useTitles } from '../api/usePacks'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import { shiftDay, today } from './day'
import FewFirst from './FewFirst.vue'
import FigureBars from './FigureBars.vue'
import ShopTest from './ShopTest.vue'
import VanStock from './VanStock.vue'
import WeekTrend from './WeekTrend.vue'
import { tell } from '../words/words'

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
/** Equipment types go by their names. */
const title = useTitles()
const families = computed(() => (data.value?.families ?? []).map((f) => ({ ...f, name: title(f.name) })))
const csv = computed(() => `/api/lead/visits.csv?from=${from.value}&to=${to.value}`)
</script>

<template>
  <TopBar :title="tell('common.results')" />
  <main class="page" data-test="lead-page">
    <h1 class="h4">{{ tell('common.results') }}</h1>
    <form class="days" @submit.prevent>
      <label>{{ tell('common.from') }} <input v-model="from" type="date" class="form-control num" required /></label>
      <label>{{ tell('common.to') }} <input v-model="to" type="date" class="form-control num" required /></label>
      <a class="key" :href="csv" download>{{ tell('leadView.visitsCsv') }}</a>
      <RouterLink class="key" to="/jobs/learning">{{ tell('common.ourOwnFailureRates') }}</RouterLink>
    </form>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-else-if="!data" class="soft">{{ tell('common.counting') }}</p>
    <p v-else-if="data.all.visits === 0">{{ tell('leadView.noVisitWasClosedIn') }}</p>
    <template v-else>
      <p class="lead num">
        {{
          tell('leadView.visitsClosedOfThemProven', {
            visits: data.all.visits,
            proven: data.all.proven,
            backs: data.all.backs,
            boards: data.all.boards,
            allowed: data.all.allowed ? tell('leadView.withoutProofApprovedByA', { allowed: data.all.allowed }) : '',
          })
        }}
      </p>
      <p class="soft">
        {{ tell('leadView.minutesAndCostAreMedians') }}
      </p>
      <WeekTrend :weeks="data.weeks" />
      <FigureBars :title="tell('leadView.byEquipmentType')" :figures="families" :currency="data.currency" />
      <FigureBars :title="tell('leadView.byPersonByName')" :figures="data.people" :currency="data.currency" />
      <section v-if="data.backs.length">
        <h2 class="h5">{{ tell('leadView.callbacksWithin30DaysAnd') }}</h2>
        <FewFirst :items="data.backs">
          <template #default="{ item: v }">
            <RouterLink :to="`/visits/${v.id}`">{{ v.number }}</RouterLink> {{ v.site }}, {{ v.unit }}:
            {{ v.verdict || tell('leadView.noVerdict') }}, {{ v.person }}.
            <strong>{{
              v.proven
                ? v.skipped
                  ? tell('leadView.provenThingsSkipped', { skipped: v.skipped })
                  : tell('leadView.proven')
                : tell('leadView.notProven')
            }}</strong>
            <span class="soft">{{ ` ${tell('leadView.callback', { back: v.back })}` }}</span>
          </template>
        </FewFirst>
      </section>
      <section v-if="data.boards.length">
        <h2 class="h5">{{ tell('leadView.boardsChangedAndTheirBench') }}</h2>
        <FewFirst :items="data.boards">
          <template #default="{ item: v }">
            <RouterLink :to="`/visits/${v.id}`">{{ v.number }}</RouterLink> {{ v.site }}, {{ v.unit }}: {{ v.verdict }}.
            <strong>{{
              v.back ? tell('leadView.cameBackAs', { back: v.back }) : tell('leadView.hasNotComeBack')
            }}</strong>
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
