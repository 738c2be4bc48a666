<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import type { components } from '../api/schema'
import { useHandle } from './handle'
import ReadingPad from './ReadingPad.vue'
import SequenceTaps from './SequenceTaps.vue'
import { useCallClock } from './useCallClock'
import { useTest } from './useDetails'
import YesNo from './YesNo.vue'
import { tell } from '../words/words'

/** What is shown next in the proving run, with the keys that enter it: one keypad for all of them. */
const props = defineProps<{ item: components['schemas']['Item'] }>()
const { add, problem, sending, waiting } = useHandle()
const route = useRoute()
/** On a phone the keys stand before the list; put away, they leave it all the room. */
const folded = ref(false)
const busy = computed(() => sending.value || waiting.value.length > 0)
const measured = computed(() => (props.item.kind === 'READING' ? props.item.id : ''))
const { data: fetched } = useTest(measured)
const test = computed(() => (fetched.value?.id === measured.value ? fetched.value : undefined))
const pad = ref<InstanceType<typeof ReadingPad>>()
const { seconds, place, end } = useCallClock(String(route.params.id))

async function take(reading: string) {
  if (await add({ kind: 'READING', test: props.item.id, reading })) pad.value?.clear()
}
function answer(yes: boolean) {
  void add(
    props.item.kind === 'SAFETY'
      ? { kind: 'SAFE', what: props.item.id as 'SAFETIES' | 'MONOXIDE', yes }
      : { kind: 'ANSWER', test: props.item.id, yes },
  )
}
</script>

<template>
  <section class="dock" :aria-label="tell('proveDock.next')" :data-test="`dock-${item.id}`" data-kind="dock">
    <div class="head">
      <p class="what">{{ item.what }}</p>
      <button type="button" class="fold" :aria-expanded="!folded" data-test="fold" @click="folded = !folded">
        {{ folded ? tell('proveDock.keys') : tell('proveDock.list') }}
      </button>
    </div>
    <template v-if="!folded">
      <p class="how">
        <template v-if="test">{{ test.instruction }} · </template>{{ tell('common.expected', { value: item.due }) }}
      </p>
      <p v-for="c in item.cautions" :key="c" class="caution">{{ c }}</p>
      <p v-if="problem && item.kind !== 'READING'" class="problem" role="alert">{{ problem.message }}</p>
      <template v-if="item.kind === 'READING'">
        <ReadingPad v-if="test" ref="pad" :test="test" :problem="problem" :busy="busy" @take="take" />
      </template>
      <YesNo v-else-if="item.kind === 'QUESTION' || item.kind === 'SAFETY'" :busy="busy" @answer="answer" />
      <template v-else-if="item.kind === 'RUN'">
        <SequenceTaps v-if="seconds != null" :seconds="seconds" proving @done="end" />
        <button v-else type="button" class="key next go" data-test="watch" @click="place">
          {{ tell('workView.callIsOnNowStart') }}
        </button>
      </template>
      <RouterLink
        v-else-if="item.kind === 'SETTING'"
        class="key next go"
        :to="{ name: 'settings', params: route.params }"
        >{{ tell('proveItem.lookAtIt') }}</RouterLink
      >
      <button v-else type="button" class="key next go" @click="add({ kind: 'CHANGE_OUT', supersedes: item.id })">
        {{ tell('common.itIsOut') }}
      </button>
    </template>
  </section>
</template>

<style scoped lang="scss">
.dock {
  border-left: 8px solid var(--next);
  padding: 0.5rem 0.75rem;
  background: var(--paper);
}
.what {
  margin: 0;
  font-size: 1.25rem;
  font-weight: 700;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 0.5rem;
}
.fold {
  display: none;
  min-width: 56px;
  min-height: 48px;
  align-self: start;
  border: 2px solid var(--line);
  background: var(--paper);
  color: inherit;
  font-weight: 700;
}
.how {
  margin: 0 0 0.25rem;
}
.go {
  width: 100%;
  min-height: 56px;
}
@media (max-width: 900px) {
  .fold {
    display: block;
  }
  .caution {
    font-size: 0.8125rem;
  }
}
</style>
