<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import CloseVisit from './CloseVisit.vue'
import { useHandle } from './handle'
import ProveItem from './ProveItem.vue'
import TimingDiagram from './TimingDiagram.vue'
import { useProving } from './useDetails'
import { tell } from '../words/words'

const { visit, page, unit, problem } = useHandle()
const route = useRoute()
const { data: proving, isPending } = useProving()
const closed = computed(() => Boolean(visit.value!.closedAt))
const left = computed(() => proving.value?.items.filter((i) => i.state !== 'GOOD').length ?? 0)
type Item = NonNullable<typeof proving.value>['items'][number]
/** The order of one walk. */
const walk: Record<Item['walk'], string> = {
  POWER_OFF: tell('proveView.powerOff'),
  STANDBY: tell('proveView.powerOnNoCall'),
  CALLED: tell('proveView.calledAndRunning'),
  CALL_ENDED: tell('proveView.callEnded'),
  BEFORE_LEAVING: tell('proveView.beforeYouLeave'),
}
/** The groups of the walk that have something in them. A caution stands in full at the first thing of all that is still to prove and has it. */
const groups = computed(() => {
  const told = new Set<string>()
  return (Object.keys(walk) as Item['walk'][])
    .map((when) => ({
      when,
      items: (proving.value?.items ?? [])
        .filter((item) => item.walk === when)
        .map((item) => {
          const asked = item.state === 'GOOD' ? [] : item.cautions
          const fresh = asked.filter((caution) => !told.has(caution))
          fresh.forEach((caution) => told.add(caution))
          return { item, cautions: fresh, still: fresh.length < asked.length }
        }),
    }))
    .filter((group) => group.items.length)
})
const all = computed(() => proving.value?.items.length ?? 0)
const next = computed(() => proving.value?.items.find((i) => i.state === 'MISSING'))
</script>

<template>
  <main class="page" data-test="proving">
    <h1 class="h4">{{ tell('common.provingRun') }}</h1>
    <template v-if="proving">
      <p v-if="!proving.repaired" data-test="nothing-repaired">
        {{ tell('proveView.nothingIsMarkedAsRepaired') }}
        <RouterLink :to="{ name: 'verdict', params: route.params }">{{
          tell('proveView.sayWhatWasChanged')
        }}</RouterLink>{{ tell('proveView.orCloseTheVisitAnother') }}
      </p>
      <p v-else-if="left === 0" class="state" data-test="all-shown">{{ tell('proveView.everythingIsProven') }}</p>
      <p v-else class="state" data-test="count">
        {{ tell('proveView.ofProven', { left: all - left, all })
        }}<template v-if="next">{{ tell('proveView.quickestNext', { what: next.what }) }}</template>
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <section v-for="g in groups" :key="g.when" :aria-label="walk[g.when]" :data-test="`walk-${g.when}`">
        <h2 class="eyebrow">{{ walk[g.when] }}</h2>
        <ul class="items">
          <ProveItem
            v-for="i in g.items"
            :key="`${i.item.kind}-${i.item.id}`"
            :item="i.item"
            :cautions="i.cautions"
            :still="i.still"
          />
        </ul>
      </section>
      <TimingDiagram v-if="proving.repaired" :diagram="page!.diagram" />
      <p class="caution mt-3">{{ unit!.defer }}</p>
      <CloseVisit v-if="!closed" :blocks="proving.blocks" />
    </template>
    <p v-else-if="isPending" class="soft">{{ tell('proveView.loadingTheProvingRun') }}</p>
    <RouterLink class="key mt-3" :to="{ name: 'report', params: route.params }" data-test="report">{{
      tell('proveView.printThePage')
    }}</RouterLink>
  </main>
</template>

<style scoped lang="scss">
.state {
  position: sticky;
  top: 0;
  z-index: 1;
  margin: 0;
  padding-block: 0.4rem;
  background: var(--paper);
  font-size: 1.25rem;
  font-weight: 700;
}
h2 {
  margin: 1rem 0 0.25rem;
}
.items {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--line);
}
</style>
