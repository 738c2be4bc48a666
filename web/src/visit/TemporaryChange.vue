<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandle } from './handle'
import { useChanges } from './useDetails'
import { tell } from '../words/words'

const emit = defineEmits<{ done: [] }>()
const { add } = useHandle()
const { data: changes } = useChanges()
const typed = ref('')
const shown = computed(() =>
  (changes.value ?? []).filter((c) => c.what.toLowerCase().includes(typed.value.trim().toLowerCase())),
)

async function log(id: string) {
  if (await add({ kind: 'CHANGE_IN', test: id })) emit('done')
}
</script>

<template>
  <section class="change" aria-labelledby="change-title">
    <h3 id="change-title" class="h6 m-0">{{ tell('temporaryChange.temporaryChange') }}</h3>
    <p class="caution">
      {{ tell('temporaryChange.forOneTestForA') }}
    </p>
    <label for="change-what">{{ tell('temporaryChange.searchTheList') }}</label>
    <input id="change-what" v-model="typed" class="form-control field" maxlength="60" type="search" />
    <ul class="list" data-test="changes-allowed">
      <li v-for="c in shown" :key="c.id">
        <button type="button" class="key" @click="log(c.id)">{{ c.what }}</button>
      </li>
    </ul>
    <p v-if="changes && !shown.length" class="soft">{{ tell('temporaryChange.nothingMatchesOnlyWhatThe') }}</p>
  </section>
</template>

<style scoped lang="scss">
.change {
  display: grid;
  gap: 0.4rem;
  padding-block: 0.5rem;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.35rem;
  max-height: 40vh;
  overflow: auto;
}
.list .key {
  width: 100%;
  justify-content: flex-start;
  text-align: left;
  font-weight: 400;
}
</style>
