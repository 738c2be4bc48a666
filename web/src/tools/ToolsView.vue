<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import TopBar from '../common/TopBar.vue'
import { tell } from '../words/words'

const { data } = useQuery({
  queryKey: ['calculators'],
  queryFn: () => answer<components['schemas']['CalculatorLine'][]>(api.GET('/api/tools/calculators')),
})
const own = [
  {
    to: '/tools/isolation',
    name: tell('common.twoSupplies'),
    what: tell('toolsView.isolationRelaysBetweenABuilding'),
  },
]
const tools = computed(() => [
  ...(data.value ?? []).map((c) => ({ to: `/tools/${c.id}`, name: c.title, what: c.what })),
  ...own,
])
</script>

<template>
  <TopBar :title="tell('common.tools')" />
  <main class="page">
    <h1 class="h4">{{ tell('common.tools') }}</h1>
    <p class="soft">{{ tell('toolsView.theyWorkWithoutAVisit') }}</p>
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
