<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandle } from '../visit/handle'
import { useRepairs } from '../visit/useDetails'

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
    <h2 class="h5">Borrowed from the next unit</h2>
    <p v-for="l in lent" :key="l.id" class="lent">
      <strong>{{ l.found }}</strong>
      <button v-if="!closed" type="button" class="key" @click="add({ kind: 'GIVEN_BACK', supersedes: l.id })">
        It is back
      </button>
    </p>
    <form v-if="!closed && twins.length" @submit.prevent="add({ kind: 'LENT', part, unit: from })">
      <select v-model="part" class="form-select" aria-label="Which part" required>
        <option value="" disabled>which part</option>
        <option v-for="r in repairs" :key="r.part" :value="r.part">{{ r.label }}</option>
      </select>
      <select v-model="from" class="form-select" aria-label="From which unit" required>
        <option value="" disabled>from which unit</option>
        <option v-for="t in twins" :key="t.id" :value="t.id">{{ t.label }}, {{ t.location }}</option>
      </select>
      <button class="key quiet" type="submit">Lent</button>
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
