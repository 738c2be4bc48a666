<script setup lang="ts">
import { onKeyStroke, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useHandle } from './handle'

const props = defineProps<{ board: string }>()
const { add, problem } = useHandle()
const MOST = 500
const taps = ref<number[]>([])
const now = ref(0)
const started = ref(0)
const lit = ref(false)
useIntervalFn(() => (now.value = performance.now() / 1000), 60)

const relative = computed(() => taps.value.map((t) => t - (taps.value[0] ?? 0)))
const window = 12
const shown = computed(() => {
  const head = taps.value.length ? now.value - taps.value[0]! : 0
  const from = Math.max(0, head - window)
  return relative.value.filter((t) => t >= from).map((t) => ((t - from) / window) * 600)
})

function tap() {
  const at = performance.now() / 1000
  if (taps.value.length === 0) started.value = at
  if (taps.value.length < MOST + 1) taps.value = [...taps.value, at]
  lit.value = true
  setTimeout(() => (lit.value = false), 120)
}

async function read() {
  if (await add({ kind: 'TAPS', board: props.board, taps: relative.value.map((t) => Math.round(t * 1000) / 1000) }))
    taps.value = []
}

onKeyStroke(' ', (event) => {
  if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT|A)$/.test(event.target.tagName)) return
  if (event.target instanceof HTMLButtonElement && event.target.dataset.pad === undefined) return
  event.preventDefault()
  if (!event.repeat) tap()
})
</script>

<template>
  <section aria-labelledby="tap-title">
    <h2 id="tap-title" class="h5">Tap the lamp</h2>
    <p class="soft">One tap for each flash, for two or three rounds. Thumb, or space bar.</p>
    <button type="button" class="pad" :class="{ lit }" data-pad="lamp" data-test="tap" @pointerdown.prevent="tap">
      <svg viewBox="0 0 600 60" preserveAspectRatio="none" aria-hidden="true">
        <line x1="0" y1="55" x2="600" y2="55" stroke="currentColor" stroke-width="2" />
        <line v-for="(x, i) in shown" :key="i" :x1="x" y1="10" :x2="x" y2="55" stroke="currentColor" stroke-width="5" />
      </svg>
      <span>{{ taps.length === 0 ? 'tap here with each flash' : `${taps.length} taps` }}</span>
    </button>
    <p v-if="problem && problem.field === 'taps'" class="problem" role="alert">{{ problem.message }}</p>
    <div class="d-flex gap-2 mt-2">
      <button
        type="button"
        class="key next flex-fill"
        :disabled="taps.length === 0"
        data-test="read-lamp"
        @click="read"
      >
        Read the lamp
      </button>
      <button type="button" class="key" :disabled="taps.length === 0" @click="taps = []">Clear</button>
    </div>
  </section>
</template>

<style scoped lang="scss">
.pad {
  width: 100%;
  min-height: 140px;
  border: 2px solid var(--line);
  background: var(--paper-2);
  color: var(--ink);
  display: grid;
  place-items: center;
  font-weight: 700;
  font-size: 1.125rem;
  touch-action: manipulation;
  user-select: none;
}
.pad.lit {
  background: var(--ink);
  color: var(--paper);
}
svg {
  width: 100%;
  height: 60px;
}
</style>
