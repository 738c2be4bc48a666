<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useHandle } from './handle'
import LampCamera from './LampCamera.vue'
import LampFile from './LampFile.vue'
import LampTap from './LampTap.vue'
import PlatePhotos from './PlatePhotos.vue'
import TwinList from './TwinList.vue'
import WhenPicker from './WhenPicker.vue'
import CustomerSaid, { type Statement } from '../common/CustomerSaid.vue'
import { useChecksBefore, useUnderstood } from './useDetails'
import WorkedBefore from './WorkedBefore.vue'
import { percent } from './format'
import { tell } from '../words/words'

const { visit, page, unit, add, problem } = useHandle()
const route = useRoute()
const closed = computed(() => Boolean(visit.value!.closedAt))
const lamps = computed(() => unit.value!.lamps)
const chosen = ref('')
const current = computed(() => lamps.value.find((l) => l.board === chosen.value) ?? lamps.value[0]!)
const readOf = (board: string) => page.value!.log.filter((l) => l.counts && l.board === board).at(-1)
/** The lamp was seen at another time too: both readings count. */
const again = ref(false)
const lamp = computed(() => (again.value ? undefined : readOf(current.value.board)))
watch(
  () => page.value!.log.length,
  () => (again.value = false),
)
const done = computed(() =>
  page.value!.log.filter((l) => l.counts && l.kind === 'ANSWER' && !complaints.value.some((c) => c.test === l.test)),
)
type Way = 'tap' | 'camera' | 'file'
const ways: { id: Way; label: string }[] = [
  { id: 'tap', label: tell('beforePower.tapIt') },
  { id: 'camera', label: tell('beforePower.camera') },
  { id: 'file', label: tell('beforePower.file') },
]
const way = ref<Way>('tap')
const typedPattern = ref('')
const patterns = computed(() => [...new Map(current.value.chart.map((c) => [c.pattern, c.says]))])
const reset = computed(() => page.value!.log.filter((l) => l.counts && l.kind === 'POWER_CYCLED').at(-1))
const { data: checks } = useChecksBefore()
/** So many looks at a time, all at one place; the next come as they are answered. */
const AT_A_TIME = 3
const allLooks = ref(false)
const here = computed(() => {
  const nearest = checks.value?.find((c) => !c.danger)
  return checks.value?.filter((c) => c.danger || c.place === nearest?.place) ?? []
})
const asked = computed(() => (allLooks.value ? checks.value : here.value.slice(0, AT_A_TIME)) ?? [])
/** The first of those at a place says where it is; a danger is asked wherever somebody stands. */
const arrives = (i: number) => {
  const [look, before] = [asked.value[i]!, asked.value[i - 1]]
  return !look.danger && (!before || before.danger || before.place !== look.place)
}
/** What can be answered in one tap: a danger is answered by itself. */
const harmless = computed(() => asked.value.filter((c) => !c.danger))
const yesNo = (yes: boolean) => (yes ? tell('common.yes') : tell('common.no'))
const saying = ref(false)
async function allNormal() {
  saying.value = true
  for (const c of harmless.value) await add({ kind: 'ANSWER', test: c.id, yes: c.healthy })
  saying.value = false
}
const more = computed(() => (checks.value?.length ?? 0) - asked.value.length)
const complaints = computed(() => unit.value!.complaints)
const { data: heard } = useUnderstood()
const answerTo = (test: string) =>
  page.value!.log.filter((l) => l.counts && l.kind === 'ANSWER' && l.test === test).at(-1)
const saidSo = (s: Statement) => answerTo(s.test)?.yes === s.yes
function say(s: Statement) {
  const before = answerTo(s.test)
  add(
    before && saidSo(s)
      ? { kind: 'TAKE_BACK', supersedes: before.id }
      : { kind: 'ANSWER', test: s.test, yes: s.yes, ...(before ? { supersedes: before.id } : {}) },
  )
}
</script>

