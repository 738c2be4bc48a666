<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { answer, api, Problem } from '../api/client'
import { useMe } from '../api/useMe'
import type { components } from '../api/schema'
import TopBar from '../common/TopBar.vue'
import PeopleList from './PeopleList.vue'
import RatesForm from './RatesForm.vue'

type Policy = components['schemas']['PolicyView']
type Kind = Policy['notAllowed'][number]
const { lead } = useMe()
const stored = useQuery({ queryKey: ['policy'], queryFn: () => answer<Policy>(api.GET('/api/policy')) })
const choices = useQuery({
  queryKey: ['policy-choices'],
  queryFn: () => answer<Kind[]>(api.GET('/api/policy/choices')),
})
const policy = ref<Policy | null>(null)
const problem = ref<Problem | null>(null)
const saved = ref(false)
watch(stored.data, (p) => p && (policy.value = { ...p, notAllowed: [...p.notAllowed] }), { immediate: true })
const words: Partial<Record<Kind, string>> = {
  SWAP: 'swap a part with a twin that runs',
  SUBSTITUTE: 'try a new part from the van',
  TRY: 'momentary jumpers where the unit allows them',
  RESET: 'cycle the power to see what happens',
  WARM: 'run it until it is warm',
  CYCLES: 'watch several cycles',
}
const schools: Record<Policy['school'], string> = {
  USUAL: 'usual: told everything, sends nothing, its plug wiggled, its load not shorted or run directly',
  STRICT: 'strict: supply and every input measured at the board, every plug wiggled, every rival told away',
}

const changers: Record<NonNullable<Policy['changers']>, string> = {
  EVERYBODY: 'everybody',
  AT_WORK: 'whoever made it; for a unit, whoever has an open visit there too',
  LEAD: 'the lead alone',
}
const zones = Intl.supportedValuesOf('timeZone')

function toggle(kind: Kind) {
  const p = policy.value!
  p.notAllowed = p.notAllowed.includes(kind) ? p.notAllowed.filter((k) => k !== kind) : [...p.notAllowed, kind]
}
async function save() {
  problem.value = null
  saved.value = false
  try {
    await answer(api.POST('/api/policy', { body: policy.value! }))
    saved.value = true
  } catch (failure) {
    problem.value = failure as Problem
  }
}
</script>

<template>
  <TopBar title="Company rules" />
  <main class="page">
    <h1 class="h4">Company rules</h1>
    <p class="soft">
      Every proposed test and repair order uses these numbers.
      {{ lead ? '' : 'The lead sets it.' }}
    </p>
    <hr class="rule" />
    <form v-if="policy" class="form" @submit.prevent="save">
      <label for="labour">Labor per minute</label>
      <input
        id="labour"
        v-model.number="policy.labourPerMinute"
        type="number"
        step="0.01"
        min="0.01"
        class="form-control field num"
        :disabled="!lead"
        required
      />
      <label for="trip">A second trip</label>
      <input
        id="trip"
        v-model.number="policy.tripCost"
        type="number"
        step="1"
        min="0"
        class="form-control field num"
        :disabled="!lead"
        required
      />
      <label for="mistake">A wrong verdict: callback and trust</label>
      <input
        id="mistake"
        v-model.number="policy.mistakeCost"
        type="number"
        step="1"
        min="0"
        class="form-control field num"
        :disabled="!lead"
        required
      />
      <fieldset>
        <legend class="h5">Tests that may be proposed</legend>
        <label v-for="k in choices.data.value" :key="k" class="choice">
          <input type="checkbox" :checked="!policy.notAllowed.includes(k)" :disabled="!lead" @change="toggle(k)" />
          {{ words[k] ?? k }}
        </label>
      </fieldset>
      <fieldset>
        <legend class="h5">Proof before a part is condemned</legend>
        <label v-for="(text, key) in schools" :key="key" class="choice">
          <input v-model="policy.school" type="radio" name="school" :value="key" :disabled="!lead" />
          {{ text }}
        </label>
        <p class="soft">Either way the verdict says what is not proven.</p>
      </fieldset>
      <fieldset>
        <legend class="h5">Who may change a unit, its board, or board data</legend>
        <label v-for="(text, key) in changers" :key="key" class="choice">
          <input v-model="policy.changers" type="radio" name="changers" :value="key" :disabled="!lead" />
          {{ text }}
        </label>
        <p class="soft">The lead always may. Every change is kept with name and time.</p>
      </fieldset>
      <label for="zone">Time zone</label>
      <select id="zone" v-model="policy.timeZone" class="form-select field" :disabled="!lead">
        <option v-if="policy.timeZone && !zones.includes(policy.timeZone)" :value="policy.timeZone">
          {{ policy.timeZone }}
        </option>
        <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
      </select>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <p v-if="saved" role="status">Saved. It takes effect when a visit is loaded again.</p>
      <button v-if="lead" type="submit" class="key next">Keep it</button>
    </form>
    <RatesForm :lead="lead" />
    <PeopleList v-if="lead" />
  </main>
</template>

<style scoped lang="scss">
.form {
  display: grid;
  gap: 0.4rem;
  max-width: 32rem;
}
label {
  font-weight: 700;
  margin-top: 0.6rem;
}
.choice {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  min-height: 52px;
  line-height: 1.3;
  font-weight: 400;
  margin: 0;
}
.choice input {
  flex: none;
  width: 24px;
  height: 24px;
  accent-color: var(--ink);
}
.next {
  min-height: 56px;
}
</style>
