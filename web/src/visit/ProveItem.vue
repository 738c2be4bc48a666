<script setup lang="ts">
import type { components } from '../api/schema'
import { tell } from '../words/words'

/** One thing that proves the repair: what is expected and what was seen. A tap brings it under the keys. */
defineProps<{ item: components['schemas']['Item']; current: boolean; closed: boolean }>()
const emit = defineEmits<{ choose: [] }>()
const marks = { GOOD: '✓', MISSING: '…', BAD: '▲' }
const words = { GOOD: tell('proveItem.shown'), MISSING: tell('proveItem.missing'), BAD: tell('proveItem.notSo') }
</script>

<template>
  <li :class="[item.state.toLowerCase(), { current }]" :data-test="`prove-${item.id}`">
    <button type="button" :disabled="closed" :aria-current="current ? 'step' : undefined" @click="emit('choose')">
      <span class="sign" aria-hidden="true">{{ marks[item.state] }}</span>
      <span class="what">{{ item.what }}</span>
      <span class="soft"
        ><span class="visually-hidden">{{ words[item.state] }}. </span>{{ tell('common.expected', { value: item.due })
        }}<template v-if="item.found"
          >; <strong>{{ item.found }}</strong></template
        ></span
      >
    </button>
  </li>
</template>

<style scoped lang="scss">
li {
  border-bottom: 1px solid var(--line-soft);
}
button {
  display: grid;
  grid-template-columns: 2rem 1fr;
  gap: 0 0.75rem;
  width: 100%;
  min-height: 52px;
  padding: 0.35rem 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
}
.sign {
  grid-row: span 2;
  align-self: center;
  font-size: 1.5rem;
  font-weight: 700;
  text-align: center;
}
.missing .what,
.bad .what {
  font-weight: 700;
}
.bad .sign {
  color: var(--danger);
}
.current button {
  background: var(--paper-2);
  box-shadow: inset 8px 0 0 var(--next);
}
.current .sign {
  padding-left: 6px;
}
</style>
