<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ConnectionView from './ConnectionView.vue'
import { useHandle } from './handle'
import LadderSheet from './LadderSheet.vue'
import { useDrawing } from './useDetails'
import { tell } from '../words/words'

/** The diagrams of the unit: a point that is touched is read there. */
const { unit, page, visit } = useHandle()
const route = useRoute()
const router = useRouter()
const moment = ref(typeof route.query.moment === 'string' ? route.query.moment : '')
const kinds = [
  { id: 'ladder', label: tell('drawingView.ladder') },
  { id: 'board', label: tell('drawingView.connections') },
] as const
const kind = ref<(typeof kinds)[number]['id']>('ladder')
const { data: drawing, isPending } = useDrawing(moment)
const next = computed(() => page.value?.next)
const moments = computed(() => unit.value!.moments)
function toReading(net: string) {
  if (!visit.value!.closedAt) router.push({ name: 'work', params: route.params, query: { point: net } })
}
</script>

<template>
  <main class="drawing">
    <header class="bar">
      <h1 class="visually-hidden">{{ tell('drawingView.diagrams') }}</h1>
      <div class="kinds" role="group" :aria-label="tell('drawingView.whichDiagram')">
        <button
          v-for="k in kinds"
          :key="k.id"
          type="button"
          class="key"
          :aria-pressed="kind === k.id"
          :data-test="`kind-${k.id}`"
          @click="kind = k.id"
        >
          {{ k.label }}
        </button>
      </div>
    </header>
    <ConnectionView v-if="kind === 'board'" @pick="toReading" />
    <p v-else-if="isPending" class="soft p-3">{{ tell('common.drawing') }}</p>
    <LadderSheet v-else-if="drawing" :drawing="drawing" :black="next?.black" :red="next?.red" @pick="toReading">
      <label class="pick"
        >{{ tell('common.asInAHealthyUnit') }}
        <select v-model="moment" class="form-select" data-test="moment">
          <option value="">{{ drawing && !moment ? drawing.momentLabel : tell('drawingView.atTheNextTest') }}</option>
          <option v-for="m in moments" :key="m.id" :value="m.id">{{ m.label }}</option>
        </select>
      </label>
    </LadderSheet>
  </main>
</template>

<style scoped lang="scss">
.drawing {
  display: flex;
  flex-direction: column;
  height: calc(100dvh - 98px);
}
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1.25rem;
  padding: 0.4rem 1rem;
  border-bottom: 1px solid var(--line-soft);
}
.kinds {
  display: flex;
  gap: 6px;
}
.kinds [aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.pick {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.pick .form-select {
  width: auto;
  max-width: 16rem;
  min-height: 44px;
}
</style>