<template>
  <main class="page before">
    <h1 class="visually-hidden">{{ tell('beforePower.beforeThePowerIsTouched') }}</h1>
    <p class="caution lead-caution">
      <strong>{{ tell('beforePower.leaveThePowerOn') }}</strong> {{ tell('beforePower.aResetClearsTheCode') }}
    </p>
    <p v-if="visit!.earlier.length">
      <RouterLink :to="{ name: 'unit', params: route.params }" data-test="to-unit">{{
        tell('beforePower.thisUnitAndIts', {
          count: visit!.earlier.length,
        })
      }}</RouterLink>
    </p>
    <div class="reset" data-test="reset">
      <span id="q-reset">{{ tell('beforePower.wasItResetOrThe') }}</span>
      <button
        v-for="yes in [true, false]"
        :key="String(yes)"
        type="button"
        class="key"
        aria-describedby="q-reset"
        :aria-pressed="reset !== undefined && page!.powerCycled === yes"
        :disabled="closed"
        @click="add({ kind: 'POWER_CYCLED', yes, supersedes: reset?.id })"
      >
        {{ yes ? tell('common.yes') : tell('common.no') }}
      </button>
      <strong v-if="page!.powerCycled">{{ tell('beforePower.thenNoCodeDoesNot') }}</strong>
    </div>
    <p
      v-if="unit!.waits"
      class="caution"
      :class="{ quiet: reset !== undefined && !page!.powerCycled }"
      data-test="waits"
    >
      {{ unit!.waits }}
    </p>
    <PlatePhotos v-if="!closed" class="mb-3" />
    <WhenPicker v-if="!closed" class="mb-3" />
    <div class="two">
      <div>
        <div v-if="lamps.length > 1" class="lamps" role="group" :aria-label="tell('beforePower.whichLamp')">
          <button
            v-for="l in lamps"
            :key="l.board"
            type="button"
            class="key"
            :aria-pressed="l.board === current.board"
            @click="chosen = l.board"
          >
            {{ l.label }}{{ readOf(l.board) ? ': ' + readOf(l.board)!.found : '' }}
          </button>
        </div>
        <section v-if="lamp" class="read" data-test="lamp-read">
          <h2 class="h5">{{ tell('beforePower.theLampSays') }}</h2>
          <p class="pattern">{{ lamp.found }}</p>
          <p>{{ lamp.judgement }}</p>
          <ul v-if="lamp.lamp.length > 1" class="weights">
            <li v-for="w in lamp.lamp" :key="w.pattern">
              <span class="level" :style="{ width: `${Math.max(2, w.weight * 100)}%` }" aria-hidden="true"></span>
              <span>{{ w.pattern }}</span><span class="num">{{ percent(w.weight) }}</span>
            </li>
          </ul>
          <button v-if="!closed" type="button" class="key" @click="add({ kind: 'TAKE_BACK', supersedes: lamp.id })">
            {{ tell('beforePower.wrongReadItAgain') }}
          </button>
          <button v-if="!closed" type="button" class="key quiet" data-test="lamp-then" @click="again = true">
            {{ tell('beforePower.itShowedSomethingElseBefore') }}
          </button>
        </section>
        <template v-else-if="!closed">
          <div class="ways" role="group" :aria-label="tell('beforePower.howToReadTheLamp')">
            <button
              v-for="w in ways"
              :key="w.id"
              type="button"
              class="key"
              :aria-pressed="way === w.id"
              :data-test="`way-${w.id}`"
              @click="way = w.id"
            >
              {{ w.label }}
            </button>
          </div>
          <LampTap v-if="way === 'tap'" :key="current.board" :board="current.board" :marks="current.marks" />
          <LampCamera v-else-if="way === 'camera'" :key="current.board" :board="current.board" :marks="current.marks" />
          <LampFile v-else-if="way === 'file'" :key="current.board" :board="current.board" />
          <section aria-labelledby="choose-title" class="mt-4">
            <h2 id="choose-title" class="h5">{{ tell('beforePower.orChooseWhatItShows') }}</h2>
            <div class="patterns">
              <button
                v-for="[pattern, says] in patterns"
                :key="pattern"
                type="button"
                class="key"
                :data-test="`pattern-${pattern}`"
                @click="add({ kind: 'PATTERN', board: current.board, pattern })"
              >
                {{ says }}
              </button>
            </div>
            <form class="typed" @submit.prevent="add({ kind: 'PATTERN', board: current.board, pattern: typedPattern })">
              <label for="typed-pattern">{{ tell('beforePower.orTypeIt4Flashes') }}</label>
              <div class="d-flex gap-2">
                <input id="typed-pattern" v-model="typedPattern" class="form-control field" required />
                <button type="submit" class="key">{{ tell('beforePower.thatIsIt') }}</button>
              </div>
            </form>
            <p class="soft mt-2">
              {{
                visit!.board
                  ? tell('beforePower.chartOfTheBoard', { board: visit!.board })
                  : tell('beforePower.thisChartIsInventedFor')
              }}
              <RouterLink
                :to="{
                  path: visit!.board ? `/boards/${visit!.board}` : '/boards/new',
                  query: { family: visit!.family, unit: visit!.unitId, visit: visit!.job.id },
                }"
                data-test="to-board"
                >{{ visit!.board ? tell('beforePower.changeIt') : tell('common.addTheChartOnThe') }}</RouterLink
              >
            </p>
            <p v-if="problem && problem.field === 'pattern'" class="problem" role="alert">{{ problem.message }}</p>
          </section>
        </template>
      </div>
      <section aria-labelledby="look-title">
        <p v-for="c in unit!.cautions" :key="c" class="caution">{{ c }}</p>
        <section v-if="complaints.length" class="mb-4" data-test="complaints">
          <h2 class="h5">{{ tell('beforePower.whatDidTheCustomerNotice') }}</h2>
          <CustomerSaid
            :all="complaints"
            :understood="heard?.understood ?? []"
            :said="saidSo"
            :disabled="closed"
            @toggle="say"
          />
        </section>
        <WorkedBefore v-if="!visit!.earlier.length" class="mb-4" />
        <TwinList class="mb-4" />
        <h2 id="look-title" class="h5">{{ tell('beforePower.lookSmellListen') }}</h2>
        <p class="soft">{{ tell('beforePower.mostUsefulFirstSkipWhat') }}</p>
        <ul class="checks">
          <li v-for="l in done" :key="l.id" class="done">
            <span>{{ l.what }}</span>
            <strong>{{ l.found }}</strong>
            <button
              v-if="!closed"
              type="button"
              class="key quiet"
              @click="add({ kind: 'TAKE_BACK', supersedes: l.id })"
            >
              {{ tell('common.takeBack') }}
            </button>
          </li>
          <template v-if="!closed">
            <li v-for="(c, i) in asked" :key="c.id" :data-test="`check-${c.id}`">
              <strong v-if="arrives(i)" class="place" data-test="place">{{ c.place }}</strong>
              <span :id="`q-${c.id}`">{{ c.instruction }}</span>
              <button
                type="button"
                class="key"
                :aria-describedby="`q-${c.id}`"
                @click="add({ kind: 'ANSWER', test: c.id, yes: true })"
              >
                {{ tell('common.yes') }}
              </button>
              <button
                type="button"
                class="key"
                :aria-describedby="`q-${c.id}`"
                @click="add({ kind: 'ANSWER', test: c.id, yes: false })"
              >
                {{ tell('common.no') }}
              </button>
            </li>
          </template>
        </ul>
        <button
          v-if="!closed && harmless.length > 1"
          type="button"
          class="key mt-2"
          data-test="all-normal"
          :disabled="saying"
          @click="allNormal"
        >
          {{ tell('beforePower.allNormal', { answers: harmless.map((c) => yesNo(c.healthy)).join(' · ') }) }}
        </button>
        <button v-if="!closed && more" type="button" class="key quiet" data-test="more-looks" @click="allLooks = true">
          {{ tell('beforePower.more', { more }) }}
        </button>
      </section>
    </div>
    <RouterLink class="key next go-on" :to="{ name: 'power', params: route.params }" data-test="to-power">{{
      tell('beforePower.goOnToPowerAnd')
    }}</RouterLink>
  </main>
