<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref, watch, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import type { TestView } from '../api/client'
import DoNext from './DoNext.vue'
import { clock, minutes, percent } from './format'
import { useHandle } from './handle'
import LogList from './LogList.vue'
import ProofList from './ProofList.vue'
import ReadingPad from './ReadingPad.vue'
import RungView from './RungView.vue'
import SequenceTaps from './SequenceTaps.vue'
import SuspectBars from './SuspectBars.vue'
import TimingDiagram from './TimingDiagram.vue'
import { useCallClock } from './useCallClock'
import { useTest } from './useDetails'
import { tell } from '../words/words'
import { isTyping } from '../common/typing'

/** Opened by a key: fetched then. */
const FreeReading = defineAsyncComponent(() => import('./FreeReading.vue'))
const SawPanel = defineAsyncComponent(() => import('./SawPanel.vue'))
const TemporaryChange = defineAsyncComponent(() => import('./TemporaryChange.vue'))

const { visit, page: data, unit, add, problem, sending, waiting } = useHandle()
const route = useRoute()
const page = computed(() => data.value!)
const closed = computed(() => Boolean(visit.value!.closedAt))
const chosenId = ref('')
const { data: fetched } = useTest(chosenId)
const chosen = computed(() => (fetched.value?.id === chosenId.value ? fetched.value : undefined))
/** The sequence is watched to its end, whatever is proposed meanwhile. */
const watched = ref<TestView>()
const test = computed(() =>
  closed.value ? undefined : (watched.value ?? chosen.value ?? page.value.next ?? undefined),
)
const others = computed(() => page.value.others.filter((t) => t.id !== test.value?.id))
const odd = computed(
  () =>
    page.value.verdict.status === 'UNEXPLAINED' ||
    page.value.contradictions.length > 0 ||
    page.value.unknownCodes.length > 0 ||
    page.value.expected.length > 0 ||
    page.value.repeats.length > 0,
)
const free = ref(false)
const changing = ref(false)
const sawing = ref(false)
const picked = ref<string | null>(null)
const pad = ref<InstanceType<typeof ReadingPad>>()
const paneSequence = ref<HTMLElement>()
const panePoints = ref<HTMLElement>()
const paneSuspects = ref<HTMLElement>()
const panes = [
  { name: tell('workView.sequence2'), el: paneSequence },
  { name: tell('workView.circuit3'), el: panePoints },
  { name: tell('workView.causes'), el: paneSuspects },
]
const show = (pane?: HTMLElement) => pane?.scrollIntoView({ inline: 'start', block: 'nearest', behavior: 'smooth' })
const { seconds, place, end } = useCallClock(String(route.params.id))
const runTime = computed(() => (seconds.value == null ? null : page.value.diagram.callAt + seconds.value))
const fieldProblem = computed(() =>
  problem.value && !problem.value.passing && problem.value.status !== 401 ? problem.value : null,
)
const blocked = computed(() => sending.value || waiting.value.length > 0)

watch(
  () => page.value.log.filter((l) => !l.kind.startsWith('CHANGE')).length,
  () => (chosenId.value = ''),
)
onKeyStroke(['c', 'C'], (event) => {
  if (!isTyping(event)) place()
})

watchEffect(() => {
  if (seconds.value != null && test.value?.sequence) watched.value = test.value
})
function sequenceWatched() {
  watched.value = undefined
  end()
}
async function take(reading: string) {
  if (await add({ kind: 'READING', test: test.value!.id, reading })) pad.value?.clear()
}
async function answer(yes: boolean) {
  await add({ kind: 'ANSWER', test: test.value!.id, yes })
}
/** Around the probes; around the likeliest cause where the test has none. */
const rung = computed(() => (test.value?.rung.length ? test.value.rung : page.value.rung))
onMounted(() => {
  const point = route.query.point
  if (typeof point === 'string') pick(point)
})
function pick(net: string) {
  if (closed.value) return
  picked.value = null
  requestAnimationFrame(() => (picked.value = net))
  free.value = true
}
</script>

