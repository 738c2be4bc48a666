<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useAttempt } from '../api/useAttempt'
import { tell } from '../words/words'

/** What the ways out of a verdict are counted with, beside labour and trips. */
defineProps<{ lead: boolean }>()
type Rates = components['schemas']['Rates']
type Name = Exclude<keyof Rates, 'currency' | 'ageing'>
const fields: { name: Name; label: string; unit: string; times: number }[] = [
  { name: 'counterMarkup', label: tell('ratesForm.theCounterTakesMoreThan'), unit: '%', times: 100 },
  { name: 'counterHours', label: tell('ratesForm.toFetchAPartFrom'), unit: 'h', times: 1 },
  { name: 'tripHours', label: tell('ratesForm.untilASecondTripWith'), unit: 'h', times: 1 },
  { name: 'tax', label: tell('ratesForm.taxOnAQuote'), unit: '%', times: 100 },
  { name: 'quoteDays', label: tell('ratesForm.aQuoteHoldsFor'), unit: 'days', times: 1 },
  { name: 'warrantyYears', label: tell('ratesForm.warrantyOnANewPart'), unit: 'years', times: 1 },
  { name: 'unitPrice', label: tell('ratesForm.aNewUnitPutIn'), unit: '', times: 1 },
  { name: 'unitHours', label: tell('ratesForm.untilANewUnitRuns'), unit: 'h', times: 1 },
  { name: 'unitYears', label: tell('ratesForm.aUnitIsKeptFor'), unit: 'years', times: 1 },
  { name: 'disposal', label: tell('ratesForm.disposalOfAnOldUnit'), unit: '', times: 1 },
  { name: 'interest', label: tell('ratesForm.interestAYear'), unit: '%', times: 100 },
  { name: 'horizonYears', label: tell('ratesForm.keepOrReplaceIsCompared'), unit: 'years', times: 1 },
  { name: 'vanLitres', label: tell('ratesForm.roomForPartsOnA'), unit: 'l', times: 1 },
]
const stored = useQuery({ queryKey: ['rates'], queryFn: () => answer<Rates>(api.GET('/api/policy/rates')) })
const rates = ref<Rates>()
const saved = ref(false)
watch(stored.data, (r) => r && (rates.value = { ...r, ageing: { ...r.ageing } }), { immediate: true })
const { attempt, busy, problem } = useAttempt()
/** Shares are typed in percent; a hundredth of a percent is as fine as anybody says it. */
const shown = (name: Name, times: number) => Math.round(rates.value![name] * times * 100) / 100
const typed = (name: Name, times: number, event: Event) =>
  (rates.value![name] = Number((event.target as HTMLInputElement).value) / times)
function save() {
  saved.value = false
  return attempt(async () => {
    await answer(api.POST('/api/policy/rates', { body: rates.value as never }))
    saved.value = true
  })
}
</script>

<template>
  <form v-if="rates" class="rates" @submit.prevent="save">
    <h2 class="h5">{{ tell('ratesForm.costs') }}</h2>
    <p class="soft">{{ tell('ratesForm.repairOptionsAndQuotesUse') }}</p>
    <div>
      <label for="rate-currency">{{ tell('ratesForm.currency') }}</label>
      <input
        id="rate-currency"
        v-model="rates.currency"
        class="form-control num"
        maxlength="5"
        :disabled="!lead"
        required
      />
    </div>
    <div v-for="f in fields" :key="f.name">
      <label :for="`rate-${f.name}`"
        >{{ f.label }} <span class="soft">{{ f.unit || rates.currency }}</span></label
      >
      <input
        :id="`rate-${f.name}`"
        class="form-control num"
        type="number"
        step="any"
        min="0"
        :value="shown(f.name, f.times)"
        :disabled="!lead"
        required
        @change="typed(f.name, f.times, $event)"
      />
    </div>
    <div>
      <label for="rate-scale"
        >{{ tell('ratesForm.firstFailureExpectedAtAge')
        }}<span class="soft">{{ ` ${tell('common.years')}` }}</span></label
      >
      <input
        id="rate-scale"
        v-model.number="rates.ageing.scaleYears"
        class="form-control num"
        type="number"
        step="any"
        min="0.1"
        :disabled="!lead"
        required
      />
    </div>
    <div>
      <label for="rate-shape"
        >{{ tell('ratesForm.howMuchMoreOftenOld')
        }}<span class="soft"> {{ tell('ratesForm.1IsNoMoreOften') }}</span></label
      >
      <input
        id="rate-shape"
        v-model.number="rates.ageing.shape"
        class="form-control num"
        type="number"
        step="any"
        min="0.1"
        :disabled="!lead"
        required
      />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="saved" role="status">{{ tell('ratesForm.savedNewRepairOptionsUse') }}</p>
    <button v-if="lead" type="submit" class="key next" :disabled="busy" data-test="keep-rates">
      {{ tell('ratesForm.keepWhatItCosts') }}
    </button>
  </form>
</template>

<style scoped lang="scss">
.rates {
  display: grid;
  gap: 0.4rem;
  max-width: 40rem;
  margin-top: 2.5rem;
}
.rates > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 8rem;
  align-items: center;
  gap: 1rem;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
.num {
  min-height: 44px;
}
</style>
