<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api, type Report, type Verdict, type Visit } from '../api/client'
import { useMe } from '../api/useMe'
import { useNameplate } from '../api/useNameplate'
import { useVisit } from '../api/useVisit'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import { percent, timeOfDay } from '../visit/format'
import { outcomes } from '../visit/outcomes'
import RungView from '../visit/RungView.vue'
import ProofList from '../visit/ProofList.vue'
import TimingDiagram from '../visit/TimingDiagram.vue'
import ReportFiles from './ReportFiles.vue'
import ReportLines from './ReportLines.vue'
import { dates, tell } from '../words/words'

const props = defineProps<{ id: string }>()
const { visit, page, error } = useVisit(() => props.id)
const { data: plate } = useNameplate(() => visit.value?.unitId)
const words: Record<Verdict['status'], string> = {
  PROVEN: tell('common.proven'),
  INDICATED: tell('reportView.likelyProofIsMissing'),
  NOT_YET: tell('reportView.notProven'),
  UNEXPLAINED: tell('reportView.notExplainedByTheModel'),
}
const happened: Record<Visit['events'][number]['kind'], string> = {
  CLOSED: tell('common.closed2'),
  REOPENED: tell('reportView.openedAgain'),
  PACK_CHANGED: tell('reportView.wentOverToAnotherPack'),
  CHANGED_AFTER: tell('reportView.changedAfterClosing'),
  SHOP_TEST: tell('reportView.boardTestedInTheShop'),
  BROUGHT: tell('reportView.takenIn'),
}
const { zone } = useMe()
const moment = (at: string) =>
  new Date(at).toLocaleString(dates(), {
    timeZone: zone.value,
    dateStyle: 'medium',
    timeStyle: 'short',
  })
const states = { GOOD: tell('reportView.good'), BAD: tell('reportView.notGood'), MISSING: tell('proveItem.missing') }
const { data: report, error: unfound } = useQuery({
  queryKey: ['visit', props.id, 'report', computed(() => page.value?.entries)],
  queryFn: () => answer<Report>(api.GET('/api/visits/{id}/report', { params: { path: { id: props.id } } })),
  meta: told,
})
</script>

