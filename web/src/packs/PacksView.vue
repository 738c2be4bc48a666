<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { answer, api, plain, Problem, type Diagram, type Drawing, type Family, type FaultProof } from '../api/client'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import LadderSheet from '../visit/LadderSheet.vue'
import TimingDiagram from '../visit/TimingDiagram.vue'
import OwnPacks from './OwnPacks.vue'
import { tell } from '../words/words'

/** What the lead looks at: a family as it is composed, how it runs, how each fault of it is proven, and its text. */
const families = useQuery({ queryKey: ['packs'], queryFn: () => answer(api.GET('/api/packs')) })
const family = ref('')
const chosen = ref<Record<string, string>>({})
const shown = ref<'run' | 'diagram' | 'proof' | 'text' | 'own'>('run')

watch(families.data, (all) => (family.value ||= all?.[0]?.id ?? ''), { immediate: true })
watch(family, () => (chosen.value = {}))

const choice = computed(() => Object.entries(chosen.value).map(([name, option]) => `${name}:${option}`))
const asked = computed(() => ({ params: { path: { id: family.value }, query: { choice: choice.value } } }))
/** Being made ready takes seconds the first time; anything else is a problem at once. */
const patient = {
  retry: (times: number, error: unknown) => times < 30 && error instanceof Problem && error.progress !== undefined,
  retryDelay: 1500,
  staleTime: Infinity,
  meta: told,
}
const unit = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'family']),
  queryFn: () => answer<Family>(api.GET('/api/packs/{id}/family', asked.value)),
  enabled: computed(() => !!family.value),
  staleTime: Infinity,
  meta: told,
})
const run = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'run']),
  queryFn: () => answer<Diagram>(api.GET('/api/packs/{id}/run', asked.value)),
  enabled: computed(() => !!family.value && shown.value === 'run'),
  ...patient,
})
const moment = ref('')
watch([family, choice], () => (moment.value = ''))
const drawing = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'drawing', moment.value]),
  queryFn: () =>
    answer<Drawing>(
      api.GET('/api/packs/{id}/drawing', {
        params: { path: { id: family.value }, query: { choice: choice.value, moment: moment.value || undefined } },
      }),
    ),
  enabled: computed(() => !!family.value && shown.value === 'diagram'),
  placeholderData: (before, query) => (query?.queryKey[1] === family.value ? before : undefined),
  ...patient,
})
const proof = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'proof']),
  queryFn: () => answer<FaultProof[]>(api.GET('/api/packs/{id}/proof', asked.value)),
  enabled: computed(() => !!family.value && shown.value === 'proof'),
  ...patient,
})
const file = computed(
  () => `/api/packs/${family.value}.yaml?${choice.value.map((c) => `choice=${encodeURIComponent(c)}`).join('&')}`,
)
const text = useQuery({
  queryKey: computed(() => ['pack', family.value, choice.value, 'text']),
  queryFn: () => plain(file.value),
  enabled: computed(() => !!family.value && shown.value === 'text'),
  staleTime: Infinity,
  meta: told,
})
const unproven = computed(() => (proof.data.value ?? []).filter((f) => !f.proven))
const queries = useQueryClient()
/** Another version of a family is another family: what was known of it is asked for anew. */
async function kept(id: string) {
  queries.removeQueries({ queryKey: ['pack', id] })
  await families.refetch()
}
const problem = computed(
  () =>
    [unit, run, drawing, proof, text].map((query) => query.error.value).find((error) => error instanceof Error)
      ?.message,
)
</script>

