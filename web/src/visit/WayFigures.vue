<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answer, api, type WayOut } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { useHandle } from './handle'
import { tell } from '../words/words'

/** What the ways were counted with; a person who knows better says so, with a reason that is kept. */
const props = defineProps<{ out: WayOut; closed: boolean }>()
const { id, visit, add } = useHandle()
const queries = useQueryClient()
const what = ref('')
const value = ref<number | null>(null)
const reason = ref('')
const { attempt, busy, problem } = useAttempt()
const year = ref<number | null>(props.out.ageKnown ? new Date().getFullYear() - props.out.age : null)

function change(name: string, now: number) {
  what.value = what.value === name ? '' : name
  value.value = now
  reason.value = ''
}
function keep() {
  add({ kind: 'FIGURE', what: what.value, value: value.value!, reason: reason.value.trim() })
  what.value = ''
}
function installed() {
  return attempt(async () => {
    const unit = visit.value!.unitId
    await answer(
      api.POST('/api/units/{id}/installed', {
        params: { path: { id: unit } },
        body: { year: year.value ?? undefined },
      }),
    )
    await queries.invalidateQueries({ queryKey: ['visit', id] })
  })
}
</script>

<template>
  <section>
    <h2 class="h5">{{ tell('wayFigures.assumptions') }}</h2>
    <form v-if="!closed" class="age" @submit.prevent="installed">
      <label for="year">
        {{ tell('wayFigures.typeAPrice') }}
        <span class="soft">{{
          out.ageKnown
            ? tell('wayFigures.yearsOld', { age: out.age })
            : tell('wayFigures.notKnownYearsAreCounted', { age: out.age })
        }}</span>
      </label>
      <input
        id="year"
        v-model.number="year"
        class="form-control num"
        type="number"
        inputmode="numeric"
        min="1900"
        max="2200"
        :placeholder="tell('common.year')"
      />
      <button class="key" type="submit" :disabled="busy">{{ tell('common.keep') }}</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul class="figures">
      <li v-for="f in out.figures" :key="f.what">
        <span>
          {{ f.label }}<span v-if="f.said" class="soft"> ({{ f.said }})</span>
        </span>
        <span class="num">{{ f.value }} {{ f.unit }}</span>
        <button v-if="!closed" type="button" class="key quiet" @click="change(f.what, f.value)">
          {{ tell('wayFigures.change') }}
        </button>
        <form v-if="what === f.what" class="other" @submit.prevent="keep">
          <input
            v-model.number="value"
            class="form-control num"
            type="number"
            step="any"
            min="0"
            :aria-label="f.label"
            required
          />
          <input
            v-model="reason"
            class="form-control"
            maxlength="200"
            :placeholder="tell('wayFigures.why')"
            :aria-label="tell('wayFigures.whyItIsDifferent')"
            required
          />
          <button class="key next" type="submit">{{ tell('common.keepIt') }}</button>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
section {
  margin-top: 1.5rem;
}
.age,
.other {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
}
.age input {
  width: 7rem;
}
.other {
  grid-column: 1 / -1;
}
.other .num {
  width: 8rem;
}
.other input:not(.num) {
  flex: 1 1 12rem;
}
.figures {
  list-style: none;
  padding: 0;
  margin-top: 0.75rem;
}
.figures li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 0.5rem 1rem;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
</style>
