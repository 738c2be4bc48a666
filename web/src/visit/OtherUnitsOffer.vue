<script setup lang="ts">
import { computed, ref } from 'vue'
import { money } from './money'
import { useOtherUnits } from './useDetails'
import type { WantedElsewhere } from '../api/client'
import { tell } from '../words/words'

/** What other units of this site bring to the same offer: quotes that hold, and parts that were seen worn. */
const wanted = defineModel<WantedElsewhere[]>({ required: true })
const { data: units } = useOtherUnits()
const unit = ref('')
const part = ref('')
const seen = ref('')

const chosen = computed(() => units.value?.find((u) => u.id === unit.value))
const quoted = computed(() => (units.value ?? []).flatMap((u) => u.quotes.map((q) => ({ ...q, at: u }))))
const parts = computed(() =>
  wanted.value.flatMap((one) => {
    const at = units.value?.find((u) => u.id === one.unit)
    const line = at?.parts.find((p) => p.part === one.part)
    return at && line ? [{ one, at, line }] : []
  }),
)

function takes(quote: string) {
  return wanted.value.some((one) => one.quote === quote)
}
function toggle(at: string, quote: string) {
  wanted.value = takes(quote)
    ? wanted.value.filter((one) => one.quote !== quote)
    : [...wanted.value, { unit: at, quote }]
}
function add() {
  wanted.value = [...wanted.value, { unit: unit.value, part: part.value, seen: seen.value }]
  part.value = ''
  seen.value = ''
}
function drop(one: WantedElsewhere) {
  wanted.value = wanted.value.filter((other) => other !== one)
}
</script>

<template>
  <fieldset v-if="units?.length" class="beside" data-test="other-units">
    <legend class="h6">{{ tell('otherUnits.alsoOnThisQuote') }}</legend>
    <label v-for="q in quoted" :key="q.id" class="form-check take">
      <input class="form-check-input" type="checkbox" :checked="takes(q.id)" @change="toggle(q.at.id, q.id)" />
      <span>{{
        tell('otherUnits.quote', {
          unit: q.at.label,
          number: q.number,
          way: q.way,
          money: money(q.total, q.at.currency),
        })
      }}</span>
    </label>
    <p v-for="p in parts" :key="`${p.at.id} ${p.line.part}`" class="take">
      <span>
        {{
          tell('otherUnits.part', { unit: p.at.label, part: p.line.label, money: money(p.line.cost, p.at.currency) })
        }}
        <span class="soft">{{ p.one.seen }}</span>
      </span>
      <button type="button" class="key" @click="drop(p.one)">{{ tell('otherUnits.takeOut') }}</button>
    </p>
    <div class="add">
      <select v-model="unit" class="form-select" :aria-label="tell('otherUnits.unit')" @change="part = ''">
        <option value="">{{ tell('otherUnits.wornPartOfAnotherUnit') }}</option>
        <option v-for="u in units" :key="u.id" :value="u.id">{{ u.label }}</option>
      </select>
      <template v-if="chosen">
        <select v-model="part" class="form-select" :aria-label="tell('otherUnits.whichPart')">
          <option value="">{{ tell('otherUnits.whichPart') }}</option>
          <option v-for="p in chosen.parts" :key="p.part" :value="p.part">
            {{ p.label }}, {{ money(p.cost, chosen.currency) }}
          </option>
        </select>
        <input
          v-model="seen"
          class="form-control"
          maxlength="300"
          :aria-label="tell('otherUnits.whatWasSeen')"
          :placeholder="tell('otherUnits.whatWasSeen')"
        />
        <button type="button" class="key" :disabled="!part" data-test="add-part" @click="add">
          {{ tell('otherUnits.add') }}
        </button>
      </template>
    </div>
  </fieldset>
</template>

<style scoped lang="scss">
.beside {
  margin: 1rem 0;
  padding: 0.75rem 0 0;
  border-top: 1px solid var(--line-soft);
}
.take {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  min-height: 48px;
  margin: 0;
}
.take .key {
  margin-left: auto;
  white-space: nowrap;
}
.add {
  display: grid;
  gap: 0.5rem;
  max-width: 28rem;
  margin-top: 0.5rem;
}
.add :is(select, input) {
  min-height: 48px;
}
</style>
