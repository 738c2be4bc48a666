<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { answer, api, Problem } from '../api/client'
import { useMe } from '../api/useMe'
import type { components } from '../api/schema'
import TopBar from '../common/TopBar.vue'
import PeopleList from './PeopleList.vue'
import RatesForm from './RatesForm.vue'
import { tell } from '../words/words'

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
  SWAP: tell('policyView.swapAPartWithA'),
  SUBSTITUTE: tell('policyView.tryANewPartFrom'),
  TRY: tell('policyView.momentaryJumpersWhereTheUnit'),
  RESET: tell('policyView.cycleThePowerToSee'),
  WARM: tell('policyView.runItUntilItIs'),
  CYCLES: tell('policyView.watchSeveralCycles'),
}
const schools: Record<Policy['school'], string> = {
  USUAL: tell('policyView.usualToldEverythingSendsNothing'),
  STRICT: tell('policyView.strictSupplyAndEveryInput'),
}

const changers: Record<NonNullable<Policy['changers']>, string> = {
  EVERYBODY: tell('policyView.everybody'),
  AT_WORK: tell('policyView.whoeverMadeItForA'),
  LEAD: tell('policyView.theLeadAlone'),
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
  <TopBar :title="tell('common.companyRules')" />
  <main class="page">
    <h1 class="h4">{{ tell('common.companyRules') }}</h1>
    <p class="soft">
      {{ tell('policyView.everyProposedTestAndRepair', { value: lead ? '' : tell('policyView.theLeadSetsIt') }) }}
    </p>
    <hr class="rule" />
    <form v-if="policy" class="form" @submit.prevent="save">
      <label for="labour">{{ tell('policyView.laborPerMinute') }}</label>
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
      <label for="trip">{{ tell('policyView.aSecondTrip') }}</label>
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
      <label for="mistake">{{ tell('policyView.aWrongVerdictCallbackAnd') }}</label>
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
        <legend class="h5">{{ tell('policyView.testsThatMayBeProposed') }}</legend>
        <label v-for="k in choices.data.value" :key="k" class="choice">
          <input type="checkbox" :checked="!policy.notAllowed.includes(k)" :disabled="!lead" @change="toggle(k)" />
          {{ words[k] ?? k }}
        </label>
      </fieldset>
      <fieldset>
        <legend class="h5">{{ tell('policyView.proofBeforeAPartIs') }}</legend>
        <label v-for="(text, key) in schools" :key="key" class="choice">
          <input v-model="policy.school" type="radio" name="school" :value="key" :disabled="!lead" />
          {{ text }}
        </label>
        <p class="soft">{{ tell('policyView.eitherWayTheVerdictSays') }}</p>
      </fieldset>
      <fieldset>
        <legend class="h5">{{ tell('policyView.whoMayChangeAUnit') }}</legend>
        <label v-for="(text, key) in changers" :key="key" class="choice">
          <input v-model="policy.changers" type="radio" name="changers" :value="key" :disabled="!lead" />
          {{ text }}
        </label>
        <p class="soft">{{ tell('policyView.theLeadAlwaysMayEvery') }}</p>
      </fieldset>
      <label for="zone">{{ tell('policyView.timeZone') }}</label>
      <select id="zone" v-model="policy.timeZone" class="form-select field" :disabled="!lead">
        <option v-if="policy.timeZone && !zones.includes(policy.timeZone)" :value="policy.timeZone">
          {{ policy.timeZone }}
        </option>
        <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
      </select>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <p v-if="saved" role="status">{{ tell('policyView.savedItTakesEffectWhen') }}</p>
      <button v-if="lead" type="submit" class="key next">{{ tell('common.keepIt') }}</button>
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
