<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Problem, type BoardCheck, type BoardView, type Family } from '../api/client'
import TopBar from '../common/TopBar.vue'
import { CONDUCTOR_COLOURS } from '../visit/conductor'
import ChartRows from './ChartRows.vue'
import { emptyRow, fromDraft, toDraft, type Typed } from './draft'
import ProblemList from './ProblemList.vue'

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
const touched = computed(() => typed.value.name !== '' && typed.value.title !== '')

/** Every place the family has gets a field, whether something was typed there or not. */
function complete(f: Family) {
  const t = typed.value
  for (const chart of f.charts)
    t.charts[chart.board] ??= [{ generation: 'as on the door', weight: 1, codes: [emptyRow(), emptyRow(), emptyRow()] }]
  for (const n of f.nominals) t.nominals[n.id] ??= { value: '', tolerance: '' }
  for (const s of f.settings)
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
    saved.value = 'Kept as a new version.'
    if (fresh.value) await router.replace(`/boards/${typed.value.name}`)
  } catch (failure) {
    problem.value = failure instanceof Problem ? failure.message : String(failure)
  }
}
</script>

<template>
  <TopBar title="Board" />
  <main class="page board">
    <p v-if="kept.error.value" class="problem" role="alert">{{ kept.error.value.message }}</p>
    <form v-if="family.data.value" @submit.prevent="save">
      <h1 class="h4">{{ fresh ? 'Type in a board' : typed.title }}</h1>
      <p class="soft">{{ family.data.value.title }}. Only what differs from the family; leave the rest empty.</p>
      <div class="head">
        <div>
          <label for="board-title">What stands on the board or its door</label>
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
          <label for="board-version">Version</label>
          <select id="board-version" v-model.number="version" class="form-select field">
            <option :value="0">newest</option>
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
      <section v-for="chart in family.data.value.charts" :key="chart.board" :aria-label="`chart of the ${chart.label}`">
        <h2 class="h5">Code chart, {{ chart.label }}</h2>
        <div v-for="(g, i) in typed.charts[chart.board]" :key="i" class="generation">
          <div v-if="(typed.charts[chart.board]?.length ?? 0) > 1" class="gen-head">
            <input v-model="g.generation" class="form-control field" :aria-label="`generation ${i + 1}`" />
            <label :for="`w-${chart.board}-${i}`">how likely it is this one</label>
            <input
              :id="`w-${chart.board}-${i}`"
              v-model.number="g.weight"
              type="number"
              min="0.1"
              step="0.1"
              class="form-control field weight"
            />
            <button type="button" class="key quiet" @click="typed.charts[chart.board]!.splice(i, 1)">out</button>
          </div>
          <ChartRows
            v-model="typed.charts[chart.board]![i]!"
            :board="chart.board"
            :place="i"
            :conditions="chart.conditions"
            :problems="[...(check?.problems ?? []), ...(check?.notes ?? [])]"
          />
        </div>
        <button
          type="button"
          class="key quiet"
          @click="
            typed.charts[chart.board]!.push({
              generation: `generation ${typed.charts[chart.board]!.length + 1}`,
              weight: 1,
              codes: [emptyRow()],
            })
          "
        >
          another chart generation, when you cannot tell which board it is
        </button>
      </section>
      <details open>
        <summary class="h5">Times, fuses, values</summary>
        <div class="values">
          <div v-for="t in family.data.value.timings" :key="t.id">
            <label :for="`t-${t.id}`">{{ t.label }}, s</label>
            <input
              :id="`t-${t.id}`"
              v-model="typed.timings[t.id]"
              class="form-control field num"
              inputmode="decimal"
              :placeholder="String(t.value)"
              :data-test="`timing-${t.id}`"
            />
            <p v-if="said(`/timings/${t.id}`)" class="problem">{{ said(`/timings/${t.id}`) }}</p>
          </div>
          <div v-for="f in family.data.value.fuses" :key="f.id">
            <label :for="`f-${f.id}`">{{ f.label }}, A</label>
            <input
              :id="`f-${f.id}`"
              v-model="typed.fuses[f.id]"
              class="form-control field num"
              inputmode="decimal"
              :placeholder="String(f.value)"
            />
            <p v-if="said(`/fuses/${f.id}`)" class="problem">{{ said(`/fuses/${f.id}`) }}</p>
          </div>
          <div v-for="n in family.data.value.nominals" :key="n.id">
            <label :for="`n-${n.id}`">{{ n.label }}, {{ n.unit }}</label>
            <div v-if="typed.nominals[n.id]" class="pair">
              <input
                :id="`n-${n.id}`"
                v-model="typed.nominals[n.id]!.value"
                class="form-control field num"
                inputmode="decimal"
                :placeholder="String(Math.round(n.value * 100) / 100)"
              />
              <input
                v-model="typed.nominals[n.id]!.tolerance"
                class="form-control field num"
                inputmode="decimal"
                placeholder="± %"
                :aria-label="`${n.label}: tolerance in percent`"
              />
            </div>
            <p v-if="said(`/nominals/${n.id}`)" class="problem">{{ said(`/nominals/${n.id}`) }}</p>
          </div>
        </div>
      </details>
      <details>
        <summary class="h5">Terminals and conductor colours</summary>
        <datalist id="colours"><option v-for="c in CONDUCTOR_COLOURS" :key="c" :value="c"></option></datalist>
        <ul class="points">
          <li v-for="p in family.data.value.points" :key="p.id">
            <span
              >{{ p.label }} <span class="soft">{{ p.where }}</span></span
            >
            <input
              v-model="typed.labels[p.id]"
              class="form-control field"
              :placeholder="p.label"
              :aria-label="`${p.label}: label on this board`"
            />
            <input
              v-model="typed.colours[p.id]"
              class="form-control field"
              list="colours"
              :placeholder="p.colour"
              :aria-label="`${p.label}: conductor colour`"
            />
          </li>
        </ul>
      </details>
      <details v-if="family.data.value.settings.length">
        <summary class="h5">Switches</summary>
        <div v-for="s in family.data.value.settings" :key="s.id">
          <h3 class="eyebrow">{{ s.label }}, {{ s.unit }}</h3>
          <div v-if="typed.settings[s.id]" class="values">
            <div v-for="(o, i) in typed.settings[s.id]!.options" :key="i" class="pair">
              <input
                v-model="o.position"
                class="form-control field"
                :placeholder="Object.keys(s.options)[i] ?? 'position'"
                :aria-label="`${s.label}: position ${i + 1}`"
              />
              <input
                v-model="o.value"
                class="form-control field num"
                inputmode="decimal"
                :placeholder="String(Object.values(s.options)[i] ?? '')"
                :aria-label="`${s.label}: value ${i + 1}`"
              />
            </div>
            <div>
              <label :for="`fac-${s.id}`">factory position</label>
              <input :id="`fac-${s.id}`" v-model="typed.settings[s.id]!.factory" class="form-control field" />
            </div>
          </div>
          <p v-if="said(`/settings/${s.id}`)" class="problem">{{ said(`/settings/${s.id}`) }}</p>
        </div>
      </details>
      <ProblemList v-if="check" :problems="check.problems" :notes="check.notes" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="saved" role="status">{{ saved }}</p>
      <details v-if="check">
        <summary>As YAML</summary>
        <pre class="yaml num">{{ check.yaml }}</pre>
      </details>
      <div class="foot">
        <button type="submit" class="key next" :disabled="!touched" data-test="save-board">
          {{ route.query.unit ? 'Keep it and use it for this unit' : fresh ? 'Keep it' : 'Keep as a new version' }}
        </button>
        <a v-if="!fresh" class="key" :href="`/api/overlays/${name}/yaml?version=${version}`" :download="`${name}.yaml`"
          >Export YAML</a
        >
      </div>
    </form>
    <p v-else-if="fresh && !familyId">Choose a family first. <RouterLink to="/boards">Boards</RouterLink></p>
    <p v-else-if="!kept.error.value" class="soft">Fetching the family.</p>
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
section,
details {
  border-top: 2px solid var(--line);
  margin-top: 1.25rem;
  padding-top: 0.75rem;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
label {
  font-weight: 700;
}
.generation {
  margin-bottom: 0.75rem;
}
.gen-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-bottom: 6px;
}
.gen-head .field {
  width: 14rem;
}
.gen-head .weight {
  width: 6rem;
}
.values {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: 0.75rem 1.25rem;
  align-items: end;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 4px;
}
.points {
  list-style: none;
  padding: 0;
}
.points li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 6px;
  align-items: center;
  padding: 3px 0;
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
