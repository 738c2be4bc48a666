<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useAttempt } from '../api/useAttempt'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import ShareMove from './ShareMove.vue'
import { tell } from '../words/words'

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
  <TopBar :title="tell('common.ourOwnFailureRates')" />
  <main class="page" data-test="learning">
    <h1 class="h4">{{ tell('common.ourOwnFailureRates') }}</h1>
    <p class="soft">
      {{ tell('learningView.aVisitCountsForIts') }}
    </p>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-else-if="!data" class="soft">{{ tell('common.counting') }}</p>
    <template v-else>
      <section class="use" aria-live="polite">
        <p class="lead num">
          {{
            data.inUse == null
              ? tell('learningView.visitsToComeAreTold')
              : tell('learningView.visitsToComeAreTold2', { inUse: data.inUse })
          }}
        </p>
        <button
          class="key wide"
          type="button"
          :disabled="busy || !data.families.length"
          data-test="learn"
          @click="learn"
        >
          {{ tell('learningView.useOurRates') }}
        </button>
        <button
          v-if="data.inUse != null"
          class="key"
          type="button"
          :disabled="busy"
          data-test="packs-alone"
          @click="use(undefined)"
        >
          {{ tell('learningView.useBookRatesOnly') }}
        </button>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      </section>
      <p v-if="!data.families.length">{{ tell('learningView.noVisitCountsYetClose') }}</p>
      <section v-for="family in data.families" :key="family.family">
        <h2 class="h5">{{ family.title }}</h2>
        <p class="soft num">{{ tell('learningView.confirmed', { confirmed: family.confirmed }) }}</p>
        <ShareMove :parts="family.parts.slice(0, SHOWN)" />
      </section>
      <section v-if="data.ageing.faults" data-test="ageing">
        <h2 class="h5">{{ tell('learningView.ageAndFailures') }}</h2>
        <p class="num">
          {{
            tell('learningView.faultsInUnitYearsFirst', {
              faults: data.ageing.faults,
              unitYears: data.ageing.unitYears.toFixed(1),
              after: data.ageing.after.toFixed(1),
              before: data.ageing.before.toFixed(1),
            })
          }}
        </p>
      </section>
      <section v-if="data.versions.length">
        <h2 class="h5">{{ tell('learningView.earlierVersions') }}</h2>
        <ul class="versions num">
          <li v-for="version in data.versions" :key="version.number">
            {{
              tell('learningView.visits', {
                number: version.number,
                value: new Date(version.madeAt).toLocaleDateString(),
                confirmed: version.confirmed,
              })
            }}
            <strong v-if="version.number === data.inUse">{{ tell('learningView.inUse') }}</strong>
            <button v-else class="key small" type="button" :disabled="busy" @click="use(version.number)">
              {{ tell('learningView.useItAgain') }}
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
