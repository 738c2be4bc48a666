<script setup lang="ts">
import { ref } from 'vue'
import { useHandle } from './handle'

/** What a person may find at any time, whatever was asked. */
const { unit, add } = useHandle()
const open = ref(false)

async function stop(finding: string) {
  if (await add({ kind: 'STOPPED', finding } as Parameters<typeof add>[0])) open.value = false
}
</script>

<template>
  <aside class="danger no-print" aria-label="Danger">
    <button type="button" class="key" data-test="danger" :aria-expanded="open" @click="open = !open">
      Danger found
    </button>
    <ul v-if="open" data-test="dangers">
      <li v-for="d in unit!.dangers" :key="d.finding">
        <button type="button" class="key" :data-test="`danger-${d.finding}`" @click="stop(d.finding)">
          {{ d.what }}
        </button>
      </li>
    </ul>
  </aside>
</template>

<style scoped lang="scss">
.danger {
  padding: 0.5rem 1rem 1rem;
}
.danger > .key {
  border-color: var(--danger);
  color: var(--danger);
}
ul {
  list-style: none;
  margin: 0.5rem 0 0;
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
@media (max-width: 900px) {
  .danger {
    padding: 0.25rem 0.6rem;
  }
}
</style>
