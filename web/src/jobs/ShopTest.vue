<script setup lang="ts">
import { answer, api } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { tell } from '../words/words'

/** What a shop found of a board that came back from a visit. */
const props = defineProps<{ visit: string; found?: string }>()
const emit = defineEmits<{ kept: [] }>()
const { attempt, busy, problem } = useAttempt()
const WORDS = { BAD: tell('shopTest.theShopFoundItBad'), SOUND: tell('shopTest.theShopFoundItSound') } as const
type Found = keyof typeof WORDS
function keep(found: Found) {
  return attempt(async () => {
    await answer(api.PUT('/api/visits/{id}/shop-test', { params: { path: { id: props.visit } }, body: { found } }))
    emit('kept')
  })
}
</script>

<template>
  <span class="shop" role="group" :aria-label="tell('shopTest.benchTest')">
    <span v-if="found" class="soft">{{ WORDS[found as Found] }}</span>
    <template v-for="(words, one) in WORDS" :key="one">
      <button v-if="one !== found" class="key small" type="button" :disabled="busy" @click="keep(one)">
        {{ found ? `${tell('shopTest.no')} ` : '' }}{{ words }}
      </button>
    </template>
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped lang="scss">
.shop {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-top: 0.25rem;
}
</style>
