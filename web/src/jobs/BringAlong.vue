<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { answer, api } from '../api/client'
import type { components } from '../api/schema'
import { percent } from '../visit/format'
import { tell } from '../words/words'

/** What to take to a job, with its chance; silent where nothing stands out or it is not known yet. */
const props = defineProps<{ visit: string }>()
const HALF_AN_HOUR = 1_800_000
const { data } = useQuery({
  queryKey: ['bring', props.visit],
  queryFn: () =>
    answer<components['schemas']['Bring'][]>(
      api.GET('/api/visits/{id}/bring', { params: { path: { id: props.visit } } }),
    ),
  staleTime: HALF_AN_HOUR,
})
</script>

<template>
  <span v-if="data?.length" class="soft" data-test="bring"
    >{{ tell('bringAlong.bring') }}
    <span v-for="(p, i) in data" :key="p.label"
      >{{ i ? ' · ' : '' }}{{ p.label }} <span class="num">{{ percent(p.probability) }}</span><strong
        v-if="!p.stocked"
        >{{ ` ${tell('bringAlong.notOnTheVan')}` }}</strong
      ></span
    >
  </span>
</template>
