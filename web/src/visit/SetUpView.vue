<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useHandle } from './handle'
import NeedsLicence from './NeedsLicence.vue'
import { useCommissioning } from './useDetails'
import { tell } from '../words/words'

/** Setting up a unit that never ran: what is done before it runs, its settings, and then the proving run. */
const { visit, unit, add } = useHandle()
const route = useRoute()
const { data: list, isPending } = useCommissioning()
const closed = computed(() => Boolean(visit.value!.closedAt))
const done = computed(() => (list.value?.steps.length ?? 0) - (list.value?.open ?? 0))
/** What is under the thumb: what somebody tapped, else the first step that is open. */
const chosen = ref('')
const current = computed(
  () => list.value?.steps.find((s) => s.id === chosen.value) ?? list.value?.steps.find((s) => s.state === 'OPEN'),
)
const how = ref('')

async function say(fitted: boolean) {
  const step = current.value!
  const kept = await add({
    kind: 'SET_UP',
    step: step.id,
    fitted,
    text: how.value.trim() || undefined,
    supersedes: step.entry ?? undefined,
  })
  if (!kept) return
  how.value = ''
  chosen.value = ''
}
</script>

<template>
  <main class="page" data-test="set-up">
    <h1 class="h4">{{ tell('setUpView.setUpANewUnit') }}</h1>
    <p v-if="isPending" class="soft">{{ tell('setUpView.loading') }}</p>
    <template v-else-if="list && !list.begun">
      <p>{{ tell('setUpView.aUnitThatRan') }}</p>
      <button v-if="!closed" type="button" class="key next" data-test="new-unit" @click="add({ kind: 'NEW_UNIT' })">
        {{ tell('setUpView.itIsNew') }}
      </button>
    </template>
    <template v-else-if="list">
      <p v-if="list.open" class="state" data-test="set-up-count">
        {{ tell('setUpView.ofDone', { done, all: list.steps.length }) }}
      </p>
      <p v-else class="state" data-test="set-up-count">{{ tell('setUpView.allDone') }}</p>
      <ol>
        <li
          v-for="s in list.steps"
          :key="s.id"
          :class="{ open: s.state === 'OPEN', now: !closed && s === current }"
          :data-test="`step-${s.id}`"
        >
          <button type="button" class="step" :aria-current="s === current ? 'step' : undefined" @click="chosen = s.id">
            <span class="stands">{{ s.stands }}</span>
            <span class="what">{{ s.what }}</span>
            <span v-if="s.told" class="soft told">{{ s.told }}</span>
            <span v-else-if="s.state === 'OPEN' && s.shows.length" class="soft told">{{
              tell('setUpView.meanwhile', { shows: s.shows.join(', ') })
            }}</span>
          </button>
          <div v-if="!closed && s === current" class="act">
            <NeedsLicence :needs="s.needs" />
            <RouterLink
              v-if="s.setting"
              class="key next"
              :to="{ name: 'settings', params: route.params, query: { setting: s.setting } }"
              data-test="to-setting"
              >{{ tell('setUpView.setIt') }}</RouterLink
            >
            <template v-else-if="s.state === 'OPEN'">
              <label for="how">{{ tell('setUpView.howMeasured') }}</label>
              <BFormInput id="how" v-model="how" class="field" maxlength="500" />
              <div class="keys">
                <button type="button" class="key next" data-test="step-done" @click="say(true)">
                  {{ tell('setUpView.done') }}
                </button>
                <button type="button" class="key" data-test="step-none" @click="say(false)">
                  {{ tell('setUpView.notHere') }}
                </button>
              </div>
            </template>
            <button
              v-else-if="s.entry"
              type="button"
              class="key"
              data-test="step-back"
              @click="add({ kind: 'TAKE_BACK', supersedes: s.entry })"
            >
              {{ tell('setUpView.takeBack') }}
            </button>
          </div>
        </li>
      </ol>
      <p v-if="list.open" class="soft">{{ tell('setUpView.codesMeanwhile') }}</p>
      <RouterLink
        class="key"
        :class="{ next: !list.open }"
        :to="{ name: 'prove', params: route.params }"
        data-test="to-prove"
        >{{ tell('setUpView.thenTheRun') }}</RouterLink
      >
    </template>
    <p class="caution mt-3">{{ unit!.defer }}</p>
  </main>
</template>

<style scoped lang="scss">
.state {
  position: sticky;
  top: 0;
  z-index: 1;
  margin: 0;
  padding-block: 0.4rem;
  background: var(--paper);
  font-size: 1.25rem;
  font-weight: 700;
}
ol {
  list-style: none;
  max-width: 44rem;
  padding: 0;
  border-top: 2px solid var(--line);
}
li {
  border-bottom: 1px solid var(--line-soft);
}
li.now {
  border-left: 6px solid var(--line);
  padding-left: 0.75rem;
}
.step {
  display: grid;
  grid-template-columns: 6rem minmax(0, 1fr);
  gap: 0 0.75rem;
  width: 100%;
  min-height: 56px;
  padding-block: 0.4rem;
  align-content: center;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
}
.stands {
  color: var(--ink-soft);
}
.open .what {
  font-weight: 700;
}
.told {
  grid-column: 2;
}
.act {
  display: grid;
  gap: 0.5rem;
  padding: 0 0 0.9rem;
}
.keys {
  display: flex;
  gap: 0.75rem;
}
.keys .key {
  flex: 1;
  min-height: 56px;
}
label {
  font-weight: 700;
}
</style>
