<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Problem, type BoardCheck, type BoardView, type Family } from '../api/client'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import BoardCharts from './BoardCharts.vue'
import BoardPoints from './BoardPoints.vue'
import BoardSwitches from './BoardSwitches.vue'
import BoardValues from './BoardValues.vue'
import { emptyRow, fromDraft, toDraft, type Typed } from './draft'
import ProblemList from './ProblemList.vue'
import VisitPhotos from './VisitPhotos.vue'
import { tell } from '../words/words'

const props = defineProps<{ name: string }>()
const route = useRoute()
const router = useRouter()
const queries = useQueryClient()
const fresh = computed(() => props.name === 'new')
const version = ref(0)
const kept = useQuery({
  queryKey: computed(() => ['board', props.name, version.value]),
  enabled: computed(() => !fresh.value),
  queryFn: () =>
    answer<BoardView>(
      api.GET('/api/overlays/{name}', { params: { path: { name: props.name }, query: { version: version.value } } }),
    ),
  meta: told,
})
const familyId = computed(() => (fresh.value ? String(route.query.family ?? '') : (kept.data.value?.row.family ?? '')))
const asked = [route.query.choice ?? []].flat().map((one) => String(one).split(':') as [string, string])
const typed = ref<Typed>(fromDraft({ overlay: '', family: '', title: '', choices: Object.fromEntries(asked) }))
const choice = computed(() =>
  Object.entries(typed.value.choices)
    .filter(([, option]) => option)
    .map(([id, option]) => `${id}:${option}`),
)
const optionOf = (c: Family['choices'][number]) => typed.value.choices[c.id] || c.usual
const family = useQuery({
  queryKey: computed(() => ['family', familyId.value, choice.value]),
  enabled: computed(() => familyId.value !== ''),
  queryFn: () =>
    answer<Family>(
      api.GET('/api/packs/{id}/family', { params: { path: { id: familyId.value }, query: { choice: choice.value } } }),
    ),
  placeholderData: (before) => before,
})
const check = ref<BoardCheck | null>(null)
const problem = ref('')
const saved = ref('')
const locked = computed(() => !fresh.value && kept.data.value?.mayChange === false)
const touched = computed(() => typed.value.name !== '' && typed.value.title !== '')

/** Every place the family has gets a field, whether something was typed there or not. */
function complete(f: Family) {
  const t = typed.value
  for (const chart of f.charts)
    t.charts[chart.board] ??= [
      { generation: tell('boardEditor.asOnTheDoor'), weight: 1, codes: [emptyRow(), emptyRow(), emptyRow()] },
    ]
  for (const l of f.limits) t.limits[l.id] ??= { least: '', most: '' }
  for (const n of f.nominals) t.nominals[n.id] ??= { value: '', tolerance: '' }
  for (const s of f.settings.filter((one) => !one.range))
    t.settings[s.id] ??= {
      factory: s.factory,
      options: Object.keys(s.options).map(() => ({ position: '', value: '' })),
    }
}
watch(
  [() => family.data.value, () => kept.data.value],
  ([f, k]) => {
    if (k) typed.value = fromDraft(k.draft)
    if (f) complete(f)
  },
  { immediate: true },
)
watch(
  () => typed.value.title,
  (title) => {
    if (fresh.value)
      typed.value.name = title
        .trim()
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^[^a-z]+|-+$/g, '')
        .slice(0, 60)
  },
)
watchDebounced(
  typed,
  async () => {
    if (!touched.value || !family.data.value) return
    check.value = await answer<BoardCheck>(
      api.POST('/api/overlays/check', { body: toDraft(typed.value, familyId.value) }),
    ).catch(() => null)
  },
  { deep: true, debounce: 400 },
)
const said = (path: string) =>
  check.value?.problems
    .filter((p) => p.path === path || p.path.startsWith(`${path}/`))
    .map((p) => `${p.reason}. ${p.remedy}.`)
    .join(' ') ?? ''

async function save() {
  problem.value = ''
  saved.value = ''
  try {
    check.value = await answer<BoardCheck>(api.POST('/api/overlays', { body: toDraft(typed.value, familyId.value) }))
    if (!check.value.usable) return
    await queries.invalidateQueries({ queryKey: ['boards'] })
    await queries.invalidateQueries({ queryKey: ['board'] })
    const unit = route.query.unit
    if (typeof unit === 'string') {
      await answer(
        api.POST('/api/units/{id}/board', { params: { path: { id: unit } }, body: { board: typed.value.name } }),
      )
      await queries.invalidateQueries({ queryKey: ['visit'] })
      await router.push(
        route.query.visit
          ? `/visits/${String(route.query.visit)}/before`
          : { path: '/jobs/new', query: { site: route.query.site, unit } },
      )
      return
    }
    saved.value = tell('boardEditor.keptAsANewVersion')
    if (fresh.value) await router.replace(`/boards/${typed.value.name}`)
  } catch (failure) {
    problem.value = failure instanceof Problem ? failure.message : String(failure)
  }
}
</script>