<template>
  <main class="work">
    <DoNext
      v-if="test"
      class="area-next"
      :test="test"
      :purpose="page.purpose"
      :chosen="Boolean(chosen)"
      :meanwhile="page.meanwhile"
      :others="others"
      @choose="(id) => (chosenId = id)"
      @proposed="chosenId = ''"
      @change="add({ kind: 'CHANGE_IN', test: test.id })"
      @saw="sawing = !sawing"
    />
    <section v-else class="area-next done" data-test="done">
      <h1 class="h5 m-0">
        {{
          closed
            ? tell('common.closed2')
            : page.verdict.status === 'PROVEN'
              ? tell('common.proven')
              : tell('workView.noTestLeftThatHelps')
        }}
      </h1>
      <p class="what">{{ page.verdict.label }}, {{ percent(page.verdict.probability) }}</p>
      <p v-if="!closed && page.verdict.status === 'NOT_YET'" class="soft m-0" data-test="no-more">
        {{ tell('workView.waitUntilItFailsAgain') }}
      </p>
      <button v-if="!closed" type="button" class="key quiet" @click="sawing = !sawing">
        {{ tell('common.iSaw') }}
      </button>
      <RouterLink class="key next" :to="{ name: 'verdict', params: route.params }" data-test="to-verdict">{{
        tell('workView.toTheVerdict')
      }}</RouterLink>
    </section>
    <SawPanel v-if="sawing && !closed" class="area-saw" @done="sawing = false" />
    <div v-if="odd" class="area-odd" role="status" data-test="odd">
      <p v-if="page.verdict.status === 'UNEXPLAINED'" class="problem">
        {{ tell('workView.noKnownFaultExplainsWhat', { percent: percent(page.unexplained) }) }}
        <template v-if="page.wouldExplain.length"
          >{{ tell('workView.byTheWiringAloneThis') }} <strong>{{ page.wouldExplain.join('; ') }}</strong>{{
            tell('workView.lookThereFirst')
          }}
        </template>
        <template v-else>{{ tell('workView.isThisTheRightEquipment') }}</template>
      </p>
      <p v-for="u in page.unknownCodes" :key="u" class="problem" data-test="unknown-code">{{ u }}</p>
      <p v-for="x in page.expected" :key="x" data-test="expected-code">
        {{ x }}
        <RouterLink :to="{ name: 'set-up', params: route.params }">{{ tell('workView.toTheSetUp') }}</RouterLink>
      </p>
      <p v-for="c in page.contradictions" :key="c.repeat + c.other" class="problem">
        {{ tell('workView.theseTwoReadingsConflict', { repeat: c.repeat, other: c.other }) }}
        <button v-if="!closed" type="button" class="key" data-test="repeat" @click="chosenId = c.test.id">
          {{ tell('workView.repeatTheFirst', { minutes: minutes(c.test.minutes) }) }}
        </button>
      </p>
      <p v-if="!page.contradictions.length && page.repeats.length" class="problem">
        {{ tell('workView.doesNotFitTheRest', { repeats: page.repeats.join('; ') }) }}
      </p>
    </div>
    <nav class="swipe" :aria-label="tell('workView.sequenceCircuitCauses')">
      <button v-for="p in panes" :key="p.name" type="button" class="key quiet" @click="show(p.el.value)">
        {{ p.name }}
      </button>
    </nav>
    <div class="panes">
      <div class="left">
        <section ref="paneSequence" class="pane sequence" :aria-label="tell('workView.sequence')" tabindex="0">
          <div class="pane-head">
            <h2 class="eyebrow">{{ tell('workView.sequence2') }}</h2>
            <button v-if="seconds == null && !test?.sequence" type="button" class="key" @click="place">
              {{ tell('workView.callIsOnNow') }}
            </button>
            <button v-else-if="seconds != null" type="button" class="key" @click="sequenceWatched">
              <span class="num">{{ clock(seconds) }}</span> {{ tell('workView.stopClock') }}
            </button>
          </div>
          <SequenceTaps
            v-if="seconds != null && !closed && !test?.sequence"
            :seconds="seconds"
            @done="sequenceWatched"
          />
          <TimingDiagram :diagram="page.diagram" :mark="test?.at ?? null" :now="runTime" :taps="page.taps" />
        </section>
        <section ref="panePoints" class="pane points" :aria-label="tell('workView.circuit')" tabindex="0">
          <div class="pane-head">
            <h2 class="eyebrow">
              {{
                tell('workView.circuit2', { moment: test ? tell('workView.expected', { moment: test.moment }) : '' })
              }}
            </h2>
            <RouterLink class="key quiet" :to="{ name: 'drawing', params: route.params }" data-test="to-drawing">{{
              tell('workView.wholeDiagram')
            }}</RouterLink>
            <button v-if="!closed" type="button" class="key quiet" data-test="change" @click="changing = !changing">
              {{ tell('workView.temporaryChange') }}
            </button>
            <button v-if="!closed" type="button" class="key quiet" data-test="free" @click="free = !free">
              {{ tell('workView.anyOtherReading') }}
            </button>
          </div>
          <TemporaryChange v-if="changing && !closed" @done="changing = false" />
          <FreeReading v-if="free && !closed" :unit="unit!" :picked="picked" @taken="free = false" />
          <RungView :steps="rung" :black="test?.black" :red="test?.red" :closed="closed" @pick="pick" />
        </section>
      </div>
      <section
        ref="paneSuspects"
        class="pane right"
        :aria-label="tell('workView.likelyCausesProofAndLog')"
        tabindex="0"
      >
        <SuspectBars :suspects="page.suspects" :others="page.cleared" />
        <div v-if="page.verdict.status !== 'NOT_YET'" class="mt-2">
          <h2 class="eyebrow">{{ tell('workView.proof') }}</h2>
          <ProofList :verdict="page.verdict" actions @choose="(id) => (chosenId = id)" />
        </div>
        <LogList class="mt-2" :log="page.log" :closed="closed" />
      </section>
    </div>
    <section v-if="test?.sequence" class="area-pad" :aria-label="tell('workView.watchTheSequence')">
      <SequenceTaps v-if="seconds != null" :seconds="seconds" @done="sequenceWatched" />
      <button v-else type="button" class="key next" data-test="watch" @click="place">
        {{ tell('workView.callIsOnNowStart') }}
      </button>
    </section>
    <ReadingPad
      v-else-if="test"
      ref="pad"
      class="area-pad"
      :test="test"
      :problem="fieldProblem"
      :busy="blocked"
      @take="take"
      @answer="answer"
    />
    <p class="area-defer soft">{{ unit!.defer }}</p>
  </main>
