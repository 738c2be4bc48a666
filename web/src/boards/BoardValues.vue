<script setup lang="ts">
import type { Family } from '../api/client'
import type { Typed } from './draft'

/** Times, fuses and values in which a board differs from its family. */
defineProps<{ family: Family; said: (path: string) => string }>()
const typed = defineModel<Typed>({ required: true })
</script>

<template>
  <details open>
    <summary class="h5">Times, fuses, values</summary>
    <div class="values">
      <div v-for="t in family.timings" :key="t.id">
        <label :for="`t-${t.id}`">{{ t.label }}, s</label>
        <input
          :id="`t-${t.id}`"
          v-model="typed.timings[t.id]"
          class="form-control field num"
          inputmode="decimal"
          :placeholder="String(t.value)"
          :data-test="`timing-${t.id}`"
        />
        <p v-if="said(`/timings/${t.id}`)" class="problem">{{ said(`/timings/${t.id}`) }}</p>
      </div>
      <div v-for="f in family.fuses" :key="f.id">
        <label :for="`f-${f.id}`">{{ f.label }}, A</label>
        <input
          :id="`f-${f.id}`"
          v-model="typed.fuses[f.id]"
          class="form-control field num"
          inputmode="decimal"
          :placeholder="String(f.value)"
        />
        <p v-if="said(`/fuses/${f.id}`)" class="problem">{{ said(`/fuses/${f.id}`) }}</p>
      </div>
      <div v-for="n in family.nominals" :key="n.id">
        <label :for="`n-${n.id}`">{{ n.label }}, {{ n.unit }}</label>
        <div v-if="typed.nominals[n.id]" class="pair">
          <input
            :id="`n-${n.id}`"
            v-model="typed.nominals[n.id]!.value"
            class="form-control field num"
            inputmode="decimal"
            :placeholder="String(Math.round(n.value * 100) / 100)"
          />
          <input
            v-model="typed.nominals[n.id]!.tolerance"
            class="form-control field num"
            inputmode="decimal"
            placeholder="± %"
            :aria-label="`${n.label}: tolerance in percent`"
          />
        </div>
        <p v-if="said(`/nominals/${n.id}`)" class="problem">{{ said(`/nominals/${n.id}`) }}</p>
      </div>
    </div>
  </details>
</template>
