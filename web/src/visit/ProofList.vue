<script setup lang="ts">
import type { Verdict } from '../api/client'
import { minutes } from './format'
import { tell } from '../words/words'

defineProps<{ verdict: Verdict; actions?: boolean }>()
const emit = defineEmits<{ choose: [id: string] }>()
</script>

<template>
  <ul class="proof" data-test="proof">
    <li v-for="item in verdict.proof" :key="item.what" :class="{ proven: item.proven }">
      <span class="tick" aria-hidden="true">{{ item.proven ? '■' : '□' }}</span>
      <span
        >{{ item.what
        }}<span class="visually-hidden">{{
          item.proven ? tell('proofList.proven') : tell('proofList.missing')
        }}</span></span
      >
      <button v-if="actions && item.test" type="button" class="key" @click="emit('choose', item.test.id)">
        {{ tell('proofList.doIt', { minutes: minutes(item.test.minutes) }) }}
      </button>
    </li>
  </ul>
</template>

<style scoped lang="scss">
.proof {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 1.4rem 1fr auto;
  align-items: center;
  gap: 0.25rem;
  padding-block: 0.15rem;
}
.proven {
  color: var(--ink-soft);
}
</style>
