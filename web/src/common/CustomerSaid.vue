<script setup lang="ts">
import { computed } from 'vue'
import { tell } from '../words/words'

/** What a customer can say of a unit, as keys: pressed where it was said. What stands in the complaint comes first. */
export interface Statement {
  test: string
  yes: boolean
  label: string
}
const props = defineProps<{
  all: Statement[]
  understood: Statement[]
  said: (statement: Statement) => boolean
  disabled?: boolean
}>()
const emit = defineEmits<{ toggle: [statement: Statement] }>()
const same = (a: Statement, b: Statement) => a.test === b.test && a.yes === b.yes
const first = computed(() => props.all.filter((s) => props.said(s) || props.understood.some((u) => same(u, s))))
const rest = computed(() => props.all.filter((s) => !first.value.some((f) => same(f, s))))
</script>

<template>
  <div class="said" data-test="customer-said">
    <template v-if="first.length">
      <span id="q-understood">{{ tell('customerSaid.understoodTapWhatIsWrong') }}</span>
      <div class="keys" role="group" aria-labelledby="q-understood" data-test="understood">
        <button
          v-for="s in first"
          :key="s.test + s.yes"
          type="button"
          class="key"
          :data-statement="s.test"
          :aria-pressed="said(s)"
          :disabled="disabled"
          @click="emit('toggle', s)"
        >
          {{ s.label }}
        </button>
      </div>
    </template>
    <details v-if="rest.length" class="more">
      <summary class="key quiet">{{ tell('customerSaid.addWhatTheCustomerNoticed') }}</summary>
      <div class="keys" data-test="more-said">
        <button
          v-for="s in rest"
          :key="s.test + s.yes"
          type="button"
          class="key"
          :data-statement="s.test"
          aria-pressed="false"
          :disabled="disabled"
          @click="emit('toggle', s)"
        >
          {{ s.label }}
        </button>
      </div>
    </details>
  </div>
</template>

<style scoped lang="scss">
.said {
  display: grid;
  gap: 0.5rem;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.keys [aria-pressed='true'] {
  background: var(--paper-2);
  border-width: 4px;
}
.more .keys {
  margin-top: 0.5rem;
}
summary {
  width: fit-content;
  list-style: none;
}
</style>
