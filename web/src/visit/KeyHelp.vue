<script setup lang="ts">
const open = defineModel<boolean>({ required: true })
const keys = [
  ['0 to 9 . -', 'type the reading'],
  ['O', 'open: the meter shows OL'],
  ['Enter', 'take the reading'],
  ['Backspace', 'take back a digit'],
  ['Y, N', 'answer a check'],
  ['Space', 'tap the lamp'],
  ['C', 'the call is placed now'],
  ['W', 'why this test'],
  ['?', 'this list'],
]
</script>

<template>
  <BModal v-model="open" title="Keys" no-footer title-tag="h2" title-class="h5">
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
