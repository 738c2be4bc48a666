<script setup lang="ts">
import { reactive } from 'vue'
import type { Kept } from '../api/outboxStore'
import { useHandle } from './handle'
import { tell } from '../words/words'

const { refused, correct, discard, sending } = useHandle()
const typed = reactive<Record<string, string>>({})

/** The field that a person can type anew; the others are put right where they were entered. */
const editable = (kept: Kept): 'reading' | 'text' | 'pattern' | undefined =>
  (['reading', 'text', 'pattern'] as const).find((field) => field in kept.entry)
const says = (kept: Kept) =>
  Object.entries(kept.entry)
    .filter(([field, value]) => !['id', 'madeAt', 'kind', 'supersedes', 'trace'].includes(field) && value !== null)
    .map(([, value]) => (Array.isArray(value) ? tell('refusedEntries.values', { count: value.length }) : String(value)))
    .join(' · ')

async function again(kept: Kept) {
  const field = editable(kept)
  await correct(kept.id, field && typed[kept.id] ? { [field]: typed[kept.id] } : {})
}
</script>

<template>
  <section class="refused" aria-labelledby="refused-title" data-test="refused">
    <h2 id="refused-title" class="h6">{{ tell('refusedEntries.notAcceptedCorrectItOr') }}</h2>
    <ul>
      <li v-for="k in refused" :key="k.id">
        <p class="problem" role="alert">{{ k.refused!.message }}</p>
        <p class="what">
          {{ k.entry.kind.toLowerCase().replace(/_/g, ' ') }} <strong>{{ says(k) }}</strong>
        </p>
        <form class="acts" @submit.prevent="again(k)">
          <input
            v-if="editable(k)"
            v-model="typed[k.id]"
            class="form-control field"
            :aria-label="tell('refusedEntries.insteadOf', { says: says(k) })"
            :placeholder="tell('refusedEntries.instead')"
          />
          <button type="submit" class="key" :disabled="sending" data-test="send-again">
            {{ tell('refusedEntries.sendAgain') }}
          </button>
          <button type="button" class="key quiet" data-test="discard" @click="discard(k.id)">
            {{ tell('refusedEntries.discardIt') }}
          </button>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
.refused {
  border-bottom: 2px solid var(--danger);
  border-left: 12px double var(--danger);
  padding: 0.5rem 1rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.what {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.field {
  max-width: 12rem;
}
</style>
