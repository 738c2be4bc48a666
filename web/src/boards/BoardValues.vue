<script setup lang="ts">
import { computed } from 'vue'
import type { Family } from '../api/client'
import type { Typed } from './draft'
import { tell } from '../words/words'

/** Times, fuses and values in which a board differs from its family. */
const props = defineProps<{ family: Family; said: (path: string) => string }>()
const typed = defineModel<Typed>({ required: true })
const orders = {
  POWER_THEN_CALL: tell('boardValues.powerFirstThenTheCall'),
  CALL_THEN_POWER: tell('boardValues.callFirstThenPower'),
}
/** What is one number and no more. */
const plain = computed(() => [
  ...props.family.timings.map((f) => ({ ...f, group: 'timings' as const, test: 'timing', unit: 's' })),
  ...props.family.fuses.map((f) => ({ ...f, group: 'fuses' as const, test: 'fuse', unit: 'A' })),
])
</script>

<template>
  <details open>
    <summary class="h5">{{ tell('boardValues.timesFusesValues') }}</summary>
    <div class="values">
      <div v-for="f in plain" :key="f.group + f.id">
        <label :for="`${f.group}-${f.id}`">{{ f.label }}, {{ f.unit }}</label>
        <input
          :id="`${f.group}-${f.id}`"
          v-model="typed[f.group][f.id]"
          class="form-control field num"
          inputmode="decimal"
          :placeholder="String(f.value)"
          :data-test="`${f.test}-${f.id}`"
        />
        <p v-if="said(`/${f.group}/${f.id}`)" class="problem">{{ said(`/${f.group}/${f.id}`) }}</p>
      </div>
      <div v-if="family.call" class="pair">
        <div>
          <label for="call-order">{{ tell('boardValues.powerAndCall') }}</label>
          <select id="call-order" v-model="typed.call.order" class="form-select field" data-test="call-order">
            <option value="">{{ tell('boardValues.asUsual', { order: orders[family.call.order] }) }}</option>
            <option v-for="(label, order) in orders" :key="order" :value="order">{{ label }}</option>
          </select>
        </div>
        <div>
          <label for="call-why">{{ tell('boardValues.whyInThisOrder') }}</label>
          <input
            id="call-why"
            v-model="typed.call.why"
            class="form-control field"
            maxlength="200"
            :placeholder="family.call.why"
          />
        </div>
        <p v-if="said('/call')" class="problem">{{ said('/call') }}</p>
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
            :aria-label="tell('boardValues.toleranceInPercent', { label: n.label })"
          />
        </div>
        <p v-if="said(`/nominals/${n.id}`)" class="problem">{{ said(`/nominals/${n.id}`) }}</p>
      </div>
    </div>
  </details>
  <details v-if="family.limits.length">
    <summary class="h5">{{ tell('boardValues.limitsAfterARepair') }}</summary>
    <div class="values">
      <div v-for="l in family.limits" :key="l.id">
        <label :for="`l-${l.id}`">{{ l.label }}</label>
        <div v-if="typed.limits[l.id]" class="pair">
          <input
            :id="`l-${l.id}`"
            v-model="typed.limits[l.id]!.least"
            class="form-control field num"
            inputmode="decimal"
            :placeholder="l.least == null ? '' : String(l.least)"
            :aria-label="tell('boardValues.atLeast', { label: l.label })"
            :data-test="`least-${l.id}`"
          />
          <input
            v-model="typed.limits[l.id]!.most"
            class="form-control field num"
            inputmode="decimal"
            :placeholder="l.most == null ? '' : String(l.most)"
            :aria-label="tell('boardValues.atMost', { label: l.label })"
            :data-test="`most-${l.id}`"
          />
        </div>
        <p v-if="said(`/limits/${l.id}`)" class="problem">{{ said(`/limits/${l.id}`) }}</p>
      </div>
    </div>
  </details>
  <details v-if="family.boards.length">
    <summary class="h5">{{ tell('boardValues.inHand') }}</summary>
    <div v-for="b in family.boards" :key="b.part">
      <label :for="`h-${b.part}`">{{ b.label }}</label>
      <textarea
        :id="`h-${b.part}`"
        v-model="typed.handling[b.part]"
        class="form-control field"
        rows="4"
        :placeholder="b.handling.join('\n') || tell('boardValues.aLineEach')"
        :data-test="`handling-${b.part}`"
      />
      <p v-if="said(`/handling/${b.part}`)" class="problem">{{ said(`/handling/${b.part}`) }}</p>
    </div>
  </details>
</template>
