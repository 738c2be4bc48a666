<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { onKeyStroke } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Problem, type BoardRow, type Identified, type Site, type SiteUnit } from '../api/client'
import { told } from '../api/useTrouble'
import TopBar from '../common/TopBar.vue'
import CandidateList from './CandidateList.vue'
import { tell } from '../words/words'
import { isTyping } from '../common/typing'

const route = useRoute()
const router = useRouter()
const queries = useQueryClient()
const answers = ref<Record<string, string>>({})
/** The name of what was taken: a family with its choices made. */
const taken = ref('')
const state = useQuery({
  queryKey: computed(() => ['identify', answers.value]),
  queryFn: () => answer<Identified>(api.POST('/api/identify', { body: { answers: answers.value } })),
  placeholderData: (before) => before,
  meta: told,
})
const question = computed(() => state.data.value?.next ?? null)
const families = computed(() => state.data.value?.families ?? [])
const leader = computed(() => families.value[0])
const picked = computed(() => families.value.find((f) => f.name === taken.value))
const family = computed(() => picked.value?.id ?? '')

function give(id: string, value: string) {
  answers.value = { ...answers.value, [id]: value }
}
function back() {
  const asked = Object.keys(answers.value)
  answers.value = Object.fromEntries(asked.slice(0, -1).map((k) => [k, answers.value[k]!]))
}
onKeyStroke((event) => {
  if (taken.value || !question.value || isTyping(event)) return
  const choice = question.value.answers[Number(event.key) - 1]
  if (choice) give(question.value.id, choice.id)
  else if (event.key === 's' || event.key === 'S') give(question.value.id, '')
  else if (event.key === 'Backspace') back()
})

const sites = useQuery({ queryKey: ['sites'], queryFn: () => answer<Site[]>(api.GET('/api/sites')) })
const boards = useQuery({ queryKey: ['boards'], queryFn: () => answer<BoardRow[]>(api.GET('/api/overlays')) })
const mine = computed(() => boards.data.value?.filter((b) => b.family === family.value) ?? [])
const siteId = ref(String(route.query.site ?? ''))
const siteName = ref('')
const address = ref('')
const label = ref('')
const location = ref('')
const board = ref('')
const problem = ref<Problem | null>(null)

async function make(typeIn: boolean) {
  problem.value = null
  try {
    const unit = await answer<SiteUnit>(
      api.POST('/api/units', {
        body: {
          siteId: siteId.value && siteId.value !== 'new' ? siteId.value : undefined,
          siteName: siteName.value || undefined,
          address: address.value || undefined,
          label: label.value,
          location: location.value,
          pack: family.value,
          choices: picked.value?.choices,
          board: board.value || undefined,
        },
      }),
    )
    await queries.invalidateQueries({ queryKey: ['sites'] })
    const known = (await answer<Site[]>(api.GET('/api/sites'))).find((s) => s.units.some((u) => u.id === unit.id))
    const toJob = { path: '/jobs/new', query: { site: known?.id, unit: unit.id } }
    await router.push(
      typeIn
        ? {
            path: '/boards/new',
            query: {
              family: family.value,
              choice: Object.entries(picked.value?.choices ?? {}).map(([choice, option]) => `${choice}:${option}`),
              unit: unit.id,
              site: known?.id,
            },
          }
        : toJob,
    )
  } catch (failure) {
    problem.value = failure as Problem
  }
}
</script>