<template>
  <TopBar :title="tell('common.report')" />
  <main v-if="visit && page" class="page report" data-test="report-page">
    <ReportFiles :id="id" />
    <header>
      <p class="eyebrow">{{ tell('reportView.serviceReport', { number: visit.job.number }) }}</p>
      <h1 class="h3">{{ visit.job.site }}, {{ visit.job.unit }}</h1>
      <p>
        {{ visit.job.address }} · {{ visit.job.location }} · {{ visit.job.scheduledOn }} · {{ visit.job.technician }}
      </p>
      <p v-if="plate?.says" data-test="report-plate">{{ tell('nameplateCard.asTyped') }}: {{ plate.says }}</p>
      <p>
        <strong>{{ tell('reportView.complaint') }}</strong> {{ visit.job.complaint }}
      </p>
      <p v-if="visit.job.brought" data-test="brought">
        {{ tell('reportView.importedFromAnotherCompanysFile') }}
      </p>
    </header>
    <hr class="rule" />
    <p v-if="unfound" class="problem" role="alert">{{ unfound.message }}</p>
    <p v-else-if="!report" class="soft">{{ tell('reportView.loadingTheReport') }}</p>
    <template v-if="report">
      <h2 v-if="report.found.length" class="h5">{{ tell('common.found') }}</h2>
      <section v-for="(v, i) in report.found" :key="i" data-test="found">
        <p>
          <strong>{{ v.label }}</strong> ({{ words[v.status] }}, {{ percent(v.probability) }}). {{ v.remedy }}.
        </p>
        <ProofList :verdict="v" />
        <p v-if="v.skipped.length" class="mt-2">
          <strong>{{ tell('reportView.notShown') }}</strong> {{ v.skipped.join('; ') }}
        </p>
        <p v-if="v.damaged.length" class="mt-2">
          <strong>{{ tell('reportView.damagedByIt') }}</strong> {{ v.damaged.join(', ') }}
        </p>
      </section>
      <template v-if="report.rung.length">
        <h2 class="h5">{{ tell('verdictView.whereItSits') }}</h2>
        <RungView :steps="report.rung" closed />
      </template>
      <h2 class="h5">{{ tell('reportView.readings') }}</h2>
      <ReportLines v-if="report.measured.length" :lines="report.measured" good />
      <p v-else class="soft">{{ tell('reportView.nothingWasMeasured') }}</p>
      <TimingDiagram :diagram="report.diagram" :taps="report.taps" />
      <template v-if="report.done.length">
        <h2 class="h5">{{ tell('reportView.done') }}</h2>
        <ReportLines :lines="report.done" />
      </template>
      <template v-if="report.commissioning.length">
        <h2 class="h5">{{ tell('setUpView.setUpANewUnit') }}</h2>
        <ul class="proving">
          <li v-for="s in report.commissioning" :key="s.id">
            <strong>{{ s.stands }}</strong> <span>{{ s.what }}</span> <span class="soft">{{ s.told }}</span>
          </li>
        </ul>
      </template>
      <template v-if="report.settings.length">
        <h2 class="h5">{{ tell('common.settingsFoundAndLeft') }}</h2>
        <ReportLines :lines="report.settings" />
      </template>
      <template v-if="report.proving.length">
        <h2 class="h5">{{ tell('common.provingRun') }}</h2>
        <ul class="proving">
          <li v-for="item in report.proving" :key="item.id">
            <strong>{{ states[item.state] }}</strong> <span>{{ item.what }}</span>
            <span class="soft"
              >{{ tell('common.expected', { value: item.due })
              }}<template v-if="item.found">{{ tell('reportView.found', { found: item.found }) }}</template></span
            >
          </li>
        </ul>
      </template>
      <template v-if="report.notes.length">
        <h2 class="h5">{{ tell('reportView.remarks') }}</h2>
        <p v-for="note in report.notes" :key="note.id">
          <span class="num soft">{{ timeOfDay(note.madeAt) }}</span> {{ note.found }}
        </p>
      </template>
      <h2 class="h5">{{ tell('reportView.decided') }}</h2>
      <p v-if="visit.closedAt">{{ visit.outcome ? outcomes[visit.outcome].report : '' }}. {{ visit.decided }}</p>
      <p v-else>{{ tell('reportView.theVisitIsStillOpen') }}</p>
      <p v-if="report.untested.length">
        <strong>{{ tell('reportView.notTestedYetNeverPowered') }}</strong> {{ report.untested.join(', ') }}
      </p>
      <template v-if="visit.events.length">
        <h2 class="h5">{{ tell('reportView.history') }}</h2>
        <ul class="events" data-test="events">
          <li v-for="event in visit.events" :key="`${event.kind}${event.at}`">
            <span class="num soft">{{ moment(event.at) }}</span>
            <span
              ><strong>{{ happened[event.kind] }}</strong
              ><template v-if="event.ofFile">{{ ` ${tell('reportView.asTheFileSays')}` }}</template
              >. {{ event.note }}</span
            >
          </li>
        </ul>
      </template>
      <p class="caution">{{ report.defer }}</p>
    </template>
  </main>
  <main v-else-if="error" class="page">
    <p class="problem" role="alert">{{ error.message }}</p>
  </main>
</template>

<style scoped lang="scss">
h2 {
  margin-top: 1.25rem;
}
.events {
  list-style: none;
  padding: 0;
}
.events li {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: 0.1rem 1rem;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.proving {
  list-style: none;
  padding: 0;
}
.proving li {
  display: grid;
  grid-template-columns: 5rem minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.1rem 1rem;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line-soft);
}
@media (max-width: 700px) {
  .proving li {
    grid-template-columns: 5rem minmax(0, 1fr);
  }
  .proving li :last-child {
    grid-column: 2;
  }
}
@media print {
  .report {
    max-width: none;
    padding: 0;
  }
}
</style>
