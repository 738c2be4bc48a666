<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import CloseVisit from './CloseVisit.vue'
import { useHandle } from './handle'
import ProveDock from './ProveDock.vue'
import ProveItem from './ProveItem.vue'
import TimingDiagram from './TimingDiagram.vue'
import { useProving } from './useDetails'
import { tell } from '../words/words'

const { visit, page, unit } = useHandle()
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
/** The groups of the walk that have something in them. */
const groups = computed(() =>
  (Object.keys(walk) as Item['walk'][])
    .map((when) => ({ when, items: (proving.value?.items ?? []).filter((item) => item.walk === when) }))
    .filter((group) => group.items.length),
)
const chosen = ref('')
const inOrder = computed(() => groups.value.flatMap((g) => g.items))
/** What is under the keys: what somebody tapped, else the first thing of the walk that is not shown yet. */
const current = computed(
  () => inOrder.value.find((i) => i.id === chosen.value) ?? inOrder.value.find((i) => i.state !== 'GOOD'),
)
watch(
  () => page.value!.entries,
  () => (chosen.value = ''),
)
const all = computed(() => proving.value?.items.length ?? 0)
</script>

<template>
  <main class="page" data-test="proving">
    <h1 class="h4">{{ tell('common.provingRun') }}</h1>
    <template v-if="proving">
      <p v-if="!proving.due" data-test="nothing-repaired">
        {{ tell('proveView.nothingIsMarkedAsRepaired') }}
        <RouterLink :to="{ name: 'verdict', params: route.params }">{{
          tell('proveView.sayWhatWasChanged')
        }}</RouterLink>{{ tell('proveView.orCloseTheVisitAnother') }}
      </p>
      <p v-else-if="left === 0" class="state" data-test="all-shown">{{ tell('proveView.everythingIsProven') }}</p>
      <p v-else class="state" data-test="count">
        {{ tell('proveView.ofProven', { left: all - left, all }) }}
      </p>
      <div class="walk">
        <div>
          <section v-for="g in groups" :key="g.when" :aria-label="walk[g.when]" :data-test="`walk-${g.when}`">
            <h2 class="eyebrow">{{ walk[g.when] }}</h2>
            <ul class="items">
              <ProveItem
                v-for="i in g.items"
                :key="`${i.kind}-${i.id}`"
                :item="i"
                :current="!closed && i === current"
                :closed="closed"
                @choose="chosen = i.id"
              />
            </ul>
          </section>
        </div>
        <ProveDock v-if="!closed && current" :key="`${current.kind}-${current.id}`" class="now" :item="current" />
      </div>
      <TimingDiagram v-if="proving.due" :diagram="page!.diagram" />
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
.walk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 24rem;
  gap: 0 1.5rem;
  align-items: start;
}
.now {
  position: sticky;
  top: 3rem;
  margin-top: 1rem;
}
@media (max-width: 900px) {
  .walk {
    display: block;
  }
  .now {
    top: auto;
    bottom: 0;
    z-index: 2;
    margin: 0 -0.75rem;
    border-top: 2px solid var(--line);
  }
}
</style>