</template>

<style scoped lang="scss">
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 24rem;
  grid-template-rows: auto auto auto auto 1fr auto;
  grid-template-areas: 'next next' 'saw saw' 'odd odd' 'left pad' 'left side' 'defer defer';
  align-items: start;
}
.area-next {
  grid-area: next;
}
.area-saw {
  grid-area: saw;
}
.area-odd {
  grid-area: odd;
  padding-inline: 1rem;
}
.area-pad {
  grid-area: pad;
  padding: 0.6rem 1rem;
  border-left: 2px solid var(--line);
}
.area-defer {
  grid-area: defer;
  font-size: 0.8125rem;
  padding: 0.75rem 1rem;
  border-top: 1px solid var(--line-soft);
  margin: 0;
}
.panes {
  display: contents;
}
.swipe {
  display: none;
}
.left {
  grid-area: left;
}
.sequence {
  padding: 0.6rem 1rem 0;
}
.points {
  padding: 0.4rem 1rem;
}
.right {
  grid-area: side;
  padding: 0.5rem 1rem;
  border-left: 2px solid var(--line);
  align-self: stretch;
}
.pane-head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.done {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1.25rem;
  padding: 0.75rem 1rem;
  border-bottom: 2px solid var(--line);
  border-left: 12px double var(--ink);
}
.done .what {
  font-size: 1.375rem;
  font-weight: 700;
  margin: 0;
  flex: 1;
}
@media (max-width: 900px) {
  .work {
    display: flex;
    flex-direction: column;
    align-items: stretch;
    height: calc(100dvh - 96px);
  }
  .area-next {
    flex: 0 1 auto;
    min-height: 9rem;
    max-height: 34dvh;
    overflow-y: auto;
    position: relative;
  }
  .area-pad {
    flex: none;
  }
  .panes {
    display: flex;
    flex: 1 1 0;
    min-height: 5rem;
    overflow-x: auto;
    scroll-snap-type: x mandatory;
  }
  .swipe {
    display: flex;
    justify-content: space-around;
    border-bottom: 1px solid var(--line-soft);
  }
  .swipe .key {
    font-size: 0.875rem;
  }
  .left {
    display: contents;
  }
  .pane {
    flex: 0 0 100%;
    scroll-snap-align: start;
    overflow-y: auto;
    /* holds what is hidden but read aloud: it would make the page longer than the screen */
    position: relative;
    border: 0;
    padding: 0.5rem 0.6rem;
  }
  .area-pad {
    border-left: 0;
    border-top: 2px solid var(--line);
    padding: 0.4rem 0.6rem 0.6rem;
  }
  .area-defer {
    display: none;
  }
  .done {
    padding: 0.6rem;
  }
}
</style>
