<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useAttempt } from '../api/useAttempt'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import ShareMove from './ShareMove.vue'

type Learning = components['schemas']['Learning']
const SHOWN = 8
const { data, error, refetch } = useQuery({
  queryKey: ['learning'],
  queryFn: () => answer<Learning>(api.GET('/api/lead/learning')),
  meta: told,
})
const { attempt, busy, problem } = useAttempt()
const doing = (work: () => Promise<unknown>) => attempt(() => work().then(() => refetch()))
const learn = () => doing(() => answer(api.POST('/api/lead/learning')))
const use = (number: number | undefined) =>
  doing(() => answer(api.PUT('/api/lead/learning/in-use', { body: { number } })))
</script>

<template>
  <TopBar title="Our own failure rates" />
  <main class="page" data-test="learning">
    <h1 class="h4">Our own failure rates</h1>
    <p class="soft">
      A visit counts for its part if it was closed as fixed after a proof. It must have no callback within 30 days and
      no board that bench-tested good. How much book rates still count depends on how well they predicted these visits.
    </p>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-else-if="!data" class="soft">Counting.</p>
    <template v-else>
      <section class="use" aria-live="polite">
        <p class="lead num">
          {{
            data.inUse == null
              ? 'Visits to come are told the packs alone.'
              : `Visits to come are told version ${data.inUse} of our records.`
          }}
        </p>
        <button
          class="key wide"
          type="button"
          :disabled="busy || !data.families.length"
          data-test="learn"
          @click="learn"
        >
          Use our rates
        </button>
        <button
          v-if="data.inUse != null"
          class="key"
          type="button"
          :disabled="busy"
          data-test="packs-alone"
          @click="use(undefined)"
        >
          Use book rates only
        </button>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      </section>
      <p v-if="!data.families.length">No visit counts yet. Close visits as fixed after a proof.</p>
      <section v-for="family in data.families" :key="family.family">
        <h2 class="h5">{{ family.title }}</h2>
        <p class="soft num">{{ family.confirmed }} confirmed</p>
        <ShareMove :parts="family.parts.slice(0, SHOWN)" />
      </section>
      <section v-if="data.ageing.faults" data-test="ageing">
        <h2 class="h5">Age and failures</h2>
        <p class="num">
          {{ data.ageing.faults }} faults in {{ data.ageing.unitYears.toFixed(1) }} unit years. First failure expected
          at {{ data.ageing.after.toFixed(1) }} years, not {{ data.ageing.before.toFixed(1) }}. Repair options and van
          stock use it.
        </p>
      </section>
      <section v-if="data.versions.length">
        <h2 class="h5">Earlier versions</h2>
        <ul class="versions num">
          <li v-for="version in data.versions" :key="version.number">
            {{ version.number }}: {{ new Date(version.madeAt).toLocaleDateString() }}, {{ version.confirmed }} visits
            <strong v-if="version.number === data.inUse">in use</strong>
            <button v-else class="key small" type="button" :disabled="busy" @click="use(version.number)">
              Use it again
            </button>
          </li>
        </ul>
      </section>
    </template>
  </main>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.5rem;
}
.use {
  display: grid;
  gap: 0.75rem;
  max-width: 36rem;
}
.versions li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  padding: 0.25rem 0;
}
</style>