</template>

<style scoped lang="scss">
.before {
  max-width: 76rem;
  padding-bottom: 2rem;
}
.lead-caution {
  font-size: 1.125rem;
  margin-bottom: 1.25rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 2.5rem;
}
.pattern {
  font-size: 2.5rem;
  font-weight: 700;
  margin: 0;
}
.weights {
  list-style: none;
  padding: 0;
}
.weights li {
  position: relative;
  display: flex;
  justify-content: space-between;
  padding: 0.35rem 0.5rem;
}
.level {
  position: absolute;
  inset: 2px auto 2px 0;
  border: 1px solid var(--line);
  background: var(--paper-2);
  z-index: -1;
}
.lamps {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-bottom: 1rem;
}
.lamps [aria-pressed='true'] {
  border-width: 4px;
  background: var(--paper-2);
}
.ways {
  display: flex;
  gap: 6px;
  margin-bottom: 0.75rem;
}
.ways .key {
  flex: 1;
}
.ways [aria-pressed='true'],
.reset [aria-pressed='true'] {
  border-width: 4px;
  background: var(--paper-2);
}
.reset {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-bottom: 1.25rem;
}
.typed {
  margin-top: 0.75rem;
}
.patterns {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.checks {
  list-style: none;
  padding: 0;
  margin: 0;
}
.checks li {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 0.5rem;
  align-items: center;
  border-bottom: 1px solid var(--line-soft);
  padding: 0.35rem 0;
}
.place {
  grid-column: 1 / -1;
}
.checks li.done {
  color: var(--ink-soft);
}
@media (max-width: 700px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.5rem;
  }
}
</style>
