<script setup lang="ts">
import { tell } from '../words/words'
const open = defineModel<boolean>({ required: true })
const keys = [
  [tell('keyHelp.0To9'), tell('keyHelp.typeTheReading')],
  ['O', tell('keyHelp.openTheMeterShowsOl')],
  ['Enter', tell('keyHelp.takeTheReading')],
  ['Backspace', tell('common.takeBackADigit')],
  ['Y, N', tell('keyHelp.answerACheck')],
  ['Space', tell('keyHelp.tapTheLamp')],
  ['C', tell('keyHelp.theCallIsPlacedNow')],
  ['W', tell('keyHelp.whyThisTest')],
  ['?', tell('keyHelp.thisList')],
]
</script>

<template>
  <BModal v-model="open" :title="tell('keyHelp.keys')" no-footer title-tag="h2" title-class="h5">
    <dl class="m-0 keys">
      <template v-for="[key, what] in keys" :key="key">
        <dt class="num">{{ key }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </BModal>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: 8rem 1fr;
}
</style>