<template>
  <TopBar :title="tell('common.identify')" />
  <main class="page identify">
    <section v-if="!taken" class="ask" aria-live="polite">
      <h1 class="eyebrow">
        {{
          question
            ? tell('identifyView.question', { asked: (state.data.value?.asked ?? 0) + 1 })
            : tell('identifyView.whatItIs')
        }}
      </h1>
      <template v-if="question">
        <p class="question" data-test="question">{{ question.text }}</p>
        <div class="answers">
          <button
            v-for="(a, i) in question.answers"
            :key="a.id"
            type="button"
            class="key"
            :data-test="`answer-${a.id}`"
            @click="give(question.id, a.id)"
          >
            <kbd>{{ i + 1 }}</kbd> <span>{{ a.text }}</span>
          </button>
          <button type="button" class="key quiet" data-test="skip" @click="give(question.id, '')">
            {{ tell('identifyView.cantSeeItSkip') }}
          </button>
        </div>
      </template>
      <template v-else-if="leader">
        <p class="question">{{ leader.title }}</p>
        <p>{{ leader.duty }}</p>
        <button type="button" class="key next wide" data-test="take-family" @click="taken = leader.name">
          {{ tell('identifyView.thisIsTheOne') }}
        </button>
      </template>
      <button v-if="Object.keys(answers).length" type="button" class="key quiet" @click="back">
        {{ tell('identifyView.backOneQuestion') }}
      </button>
      <p v-if="state.error.value" class="problem" role="alert">{{ state.error.value.message }}</p>
    </section>
    <section v-if="!taken" aria-labelledby="left-title">
      <h2 id="left-title" class="eyebrow">{{ tell('identifyView.whatItCanStillBe') }}</h2>
      <CandidateList :families="families" :kinds="state.data.value?.kinds ?? []" @take="taken = $event" />
      <p class="soft">{{ tell('identifyView.youCanChooseAnyOf') }}</p>
    </section>
    <form v-else class="form" @submit.prevent="make(true)">
      <h1 class="h4">{{ picked?.title }}</h1>
      <p>{{ picked?.duty }}</p>
      <button type="button" class="key quiet" @click="taken = ''">{{ tell('identifyView.itIsADifferentOne') }}</button>
      <label for="unit-site">{{ tell('common.site') }}</label>
      <select id="unit-site" v-model="siteId" class="form-select field" required>
        <option value="" disabled>{{ tell('common.chooseASite') }}</option>
        <option value="new">{{ tell('identifyView.aNewSite') }}</option>
        <option v-for="s in sites.data.value" :key="s.id" :value="s.id">{{ s.name }}, {{ s.address }}</option>
      </select>
      <template v-if="siteId === 'new'">
        <label for="site-name">{{ tell('identifyView.nameOfTheSite') }}</label>
        <input id="site-name" v-model="siteName" class="form-control field" maxlength="120" required />
        <label for="site-address">{{ tell('identifyView.address') }}</label>
        <input id="site-address" v-model="address" class="form-control field" maxlength="200" />
      </template>
      <label for="unit-label">{{ tell('identifyView.nameOfTheUnit') }}</label>
      <input
        id="unit-label"
        v-model="label"
        class="form-control field"
        maxlength="120"
        required
        :placeholder="tell('identifyView.furnaceCellar')"
      />
      <label for="unit-location">{{ tell('identifyView.location') }}</label>
      <input id="unit-location" v-model="location" class="form-control field" maxlength="200" required />
      <template v-if="mine.length">
        <label for="unit-board">{{ tell('identifyView.boardIfItIsIn') }}</label>
        <select id="unit-board" v-model="board" class="form-select field">
          <option value="">{{ tell('identifyView.notInTheList') }}</option>
          <option v-for="b in mine" :key="b.name" :value="b.name">
            {{ tell('identifyView.version', { title: b.title, name: b.name, version: b.version }) }}
          </option>
        </select>
      </template>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <button v-if="!board" type="submit" class="key next wide" data-test="type-chart">
        {{ tell('common.addTheChartOnThe') }}
      </button>
      <button
        :type="board ? 'submit' : 'button'"
        class="key wide"
        :class="{ next: board }"
        :disabled="!siteId || !label || !location"
        data-test="to-job"
        @click.prevent="make(false)"
      >
        {{ board ? tell('identifyView.makeTheJob') : tell('identifyView.goOnWithoutItsChart') }}
      </button>
    </form>
  </main>
</template>

<style scoped lang="scss">
.identify {
  max-width: 68rem;
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 2.5rem;
}
.question {
  font-size: 1.75rem;
  font-weight: 700;
  line-height: 1.2;
}
.answers {
  display: grid;
  gap: 8px;
}
.answers .key {
  min-height: 60px;
  justify-content: flex-start;
  font-size: 1.125rem;
}
.answers .quiet {
  min-height: 48px;
  justify-content: center;
}
kbd {
  background: none;
  color: inherit;
  border: 1px solid currentColor;
}
.form {
  grid-column: 1 / -1;
  display: grid;
  gap: 0.4rem;
  max-width: 40rem;
  justify-items: start;
}
.form .field {
  width: 100%;
}
label {
  font-weight: 700;
  margin-top: 0.6rem;
}
.wide {
  width: 100%;
  min-height: 56px;
  margin-top: 0.5rem;
}
@media (max-width: 700px) {
  .identify {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.25rem;
  }
}
@media (prefers-reduced-motion: reduce) {
  .level {
    transition: none;
  }
}
</style>
