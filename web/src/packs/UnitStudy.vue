<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import {
  answer,
  api,
  Problem,
  type Diagram,
  type Drawing,
  type Family,
  type FaultProof,
  type TestGroup,
} from '../api/client'
import { told } from '../api/useTrouble'
import LadderSheet from '../visit/LadderSheet.vue'
import { minutes, percent } from '../visit/format'
import TimingDiagram from '../visit/TimingDiagram.vue'
import { tell } from '../words/words'

/** The page from which an apprentice learns a unit: how it runs, how it is wired, what fails and how that is proven, what is measured when. */
const props = defineProps<{ family: string; choice: string[]; unit?: Family }>()
const asked = computed(() => ({ params: { path: { id: props.family }, query: { choice: props.choice } } }))
const key = (what: string) => computed(() => ['pack', props.family, props.choice, what])
/** Being made ready takes seconds the first time; anything else is a problem at once. */
const patient = {
  retry: (times: number, error: unknown) => times < 30 && error instanceof Problem && error.progress !== undefined,
  retryDelay: 1500,
  staleTime: Infinity,
  meta: told,
}
const run = useQuery({
  queryKey: key('run'),
  queryFn: () => answer<Diagram>(api.GET('/api/packs/{id}/run', asked.value)),
  ...patient,
})
const moment = ref('')
watch([() => props.family, () => props.choice], () => (moment.value = ''))
const drawing = useQuery({
  queryKey: computed(() => ['pack', props.family, props.choice, 'drawing', moment.value]),
  queryFn: () =>
    answer<Drawing>(
      api.GET('/api/packs/{id}/drawing', {
        params: { path: { id: props.family }, query: { choice: props.choice, moment: moment.value || undefined } },
      }),
    ),
  placeholderData: (before, query) => (query?.queryKey[1] === props.family ? before : undefined),
  ...patient,
})
/** Each fault is tried in a visit of its own: only for somebody who comes to it. */
const failures = ref<HTMLElement>()
const reached = ref(false)
useIntersectionObserver(failures, ([entry]) => (reached.value ||= entry?.isIntersecting ?? false))
const proof = useQuery({
  queryKey: key('proof'),
  queryFn: () => answer<FaultProof[]>(api.GET('/api/packs/{id}/proof', asked.value)),
  enabled: reached,
  ...patient,
})
const tests = useQuery({
  queryKey: key('tests'),
  queryFn: () => answer<TestGroup[]>(api.GET('/api/packs/{id}/tests', asked.value)),
  ...patient,
})
const unproven = computed(() => (proof.data.value ?? []).filter((f) => !f.proven))
const most = computed(() => proof.data.value?.[0]?.share ?? 1)
const problem = computed(
  () => [run, drawing, proof, tests].map((query) => query.error.value).find((error) => error instanceof Error)?.message,
)
</script>

<template>
  <div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <section aria-labelledby="run-title">
      <h2 id="run-title" class="h5">{{ tell('packsView.itsNormalRun') }}</h2>
      <TimingDiagram v-if="run.data.value" :diagram="run.data.value" />
      <p v-else-if="!problem" role="status">{{ tell('packsView.runningIt') }}</p>
    </section>
    <section aria-labelledby="diagram-title">
      <h2 id="diagram-title" class="h5">{{ tell('packsView.itsLadderDiagram') }}</h2>
      <p class="soft">{{ tell('packsView.percentShareOfAllIts') }}</p>
      <div v-if="drawing.data.value" class="sheet">
        <LadderSheet :drawing="drawing.data.value">
          <label
            >{{ tell('common.asInAHealthyUnit') }}
            <select v-model="moment" class="form-select" data-test="moment">
              <option v-if="!moment" value="">{{ drawing.data.value.momentLabel }}</option>
              <option v-for="m in unit?.moments ?? []" :key="m.id" :value="m.id">{{ m.label }}</option>
            </select>
          </label>
        </LadderSheet>
      </div>
      <p v-else-if="!problem" role="status">{{ tell('packsView.drawingIt') }}</p>
    </section>
    <section ref="failures" aria-labelledby="failures-title" data-test="failures">
      <h2 id="failures-title" class="h5">{{ tell('unitStudy.whatFails') }}</h2>
      <p v-if="proof.data.value" role="status" data-test="proof-count">
        {{
          tell('packsView.faults', {
            count: proof.data.value.length,
            proven: unproven.length
              ? tell('packsView.ofThemCannotBeProven', { count: unproven.length })
              : tell('packsView.eachOfThemCanBe'),
          })
        }}
      </p>
      <p v-else-if="!problem" role="status">{{ tell('packsView.eachFaultIsTriedIn') }}</p>
      <ol class="faults">
        <li v-for="f in proof.data.value" :key="f.id" :class="{ open: !f.proven }">
          <details>
            <summary>
              <span
                ><strong>{{ f.fault }}</strong
                >{{ ' ' }}<span class="soft">{{ f.part }}</span></span
              >
              <span class="bar" aria-hidden="true"><i :style="{ width: `${(100 * f.share) / most}%` }"></i></span>
              <span class="num">{{ percent(f.share) }}</span>
            </summary>
            <p>
              {{ f.proven ? tell('unitStudy.provenBy') : tell('unitStudy.notClosed') }}
              {{ (f.proven ? f.shown : f.open).join(' · ') }}
            </p>
          </details>
        </li>
      </ol>
    </section>
    <section aria-labelledby="tests-title" data-test="tests">
      <h2 id="tests-title" class="h5">{{ tell('unitStudy.itsTests') }}</h2>
      <details v-for="g in tests.data.value" :key="g.moment" class="group">
        <summary>
          <strong>{{ g.moment }}</strong>{{ ' '
          }}<span class="soft num">{{ tell('unitStudy.tests', { count: g.tests.length }) }}</span>
        </summary>
        <p v-for="c in g.cautions" :key="c" class="caution">{{ c }}</p>
        <ul>
          <li v-for="t in g.tests" :key="t.id">
            {{ t.instruction }} <span class="soft">{{ [t.mode, minutes(t.minutes)].filter(Boolean).join(' · ') }}</span>
          </li>
        </ul>
      </details>
    </section>
  </div>
</template>

<style scoped lang="scss">
section {
  margin-bottom: 2.5rem;
}
.sheet {
  display: flex;
  height: min(70vh, 44rem);
  border: 1px solid var(--line-soft);
}
.faults {
  list-style: none;
  padding: 0;
}
.faults li,
.group {
  border-bottom: 1px solid var(--line-soft);
}
summary {
  min-height: 44px;
  padding: 0.35rem 0;
  cursor: pointer;
}
.faults summary {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 8rem 3rem;
  gap: 0.75rem;
  align-items: center;
}
.faults summary::before {
  content: none;
}
.bar i {
  display: block;
  height: 12px;
  background: var(--ink);
}
.faults .num {
  text-align: right;
}
.faults summary,
.faults p {
  hyphens: auto;
  overflow-wrap: anywhere;
}
.faults .open {
  border-left: 4px solid var(--ink);
  padding-left: 0.75rem;
}
.group ul {
  columns: 2;
  column-gap: 2rem;
  padding-left: 1.1rem;
}
@media (max-width: 700px) {
  .faults summary {
    grid-template-columns: minmax(0, 1fr) 4rem 2.75rem;
  }
  .group ul {
    columns: 1;
  }
}
</style>
