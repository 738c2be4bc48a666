<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Outcome } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { useHandle } from './handle'
import { outcomes } from './outcomes'
import { useRepairs } from './useDetails'
import { tell } from '../words/words'

/** What still speaks against closing it as fixed. */
defineProps<{ blocks: string[] }>()
const { add, close, page, problem: refused } = useHandle()
const { data: repairs } = useRepairs()
const route = useRoute()
const router = useRouter()
/** A new unit is handed over; any other is fixed. */
const isNew = computed(() => (page.value?.log ?? []).some((l) => l.counts && l.kind === 'NEW_UNIT'))
const possible = computed(() =>
  (Object.keys(outcomes) as Outcome[]).filter((how) => how !== (isNew.value ? 'FIXED' : 'COMMISSIONED')),
)
/** Nobody presses on by habit: how it ended is said each time. */
const outcome = ref<Outcome | null>(null)
const decided = ref('')
/** Begun with what was repaired; changed or carried on as it was. */
watch(outcome, (how) => {
  if (how === 'FIXED' && !decided.value)
    decided.value = (page.value?.log ?? [])
      .filter((l) => l.counts && l.kind === 'REPAIRED')
      .map((l) => `${l.what}: ${l.found}.`)
      .join(' ')
})
/** The part of a second trip. */
const ordered = ref('')
const { problem, busy: closing, attempt } = useAttempt()

async function end() {
  const how = outcome.value
  if (!how) return
  await attempt(async () => {
    if (how === 'PART_ORDERED' && !(await add({ kind: 'ORDERED', part: ordered.value })))
      throw new Error(refused.value?.message ?? tell('closeVisit.theOrderWasNotKept'))
    await close(how, decided.value)
    await router.push({ name: 'report', params: route.params })
  })
}
</script>

<template>
  <form class="close" @submit.prevent="end">
    <h2 class="h5">{{ tell('closeVisit.closeTheVisit') }}</h2>
    <div class="outcomes" role="radiogroup" :aria-label="tell('closeVisit.howItEnded')">
      <label
        v-for="key in possible"
        :key="key"
        class="key"
        :class="{ on: outcome === key }"
        :data-test="`outcome-${key}`"
      >
        <input v-model="outcome" type="radio" name="outcome" :value="key" /> {{ outcomes[key].choice }}
      </label>
    </div>
    <div v-if="(outcome === 'FIXED' || outcome === 'COMMISSIONED') && blocks.length" data-test="blocks">
      <p v-for="b in blocks" :key="b" class="problem mb-0">{{ b }}.</p>
    </div>
    <div v-if="outcome === 'PART_ORDERED'" class="mt-2">
      <label for="ordered"
        ><strong>{{ tell('common.whichPart') }}</strong></label
      >
      <select id="ordered" v-model="ordered" class="form-select field" required data-test="ordered">
        <option v-for="r in repairs" :key="r.part" :value="r.part" :disabled="!r.orderable">
          {{ r.label }}{{ r.orderable ? '' : tell('closeVisit.notProven') }}
        </option>
      </select>
    </div>
    <label for="decided" class="mt-2"
      ><strong>{{ tell('closeVisit.whatWasDone') }}</strong></label
    >
    <BFormTextarea id="decided" v-model="decided" class="field" rows="3" maxlength="4000" required />
    <p v-if="!outcome" class="soft">{{ tell('closeVisit.chooseHowItEnded') }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <button
      type="submit"
      class="key next mt-2"
      :disabled="
        !decided.trim() ||
        !outcome ||
        closing ||
        (outcome === 'PART_ORDERED' && !ordered) ||
        (outcome === 'FIXED' && blocks.length > 0)
      "
      data-test="close"
    >
      {{ closing ? tell('closeVisit.savingWhatWasEntered') : tell('closeVisit.closeTheVisit') }}
    </button>
  </form>
</template>

<style scoped lang="scss">
.close {
  border-top: 2px solid var(--line);
  margin-top: 1.5rem;
  padding-top: 1rem;
}
.outcomes {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.outcomes .on {
  background: var(--paper-2);
  border-width: 4px;
}
.close .next {
  min-height: 56px;
  width: 100%;
}
</style>
