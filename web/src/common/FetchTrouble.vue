<script setup lang="ts">
import { useTrouble } from '../api/useTrouble'
import { tell } from '../words/words'

const { says, busy, again } = useTrouble()
</script>

<template>
  <div v-if="says" class="trouble no-print" role="alert" data-test="trouble">
    <p class="problem">{{ tell('fetchTrouble.partOfThisScreenDid', { says }) }}</p>
    <button type="button" class="key" :disabled="busy" @click="again">
      {{ busy ? tell('common.asking') : tell('common.tryAgain') }}
    </button>
  </div>
</template>

<style scoped lang="scss">
.trouble {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.25rem 1rem;
  padding: 0.25rem 1rem;
  border-bottom: 2px solid var(--line);
}
</style>
