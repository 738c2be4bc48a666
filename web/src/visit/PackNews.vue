<script setup lang="ts">
import { ref } from 'vue'
import type { Visit } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { useHandle } from './handle'
import { tell } from '../words/words'

defineProps<{ differences: NonNullable<Visit['newerPack']> }>()
const { visit, goOver } = useHandle()
const open = ref(false)
const { problem, busy, attempt } = useAttempt()
const words = { ADDED: tell('packNews.new'), CHANGED: tell('packNews.changed'), TAKEN_OUT: tell('packNews.takenOut') }
</script>

<template>
  <section v-if="!visit!.closedAt" class="news" :aria-label="tell('packNews.aNewerPack')" data-test="pack-news">
    <p>
      <strong>{{ tell('packNews.theEquipmentDataOfThis') }}</strong> {{ tell('packNews.theVisitKeepsTheOld') }}
    </p>
    <button type="button" class="key quiet" :aria-expanded="open" @click="open = !open">
      {{ tell('packNews.whatDiffers', { count: differences.length }) }}
    </button>
    <button type="button" class="key" :disabled="busy" data-test="go-over" @click="attempt(goOver)">
      {{ tell('packNews.useTheNewerData') }}
    </button>
    <ul v-if="open">
      <li v-for="d in differences" :key="`${d.section}/${d.name}`">
        {{ d.section }}<template v-if="d.name">: {{ d.name }}</template> <span class="soft">{{ words[d.kind] }}</span>
      </li>
    </ul>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.news {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.25rem 1rem;
  padding: 0.35rem 1rem;
  border-bottom: 2px solid var(--line);
  background: var(--paper-2);
}
p {
  margin: 0;
  flex: 1 1 20rem;
}
ul {
  flex: 1 1 100%;
  columns: 3 14rem;
  margin: 0;
}
</style>