<template>
  <TopBar :title="tell('common.board')" />
  <main class="page board">
    <p v-if="kept.error.value" class="problem" role="alert">{{ kept.error.value.message }}</p>
    <form v-if="family.data.value" @submit.prevent="save">
      <h1 class="h4">{{ fresh ? tell('boardEditor.typeInABoard') : typed.title }}</h1>
      <p class="soft">
        {{ tell('boardEditor.onlyWhatDiffersFromThe', { title: family.data.value.title }) }}
      </p>
      <div class="head">
        <div>
          <label for="board-title">{{ tell('boardEditor.whatIsPrintedOnThe') }}</label>
          <input
            id="board-title"
            v-model="typed.title"
            class="form-control field"
            maxlength="200"
            required
            data-test="board-title"
          />
        </div>
        <p class="soft m-0">{{ typed.name }}</p>
        <div v-if="kept.data.value && kept.data.value.history.length > 1">
          <label for="board-version">{{ tell('boardEditor.version') }}</label>
          <select id="board-version" v-model.number="version" class="form-select field">
            <option :value="0">{{ tell('boardEditor.newest') }}</option>
            <option v-for="h in kept.data.value.history" :key="h.version" :value="h.version">{{ h.version }}</option>
          </select>
        </div>
      </div>
      <fieldset v-for="c in family.data.value.choices" :key="c.id" class="choice">
        <legend class="h5">{{ c.label }}</legend>
        <button
          v-for="o in c.options"
          :key="o.id"
          type="button"
          class="key"
          :aria-pressed="optionOf(c) === o.id"
          :data-test="`choice-${c.id}-${o.id}`"
          @click="typed.choices[c.id] = o.id === c.usual ? '' : o.id"
        >
          {{ o.label }}
        </button>
        <p v-if="said('/choices')" class="problem">{{ said('/choices') }}</p>
      </fieldset>
      <VisitPhotos v-if="route.query.visit" :visit="String(route.query.visit)" />
      <BoardCharts v-model="typed" :family="family.data.value" :check="check" />
      <BoardValues v-model="typed" :family="family.data.value" :said="said" />
      <BoardPoints v-model="typed" :family="family.data.value" />
      <BoardSwitches
        v-if="family.data.value.settings.length"
        v-model="typed"
        :family="family.data.value"
        :said="said"
      />
      <ProblemList v-if="check" :problems="check.problems" :notes="check.notes" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="saved" role="status">{{ saved }}</p>
      <details v-if="check">
        <summary>{{ tell('boardEditor.asYaml') }}</summary>
        <pre class="yaml num">{{ check.yaml }}</pre>
      </details>
      <p v-if="locked" class="caution" data-test="locked">
        {{ tell('boardEditor.typedInByYouCan', { by: kept.data.value?.row.by }) }}
      </p>
      <div class="foot">
        <button type="submit" class="key next" :disabled="!touched || locked" data-test="save-board">
          {{
            route.query.unit
              ? tell('boardEditor.keepItAndUseIt')
              : fresh
                ? tell('common.keepIt')
                : tell('boardEditor.keepAsANewVersion')
          }}
        </button>
        <a
          v-if="!fresh"
          class="key"
          :href="`/api/overlays/${name}/yaml?version=${version}`"
          :download="`${name}.yaml`"
          >{{ tell('boardEditor.exportYaml') }}</a
        >
      </div>
    </form>
    <p v-else-if="fresh && !familyId">
      {{ tell('boardEditor.chooseAnEquipmentTypeFirst') }}
      <RouterLink to="/boards">{{ tell('common.boards') }}</RouterLink>
    </p>
    <p v-else-if="!kept.error.value" class="soft">{{ tell('boardEditor.loadingTheEquipmentType') }}</p>
  </main>
</template>

<style scoped lang="scss">
.board {
  max-width: 72rem;
  padding-bottom: 6rem;
}
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-block: 0.75rem;
}
.choice .key[aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
  align-items: end;
}
.head div:first-child {
  flex: 1 1 20rem;
}
form > :deep(section),
form > :deep(details) {
  border-top: 2px solid var(--line);
  margin-top: 1.25rem;
  padding-top: 0.75rem;
}
form :deep(summary) {
  min-height: 44px;
  cursor: pointer;
}
form :deep(label) {
  font-weight: 700;
}
form :deep(.values) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: 0.75rem 1.25rem;
  align-items: end;
}
form :deep(.pair) {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 4px;
}
.yaml {
  border: 1px solid var(--line-soft);
  padding: 0.75rem;
  overflow-x: auto;
}
.foot {
  position: fixed;
  inset: auto 0 0 0;
  display: flex;
  gap: 0.75rem;
  justify-content: flex-end;
  padding: 0.75rem 1rem;
  background: var(--paper);
  border-top: 2px solid var(--line);
}
.foot .key {
  min-height: 52px;
}
@media (max-width: 700px) {
  .foot .next {
    flex: 1;
  }
}
</style>