<template>
  <TopBar :title="tell('common.families')" />
  <main class="page packs">
    <section class="pick" aria-labelledby="pick-title">
      <h1 id="pick-title" class="eyebrow">{{ tell('packsView.typeAndOptions') }}</h1>
      <label for="family">{{ tell('packsView.family') }}</label>
      <select id="family" v-model="family" class="form-select field" data-test="family">
        <option v-for="f in families.data.value" :key="f.id" :value="f.id">
          {{ f.title }}{{ f.own ? ` ${tell('packsView.ourOwn')}` : '' }}
        </option>
      </select>
      <template v-for="c in unit.data.value?.choices ?? []" :key="c.id">
        <label :for="`choice-${c.id}`">{{ c.label }}</label>
        <select
          :id="`choice-${c.id}`"
          class="form-select field"
          :value="chosen[c.id] ?? c.usual"
          :data-test="`choice-${c.id}`"
          @change="chosen = { ...chosen, [c.id]: ($event.target as HTMLSelectElement).value }"
        >
          <option v-for="o in c.options" :key="o.id" :value="o.id">{{ o.label }}</option>
        </select>
      </template>
      <p class="soft">{{ unit.data.value?.duty }}</p>
    </section>
    <section class="what">
      <div class="keys" role="group" :aria-label="tell('packsView.whatToSee')">
        <button type="button" class="key" :aria-pressed="shown === 'run'" @click="shown = 'run'">
          {{ tell('packsView.tryIt') }}
        </button>
        <button
          type="button"
          class="key"
          :aria-pressed="shown === 'diagram'"
          data-test="to-diagram"
          @click="shown = 'diagram'"
        >
          {{ tell('packsView.diagram') }}
        </button>
        <button
          type="button"
          class="key"
          :aria-pressed="shown === 'proof'"
          data-test="to-proof"
          @click="shown = 'proof'"
        >
          {{ tell('packsView.proofs') }}
        </button>
        <button type="button" class="key" :aria-pressed="shown === 'text'" data-test="to-text" @click="shown = 'text'">
          {{ tell('packsView.text') }}
        </button>
        <button type="button" class="key" :aria-pressed="shown === 'own'" data-test="to-own" @click="shown = 'own'">
          {{ tell('packsView.ourOwn2') }}
        </button>
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <template v-if="shown === 'run'">
        <h2 class="h5">{{ tell('packsView.itsNormalRun') }}</h2>
        <TimingDiagram v-if="run.data.value" :diagram="run.data.value" />
        <p v-else-if="!problem" role="status">{{ tell('packsView.runningIt') }}</p>
      </template>
      <template v-else-if="shown === 'diagram'">
        <h2 class="h5">{{ tell('packsView.itsLadderDiagram') }}</h2>
        <p class="soft">{{ tell('packsView.percentShareOfAllIts') }}</p>
        <div v-if="drawing.data.value" class="sheet">
          <LadderSheet :drawing="drawing.data.value">
            <label
              >{{ tell('common.asInAHealthyUnit') }}
              <select v-model="moment" class="form-select" data-test="moment">
                <option v-if="!moment" value="">{{ drawing.data.value.momentLabel }}</option>
                <option v-for="m in unit.data.value?.moments ?? []" :key="m.id" :value="m.id">{{ m.label }}</option>
              </select>
            </label>
          </LadderSheet>
        </div>
        <p v-else-if="!problem" role="status">{{ tell('packsView.drawingIt') }}</p>
      </template>
      <template v-else-if="shown === 'proof'">
        <h2 class="h5">{{ tell('packsView.howEachFaultIsProven') }}</h2>
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
        <ol class="proofs">
          <li v-for="f in proof.data.value" :key="f.id" :class="{ open: !f.proven }">
            <strong>{{ f.fault }}</strong> <span class="soft">{{ f.part }}</span>
            <p>
              <span class="sign">{{ f.proven ? '✓' : '✗' }}</span> {{ (f.proven ? f.shown : f.open).join(' · ') }}
            </p>
          </li>
        </ol>
      </template>
      <OwnPacks v-else-if="shown === 'own'" :family="family" @kept="kept" />
      <template v-else>
        <h2 class="h5">{{ tell('packsView.itsText') }}</h2>
        <a class="key quiet" :href="file" :download="`${family}.yaml`">{{ tell('packsView.downloadYaml') }}</a>
        <pre v-if="text.data.value" class="text" tabindex="0" data-test="pack-text">{{ text.data.value }}</pre>
      </template>
    </section>
  </main>
</template>

<style scoped lang="scss">
.sheet {
  display: flex;
  height: min(70vh, 44rem);
  border: 1px solid var(--line-soft);
}
.packs {
  max-width: 76rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 3fr);
  gap: 2.5rem;
}
.pick {
  display: grid;
  gap: 0.35rem;
  align-content: start;
}
.pick label {
  font-weight: 700;
  margin-top: 0.5rem;
}
.pick p {
  margin-top: 1rem;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 1.25rem;
}
.keys .key[aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.proofs {
  list-style: none;
  padding: 0;
}
.proofs li {
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--line-soft);
}
.proofs p {
  margin: 0.15rem 0 0;
}
.proofs .open {
  border-left: 4px solid var(--ink);
  padding-left: 0.75rem;
}
.sign {
  font-weight: 700;
}
.text {
  max-height: 70vh;
  overflow: auto;
  padding: 0.75rem;
  border: 1px solid var(--line-soft);
  font-size: 0.8125rem;
}
@media (max-width: 700px) {
  .packs {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.25rem;
  }
}
</style>
