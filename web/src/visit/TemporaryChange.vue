<script setup lang="ts">
import { ref } from 'vue'
import { useHandle } from './handle'

const emit = defineEmits<{ done: [] }>()
const { add } = useHandle()
const what = ref('')
const common = ['jumper at the board', 'door switch held', 'connector pulled']

async function log() {
  if (await add({ kind: 'CHANGE_IN', text: what.value })) emit('done')
}
</script>

<template>
  <form class="change" @submit.prevent="log">
    <p class="caution">
      For a test and for a moment. Limits, rollouts, pressure switches and detectors are never bypassed to run a unit.
    </p>
    <div class="quick">
      <button v-for="c in common" :key="c" type="button" class="key" @click="what = c">{{ c }}</button>
    </div>
    <label for="change-what">What is put in, held or pulled</label>
    <input id="change-what" v-model="what" class="form-control field" maxlength="200" required />
    <button type="submit" class="key next" :disabled="!what.trim()">It is in: start its clock</button>
  </form>
</template>

<style scoped lang="scss">
.change {
  display: grid;
  gap: 0.4rem;
  padding-block: 0.5rem;
}
.quick {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
</style>
