<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { useAttempt } from '../api/useAttempt'

/** What the ways out of a verdict are counted with, beside labour and trips. */
defineProps<{ lead: boolean }>()
type Rates = components['schemas']['Rates']
type Name = Exclude<keyof Rates, 'currency' | 'ageing'>
const fields: { name: Name; label: string; unit: string; times: number }[] = [
  { name: 'counterMarkup', label: 'The counter takes more than our price', unit: '%', times: 100 },
  { name: 'counterHours', label: 'To fetch a part from the counter', unit: 'h', times: 1 },
  { name: 'tripHours', label: 'Until a second trip with the part', unit: 'h', times: 1 },
  { name: 'tax', label: 'Tax on a quote', unit: '%', times: 100 },
  { name: 'quoteDays', label: 'A quote holds for', unit: 'days', times: 1 },
  { name: 'warrantyYears', label: 'Warranty on a new part', unit: 'years', times: 1 },
  { name: 'unitPrice', label: 'A new unit, put in', unit: '', times: 1 },
  { name: 'unitHours', label: 'Until a new unit runs', unit: 'h', times: 1 },
  { name: 'unitYears', label: 'A unit is kept for', unit: 'years', times: 1 },
  { name: 'disposal', label: 'Disposal of an old unit', unit: '', times: 1 },
  { name: 'interest', label: 'Interest a year', unit: '%', times: 100 },
  { name: 'horizonYears', label: 'Keep or replace is compared over', unit: 'years', times: 1 },
  { name: 'vanLitres', label: 'Room for parts on a van', unit: 'l', times: 1 },
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
    <h2 class="h5">Costs</h2>
    <p class="soft">Repair options and quotes use these.</p>
    <div>
      <label for="rate-currency">Currency</label>
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
      <label for="rate-scale">First failure expected at age<span class="soft"> years</span></label>
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
      <label for="rate-shape">How much more often old units fail<span class="soft"> 1 is no more often</span></label>
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
    <p v-if="saved" role="status">Saved. New repair options use it. Quotes already made stay.</p>
    <button v-if="lead" type="submit" class="key next" :disabled="busy" data-test="keep-rates">
      Keep what it costs
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
