<script setup lang="ts">
import { useBring } from '../api/useBring'
import { percent } from '../visit/format'
import { tell } from '../words/words'

/** What to take to a job, with its chance; silent where nothing stands out or it is not known yet. */
const props = defineProps<{ visit: string }>()
const { data } = useBring(props.visit)
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
