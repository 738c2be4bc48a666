<script setup lang="ts">
import { useHandle } from './handle'
import { tell } from '../words/words'

/** What a person may find at any time, whatever was asked. */
const { unit, add } = useHandle()
const emit = defineEmits<{ done: [] }>()

async function stop(finding: string) {
  if (await add({ kind: 'STOPPED', finding } as Parameters<typeof add>[0])) emit('done')
}
</script>

<template>
  <aside class="dangers no-print" :aria-label="tell('dangerList.dangerFound')">
    <ul data-test="dangers">
      <li v-for="d in unit!.dangers" :key="d.finding">
        <button type="button" class="key" :data-test="`danger-${d.finding}`" @click="stop(d.finding)">
          {{ d.what }}
        </button>
      </li>
    </ul>
    <button type="button" class="key quiet" @click="emit('done')">{{ tell('dangerList.noneOfThese') }}</button>
  </aside>
</template>

<style scoped lang="scss">
.dangers {
  padding: 0.5rem 1rem 1rem;
  border-bottom: 4px double var(--danger);
}
ul {
  list-style: none;
  margin: 0 0 0.35rem;
  padding: 0;
  display: grid;
  gap: 0.35rem;
  max-width: 44rem;
}
li .key {
  width: 100%;
  justify-content: flex-start;
  text-align: left;
}
</style>
