<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useHandle } from './handle'
import { percent } from './format'
import HandlingLines from './HandlingLines.vue'
import LeadsLeave from './LeadsLeave.vue'
import NeedsLicence from './NeedsLicence.vue'
import { useRepairs } from './useDetails'
import { tell } from '../words/words'

const { visit, page, add, sending } = useHandle()
const { data: repairs } = useRepairs()
const closed = computed(() => Boolean(visit.value!.closedAt))
const verdict = computed(() => page.value!.verdict)
const route = useRoute()
const router = useRouter()

/** Of a proven cause the proving run is next; else the work goes on. */
async function repaired(part: string) {
  const proven = verdict.value.status === 'PROVEN'
  if ((await add({ kind: 'REPAIRED', part })) && proven) await router.push({ name: 'prove', params: route.params })
}
</script>

<template>
  <section v-if="repairs?.length" aria-labelledby="repairs-title">
    <details :open="verdict.status !== 'NOT_YET'">
      <summary id="repairs-title" class="h5">
        {{
          verdict.status === 'NOT_YET'
            ? tell('repairList.somethingWasRepairedAlready')
            : tell('repairList.repairOrderCheapestFirst')
        }}
      </summary>
      <ol class="repairs">
        <li v-for="r in repairs" :key="r.part" :class="{ done: r.done }">
          <span>{{ r.label }}</span>
          <span class="num">{{ r.done ? tell('repairList.repaired') : percent(r.probability) }}</span>
          <span class="num soft">{{ Math.round(r.cost) }}</span>
          <button
            v-if="r.offered && !closed"
            type="button"
            class="key"
            :disabled="sending"
            :data-test="`repaired-${r.part}`"
            @click="repaired(r.part)"
          >
            {{ tell('repairList.repairedCarryOn') }}
          </button>
          <LeadsLeave v-else-if="!r.done && r.board && !closed" :part="r.part" />
          <HandlingLines v-if="r.handling.length && !r.done" :lines="r.handling" />
          <NeedsLicence v-if="!r.done && r.needs.length" :needs="r.needs" />
        </li>
      </ol>
      <p class="soft">
        {{ tell('repairList.chanceThatItIsThe') }}
      </p>
    </details>
  </section>
</template>

<style scoped lang="scss">
.h5 {
  min-height: 44px;
  cursor: pointer;
}
.repairs {
  padding-left: 1.25rem;
}
.repairs li {
  border-bottom: 1px solid var(--line-soft);
  padding: 0.25rem 0;
  min-height: 48px;
}
.repairs li > * {
  margin-right: 1rem;
}
.repairs .done {
  text-decoration: line-through;
}
</style>
