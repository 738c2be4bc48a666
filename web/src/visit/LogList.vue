<script setup lang="ts">
import { ref } from 'vue'
import type { LogLine } from '../api/client'
import { timeOfDay } from './format'
import { useHandle } from './handle'
import { typedIn } from './typed'
import { tell } from '../words/words'

defineProps<{ log: LogLine[]; closed: boolean }>()
const { add, problem } = useHandle()
const editing = ref('')
const corrected = ref('')

function edit(entry: LogLine) {
  editing.value = entry.id
  corrected.value = ''
}
async function correct(entry: LogLine) {
  if (await add({ kind: 'CORRECTION', reading: typedIn(entry.behind, corrected.value), supersedes: entry.id }))
    editing.value = ''
}
</script>

<template>
  <section aria-labelledby="log-title">
    <h2 id="log-title" class="eyebrow">{{ tell('logList.log') }}</h2>
    <p v-if="log.length === 0" class="soft">{{ tell('logList.nothingYetEveryReadingShows') }}</p>
    <ol class="log" data-test="log">
      <li
        v-for="l in [...log].reverse().filter((e) => e.kind !== 'TAKE_BACK')"
        :key="l.id"
        :class="{ gone: !l.counts }"
      >
        <span class="num time">{{ timeOfDay(l.madeAt) }}</span>
        <span class="what">{{ l.what }}</span>
        <strong class="num found">{{ l.found }}</strong>
        <span class="soft explain">{{ l.judgement }}</span>
        <span v-if="!closed && l.counts" class="acts">
          <button v-if="l.correctable" type="button" class="key quiet" @click="edit(l)">
            {{ tell('logList.correct') }}
          </button>
          <button
            type="button"
            class="key quiet"
            data-test="take-back"
            @click="add({ kind: 'TAKE_BACK', supersedes: l.id })"
          >
            {{ tell('common.takeBack') }}
          </button>
        </span>
        <form v-if="editing === l.id" class="edit" @submit.prevent="correct(l)">
          <input
            v-model="corrected"
            class="form-control field"
            inputmode="decimal"
            :aria-label="tell('logList.correctedReading')"
          />
          <button type="submit" class="key" :disabled="!corrected">{{ tell('logList.correct2') }}</button>
          <p v-if="problem" class="problem">{{ problem.message }}</p>
        </form>
      </li>
    </ol>
  </section>
</template>

<style scoped lang="scss">
.log {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 3.4rem 1fr auto;
  gap: 0 0.5rem;
  align-items: baseline;
  border-bottom: 1px solid var(--line-soft);
  padding: 0.3rem 0;
  font-size: 0.9375rem;
}
.gone .what,
.gone .found {
  text-decoration: line-through;
  color: var(--ink-soft);
}
.explain {
  grid-column: 2;
  font-size: 0.8125rem;
}
.acts {
  grid-column: 3;
  display: flex;
}
.acts .key {
  font-size: 0.8125rem;
  font-weight: 400;
}
.edit {
  grid-column: 2 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.edit input {
  max-width: 10rem;
}
</style>
