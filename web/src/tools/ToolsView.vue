<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import TopBar from '../common/TopBar.vue'

const { data } = useQuery({
  queryKey: ['calculators'],
  queryFn: () => answer<components['schemas']['CalculatorLine'][]>(api.GET('/api/tools/calculators')),
})
const own = [
  {
    to: '/tools/economizer',
    name: 'Economizer',
    what: 'Is the air outdoors good enough, how far should the damper stand, what share is really outdoor air.',
  },
  {
    to: '/tools/isolation',
    name: 'Two supplies',
    what: 'Isolation relays between a building and a unit: the wiring list, what each transformer carries, and the proof that they never meet.',
  },
]
const tools = computed(() => [
  ...(data.value ?? []).map((c) => ({ to: `/tools/${c.id}`, name: c.title, what: c.what })),
  ...own,
])
</script>

<template>
  <TopBar title="Tools" />
  <main class="page">
    <h1 class="h4">Tools</h1>
    <p class="soft">They work without a visit.</p>
    <ul class="tools">
      <li v-for="t in tools" :key="t.to">
        <RouterLink :to="t.to"
          ><strong>{{ t.name }}</strong
          ><span class="soft">{{ t.what }}</span></RouterLink
        >
      </li>
    </ul>
  </main>
</template>

<style scoped lang="scss">
.tools {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--line);
}
@media (min-width: 900px) {
  .tools {
    display: grid;
    grid-template-columns: 1fr 1fr;
    column-gap: 2.5rem;
  }
}
.tools a {
  display: grid;
  gap: 0.2rem;
  padding: 0.9rem 0.25rem;
  border-bottom: 1px solid var(--line-soft);
  color: inherit;
  text-decoration: none;
}
.tools strong {
  font-size: 1.25rem;
}
</style>
