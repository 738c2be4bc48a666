<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandle } from './handle'
import { useQuestions } from './useDetails'
import WhenPicker from './WhenPicker.vue'
import { tell } from '../words/words'

const emit = defineEmits<{ done: [] }>()
const { add, page, unit, problem } = useHandle()
const { data: questions } = useQuestions()
const words = ref('')
const most = 24
/** Every word that is typed stands in it somewhere. */
const found = computed(() => {
  const parts = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (questions.value ?? []).filter((q) => parts.every((p) => q.instruction.toLowerCase().includes(p)))
})
const said = (instruction: string) =>
  page.value!.log.filter((l) => l.counts && l.kind === 'ANSWER' && l.what === instruction).at(-1)?.found

const dying = ref(false)
const minutes = ref('')
const first = ref('')
const stays = ref('')
async function died() {
  const entry = {
    kind: 'DIED' as const,
    minutes: Number(minutes.value.replace(',', '.')),
    first: first.value || undefined,
    stays: stays.value || undefined,
  }
  if (await add(entry)) emit('done')
}
const note = ref('')
async function keep() {
  if (await add({ kind: 'NOTE', text: note.value })) note.value = ''
}
</script>

<template>
  <section class="saw" aria-labelledby="saw-title" data-test="saw">
    <div class="head">
      <h2 id="saw-title" class="h5 m-0">{{ tell('sawPanel.whatDidYouSeeHear') }}</h2>
      <button type="button" class="key quiet" @click="emit('done')">{{ tell('sawPanel.close') }}</button>
    </div>
    <WhenPicker />
    <label class="visually-hidden" for="saw-words">{{ tell('sawPanel.findItByAWord') }}</label>
    <input
      id="saw-words"
      v-model="words"
      class="form-control field"
      :placeholder="tell('sawPanel.aWordOfItRelay')"
      autocomplete="off"
    />
    <ul class="found" :aria-label="tell('sawPanel.questions')">
      <li v-for="q in found.slice(0, most)" :key="q.id" :data-test="`saw-${q.id}`">
        <span :id="`saw-q-${q.id}`"
          >{{ q.instruction }}<small v-if="q.moment"> · {{ q.moment }}</small></span
        >
        <strong v-if="said(q.instruction)">{{ said(q.instruction) }}</strong>
        <button
          v-for="yes in [true, false]"
          :key="String(yes)"
          type="button"
          class="key"
          :aria-describedby="`saw-q-${q.id}`"
          @click="add({ kind: 'ANSWER', test: q.id, yes })"
        >
          {{ yes ? tell('common.yes') : tell('common.no') }}
        </button>
      </li>
    </ul>
    <p v-if="questions && !found.length" class="soft">{{ tell('sawPanel.noQuestionHasTheseWords') }}</p>
    <p v-else-if="found.length > most" class="soft">
      {{ tell('sawPanel.moreTypeAWord', { most: found.length - most }) }}
    </p>
    <button type="button" class="key" :aria-expanded="dying" data-test="dying" @click="dying = !dying">
      {{ tell('sawPanel.itStartedRanAndDied', { dying: dying ? '▾' : '▸' }) }}
    </button>
    <form v-if="dying" class="died" @submit.prevent="died">
      <label for="died-minutes">{{ tell('sawPanel.afterMinutes') }}</label>
      <input id="died-minutes" v-model="minutes" class="form-control field" inputmode="decimal" required />
      <label for="died-first">{{ tell('sawPanel.droppedOutFirst') }}</label>
      <select id="died-first" v-model="first" class="form-select field">
        <option value="">{{ tell('sawPanel.notMeasured') }}</option>
        <option v-for="p in unit!.points" :key="p.net" :value="p.net">{{ p.label }}</option>
      </select>
      <label for="died-stays">{{ tell('sawPanel.wasStillPresent') }}</label>
      <select id="died-stays" v-model="stays" class="form-select field">
        <option value="">{{ tell('sawPanel.notMeasured') }}</option>
        <option v-for="p in unit!.points" :key="p.net" :value="p.net">{{ p.label }}</option>
      </select>
      <button type="submit" class="key next">{{ tell('sawPanel.saveIt') }}</button>
    </form>
    <form class="note" @submit.prevent="keep">
      <label for="saw-note">{{ tell('sawPanel.orInYourOwnWords') }}</label>
      <textarea id="saw-note" v-model="note" class="form-control" rows="2" maxlength="4000"></textarea>
      <button type="submit" class="key" :disabled="!note.trim()">{{ tell('sawPanel.keepTheNote') }}</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
  </section>
</template>

<style scoped lang="scss">
.saw {
  display: grid;
  gap: 0.5rem;
  padding: 0.6rem 1rem;
  border-bottom: 2px solid var(--line);
  background: var(--paper);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.found {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 46vh;
  overflow-y: auto;
  border-top: 1px solid var(--line-soft);
}
.found li {
  display: flex;
  gap: 6px;
  align-items: center;
  border-bottom: 1px solid var(--line-soft);
  padding: 0.25rem 0;
}
.found li span {
  flex: 1;
  line-height: 1.25;
}
.found small {
  color: var(--ink-soft);
}
.found .key {
  min-width: 60px;
}
.died,
.note {
  display: grid;
  gap: 0.25rem 0.5rem;
}
.died {
  grid-template-columns: 9rem minmax(0, 1fr);
  align-items: center;
}
.died .key {
  grid-column: 2;
  justify-self: start;
}
.note .key {
  justify-self: start;
}
</style>
