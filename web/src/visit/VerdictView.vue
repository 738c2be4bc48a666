<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { percent } from './format'
import { useHandle } from './handle'
import ProofList from './ProofList.vue'
import RepairList from './RepairList.vue'
import RungView from './RungView.vue'
import { tell } from '../words/words'

const { visit, page, unit } = useHandle()
const route = useRoute()
const verdict = computed(() => page.value!.verdict)
const closed = computed(() => Boolean(visit.value!.closedAt))
const WORK = { name: 'work', label: tell('common.backToTheWork') }
const WAYS = { name: 'ways', label: tell('verdictView.repairOptions') }
const CHANGE = { name: 'change', label: tell('verdictView.boardChangeOut') }
const PROVE = { name: 'prove', label: tell('verdictView.proveItAndClose') }
const repaired = computed(() => page.value!.log.some((l) => l.counts && l.kind === 'REPAIRED'))
/** What comes next by the state: the work while unproven, the ways to repair it, the proving run once it is repaired. */
const onward = computed(() => (repaired.value ? PROVE : verdict.value.status === 'PROVEN' ? WAYS : WORK))
const asides = computed(() =>
  [WORK, WAYS, ...(verdict.value.board ? [CHANGE] : []), PROVE].filter((a) => closed.value || a !== onward.value),
)
const words = {
  PROVEN: tell('common.proven'),
  INDICATED: tell('verdictView.likelyProofIsMissing'),
  NOT_YET: tell('verdictView.notYet'),
  UNEXPLAINED: tell('verdictView.notExplained'),
}
</script>

<template>
  <main class="page">
    <p class="eyebrow" data-test="status">{{ words[verdict.status] }}</p>
    <h1 class="label" :class="verdict.status.toLowerCase()" data-test="verdict">
      {{ verdict.status === 'UNEXPLAINED' ? tell('verdictView.nothingThisModelKnowsExplains') : verdict.label }}
    </h1>
    <p class="num">{{ percent(verdict.probability) }}</p>
    <p v-if="verdict.group.length" class="soft">
      {{ tell('verdictView.noTestSeparatesItFrom', { group: verdict.group.join(', ') }) }}
    </p>
    <p v-if="verdict.status === 'UNEXPLAINED'">
      {{ tell('verdictView.noPartIsNamedIs') }}
    </p>
    <p v-else-if="verdict.status === 'NOT_YET'">{{ tell('verdictView.otherCausesAreStillPossible') }}</p>
    <template v-else>
      <h2 class="h5">{{ tell('verdictView.repair') }}</h2>
      <p>{{ verdict.remedy }}.</p>
    </template>
    <h2 class="h5">{{ tell('verdictView.proof') }}</h2>
    <ProofList v-if="verdict.proof.length" :verdict="verdict" />
    <p v-else class="soft">{{ tell('verdictView.noTestOfThisUnit') }}</p>
    <template v-if="verdict.status !== 'UNEXPLAINED' && page!.where.length">
      <h2 class="h5">{{ tell('verdictView.whereItSits') }}</h2>
      <RungView :steps="page!.where" closed />
    </template>
    <p v-if="verdict.status === 'PROVEN' && verdict.skipped.length" class="mt-3" data-test="skipped">
      <strong>{{ tell('verdictView.notRequiredByCompanyRules') }}</strong> {{ verdict.skipped.join('; ') }}.
    </p>
    <template v-if="verdict.damaged.length">
      <h2 class="h5 mt-4">{{ tell('verdictView.damagedByIt') }}</h2>
      <p data-test="damaged">{{ tell('verdictView.aNewOneDiesThe', { damaged: verdict.damaged.join(', ') }) }}</p>
    </template>
    <template v-if="verdict.status !== 'NOT_YET' && verdict.untested.length">
      <h2 class="h5 mt-4">{{ tell('common.notTestedYet') }}</h2>
      <p data-test="untested">
        {{ tell('verdictView.neverPoweredDuringThisFault', { untested: verdict.untested.join(', ') }) }}
      </p>
    </template>
    <RouterLink
      v-for="a in asides"
      :key="a.name"
      class="key mt-4 me-2"
      :to="{ name: a.name, params: route.params }"
      :data-test="`to-${a.name}`"
      >{{ a.label }}</RouterLink
    >
    <RouterLink class="key mt-4" :to="{ name: 'settings', params: route.params }" data-test="to-settings">{{
      tell('common.settingsFoundAndLeft')
    }}</RouterLink>
    <RepairList class="mt-4" />
    <p class="caution mt-4">{{ unit!.defer }}</p>
    <RouterLink
      v-if="!closed"
      class="key next mt-4 onward"
      :to="{ name: onward.name, params: route.params }"
      :data-test="`to-${onward.name}`"
      >{{ onward.label }}</RouterLink
    >
    <RouterLink class="key mt-3" :to="{ name: 'report', params: route.params }" data-test="report">{{
      tell('common.report')
    }}</RouterLink>
  </main>
</template>

<style scoped lang="scss">
.label {
  font-size: 2rem;
  padding-left: 0.75rem;
  border-left: 10px dotted var(--ink);
}
.label.proven {
  border-left-style: double;
}
.label.indicated {
  border-left-style: dashed;
}
h2 {
  margin-top: 1.25rem;
}
.onward {
  width: 100%;
  min-height: 56px;
}
</style>
