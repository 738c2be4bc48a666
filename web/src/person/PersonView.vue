<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { reactive, ref, watch } from 'vue'
import { answer, api, Problem } from '../api/client'
import { useMe } from '../api/useMe'
import TopBar from '../common/TopBar.vue'
import { languages, read, reader, tagOf, tell, type Language } from '../words/words'

/** What a person chooses for themselves; it goes with them to any device. */
const { me } = useMe()
const queries = useQueryClient()
const chosen = reactive<{ language: Language; metric: boolean; hand: 'RIGHT' | 'LEFT' }>({ ...reader(), hand: 'RIGHT' })
watch(
  () => me.data.value?.hand,
  (hand) => {
    if (hand) chosen.hand = hand
  },
  { immediate: true },
)
const units = [
  { metric: false, says: tell('personView.us') },
  { metric: true, says: tell('personView.metric') },
]
const hands = [
  { hand: 'RIGHT' as const, says: tell('personView.right') },
  { hand: 'LEFT' as const, says: tell('personView.left') },
]
const said = ref('')
async function save() {
  try {
    await answer(api.PUT('/api/me', { body: { locale: tagOf(chosen), hand: chosen.hand } }))
    said.value = tell('personView.saved')
    await queries.invalidateQueries()
    read(tagOf(chosen))
  } catch (problem) {
    said.value = problem instanceof Problem ? problem.message : String(problem)
  }
}
</script>

<template>
  <TopBar :title="tell('personView.you')" />
  <main class="page you">
    <h1 class="h4">{{ me.data.value?.name ?? tell('personView.you') }}</h1>
    <form @submit.prevent="save">
      <fieldset>
        <legend class="h5">{{ tell('personView.language') }}</legend>
        <label v-for="(name, id) in languages" :key="id" class="choice"
          ><input v-model="chosen.language" type="radio" name="language" :value="id" :data-test="`language-${id}`" />
          {{ name }}</label
        >
        <p class="soft">{{ tell('personView.draft') }}</p>
      </fieldset>
      <fieldset>
        <legend class="h5">{{ tell('personView.units') }}</legend>
        <label v-for="u in units" :key="u.says" class="choice"
          ><input
            v-model="chosen.metric"
            type="radio"
            name="units"
            :value="u.metric"
            :data-test="`metric-${u.metric}`"
          />
          {{ u.says }}</label
        >
        <p class="soft">{{ tell('personView.either') }}</p>
      </fieldset>
      <fieldset>
        <legend class="h5">{{ tell('personView.hand') }}</legend>
        <label v-for="h in hands" :key="h.hand" class="choice"
          ><input v-model="chosen.hand" type="radio" name="hand" :value="h.hand" :data-test="`hand-${h.hand}`" />
          {{ h.says }}</label
        >
      </fieldset>
      <button type="submit" class="key next wide" data-test="save-me">{{ tell('personView.save') }}</button>
      <p role="status" data-test="saved-me">{{ said }}</p>
    </form>
  </main>
</template>

<style scoped lang="scss">
.you {
  max-width: 36rem;
}
fieldset {
  margin-bottom: 1rem;
}
.choice {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
</style>
