<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandle } from '../visit/handle'
import { useRepairs } from '../visit/useDetails'
import { tell } from '../words/words'

/** A part of the unit beside it, until the new one comes: marked on both until it is back. */
const props = defineProps<{ closed: boolean }>()
const { visit, page, add } = useHandle()
const { data: repairs } = useRepairs()
const part = ref('')
const from = ref('')
const twins = computed(() => visit.value!.twins)
/** What was lent and is not back: its entry still counts. */
const lent = computed(() => page.value!.log.filter((l) => l.counts && l.kind === 'LENT'))
const shown = computed(() => lent.value.length > 0 || (twins.value.length > 0 && !props.closed))
</script>

<template>
  <section v-if="shown" class="lend">
    <h2 class="h5">{{ tell('lendPart.borrowedFromTheNextUnit') }}</h2>
    <p v-for="l in lent" :key="l.id" class="lent">
      <strong>{{ l.found }}</strong>
      <button v-if="!closed" type="button" class="key" @click="add({ kind: 'GIVEN_BACK', supersedes: l.id })">
        {{ tell('lendPart.itIsBack') }}
      </button>
    </p>
    <form v-if="!closed && twins.length" @submit.prevent="add({ kind: 'LENT', part, unit: from })">
      <select v-model="part" class="form-select" :aria-label="tell('common.whichPart')" required>
        <option value="" disabled>{{ tell('lendPart.whichPart') }}</option>
        <option v-for="r in repairs" :key="r.part" :value="r.part">{{ r.label }}</option>
      </select>
      <select v-model="from" class="form-select" :aria-label="tell('lendPart.fromWhichUnit')" required>
        <option value="" disabled>{{ tell('lendPart.fromWhichUnit2') }}</option>
        <option v-for="t in twins" :key="t.id" :value="t.id">{{ t.label }}, {{ t.location }}</option>
      </select>
      <button class="key quiet" type="submit">{{ tell('lendPart.lent') }}</button>
    </form>
  </section>
</template>

<style scoped lang="scss">
.lend {
  margin-top: 1.75rem;
}
form,
.lent {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1rem;
}
.form-select {
  flex: 1 1 12rem;
  min-height: 44px;
}
</style>
