<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useHandle } from './handle'
import { useRepairs } from './useDetails'
import { tell } from '../words/words'

/** What somebody else changed for this complaint, on a visit that this program does not have. */
const { page, add, visit } = useHandle()
const { data: parts } = useRepairs()
const told = computed(() => page.value?.log.filter((l) => l.counts && l.kind === 'VISITED').at(-1))
const ago = [
  { label: tell('workedBefore.todayOrYesterday'), days: 1 },
  { label: tell('workedBefore.thisWeek'), days: 5 },
  { label: tell('workedBefore.thisMonth'), days: 20 },
  { label: tell('workedBefore.longerAgo'), days: 90 },
]
const days = ref<number | null>(null)
const part = ref('')
const same = ref<boolean | null>(null)
watch(told, (now) => {
  if (!now) {
    days.value = null
    same.value = null
  }
})
function keep() {
  add({
    kind: 'VISITED',
    days: days.value!,
    part: part.value || undefined,
    reset: false,
    same: same.value === true,
    supersedes: told.value?.id,
  })
}
</script>

<template>
  <details class="worked" data-test="worked-before">
    <summary class="h5">{{ tell('workedBefore.didSomeoneWorkOnIt') }}</summary>
    <p v-if="told" role="status">
      <strong>{{ told.what }}:</strong> {{ told.found }}
      <button
        v-if="!visit!.closedAt"
        type="button"
        class="key quiet"
        @click="add({ kind: 'TAKE_BACK', supersedes: told.id })"
      >
        {{ tell('common.takeBack') }}
      </button>
    </p>
    <template v-if="!visit!.closedAt">
      <div class="answers" role="group" :aria-label="tell('common.when')">
        <button
          v-for="a in ago"
          :key="a.days"
          type="button"
          class="key"
          :aria-pressed="days === a.days"
          @click="days = a.days"
        >
          {{ a.label }}
        </button>
      </div>
      <label for="worked-part">{{ tell('workedBefore.whatWasChanged') }}</label>
      <select id="worked-part" v-model="part" class="form-select field">
        <option value="">{{ tell('workedBefore.nothingOrNotKnown') }}</option>
        <option v-for="p in parts ?? []" :key="p.part" :value="p.part">{{ p.label }}</option>
      </select>
      <div class="answers" role="group" aria-labelledby="q-same-as-before">
        <span id="q-same-as-before">{{ tell('workedBefore.doesItFailTheSame') }}</span>
        <button
          v-for="yes in [true, false]"
          :key="String(yes)"
          type="button"
          class="key"
          :aria-pressed="same === yes"
          @click="same = yes"
        >
          {{ yes ? tell('common.yes') : tell('common.no') }}
        </button>
      </div>
      <button
        type="button"
        class="key"
        data-test="worked-tell"
        :disabled="days === null || same === null"
        @click="keep()"
      >
        {{ tell('common.keepIt') }}
      </button>
    </template>
  </details>
</template>

<style scoped lang="scss">
.worked summary {
  min-height: 44px;
  cursor: pointer;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin-block: 0.5rem;
}
.answers [aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
</style>
