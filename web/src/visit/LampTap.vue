<script setup lang="ts">
import { onKeyStroke, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useHandle } from './handle'
import { tell } from '../words/words'
import { isTyping } from '../common/typing'

const props = defineProps<{ board: string; marks: string[] }>()
const { add, problem } = useHandle()
const MOST = 500
interface Tap {
  at: number
  until: number | null
  mark: string
}
const taps = ref<Tap[]>([])
const now = ref(0)
const pads = computed(() => (props.marks.length ? props.marks : ['']))
useIntervalFn(() => (now.value = performance.now() / 1000), 60)

const window = 12
const shown = computed(() => {
  const start = taps.value[0]?.at ?? 0
  const from = Math.max(start, now.value - window)
  const x = (t: number) => ((t - from) / window) * 600
  return taps.value
    .filter((t) => (t.until ?? now.value) >= from)
    .map((t) => ({ mark: t.mark, x: x(t.at), width: Math.max(5, x(t.until ?? now.value) - x(t.at)) }))
})
const down = computed(() => taps.value.find((t) => t.until === null)?.mark)

/** Times are those of the touch itself: a slow telephone handles it late. */
function press(mark: string, event: Event) {
  release(event)
  if (taps.value.length <= MOST) taps.value = [...taps.value, { at: event.timeStamp / 1000, until: null, mark }]
}
function release(event: Event) {
  const at = event.timeStamp / 1000
  if (taps.value.some((t) => t.until === null))
    taps.value = taps.value.map((t) => (t.until === null ? { ...t, until: at } : t))
}

async function read(event: Event) {
  release(event)
  const start = taps.value[0]?.at ?? 0
  const round = (t: number) => Math.round(t * 1000) / 1000
  const entry = {
    kind: 'TAPS' as const,
    board: props.board,
    taps: taps.value.map((t) => round(t.at - start)),
    holds: taps.value.map((t) => round((t.until ?? t.at) - t.at)),
    marks: props.marks.length ? taps.value.map((t) => t.mark) : undefined,
  }
  if (await add(entry)) taps.value = []
}

/** Space taps the first lamp, the digits the others. */
function keyed(event: KeyboardEvent): string | undefined {
  const target = event.target as HTMLElement
  if (isTyping(event) || target.tagName === 'A') return undefined
  if (target instanceof HTMLButtonElement && target.dataset.pad === undefined) return undefined
  return event.key === ' ' ? pads.value[0] : pads.value[Number(event.key) - 1]
}
onKeyStroke(true, (event) => {
  const mark = keyed(event)
  if (mark === undefined || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  if (!event.repeat) press(mark, event)
})
onKeyStroke(
  true,
  (event) => {
    if (keyed(event) !== undefined) release(event)
  },
  { eventName: 'keyup' },
)
</script>

<template>
  <section aria-labelledby="tap-title">
    <h2 id="tap-title" class="visually-hidden">{{ tell('lampTap.tapTheLamp') }}</h2>
    <p class="soft">
      {{
        tell('lampTap.oneTapForEachFlash', {
          bar: pads.length > 1 ? tell('lampTap.spaceAndTheDigits') : tell('lampTap.spaceBar'),
        })
      }}
    </p>
    <div class="pads">
      <button
        v-for="(mark, i) in pads"
        :key="mark"
        type="button"
        class="pad"
        :class="{ lit: down === mark }"
        :data-pad="mark || 'lamp'"
        :data-test="i === 0 ? 'tap' : `tap-${i + 1}`"
        @pointerdown.prevent="press(mark, $event)"
        @pointerup="release"
        @pointerleave="release"
        @contextmenu.prevent
      >
        <span v-if="mark">{{ /^\d/.test(mark) ? tell('lampTap.lamp', { mark }) : mark }}</span>
        <span v-else>{{
          taps.length === 0 ? tell('lampTap.tapHereWithEachFlash') : tell('lampTap.taps', { count: taps.length })
        }}</span>
        <kbd v-if="pads.length > 1">{{ i === 0 ? tell('lampTap.space') : i + 1 }}</kbd>
      </button>
    </div>
    <svg class="tape" viewBox="0 0 600 46" preserveAspectRatio="none" aria-hidden="true">
      <line x1="0" y1="43" x2="600" y2="43" stroke="currentColor" stroke-width="2" />
      <rect v-for="(t, i) in shown" :key="i" :x="t.x" y="8" :width="t.width" height="35" fill="currentColor" />
    </svg>
    <p v-if="problem && problem.field === 'taps'" class="problem" role="alert">{{ problem.message }}</p>
    <div class="d-flex gap-2 mt-2">
      <button
        type="button"
        class="key next flex-fill"
        :disabled="taps.length === 0"
        data-test="read-lamp"
        @click="read"
      >
        {{ tell('lampTap.readTaps', { count: taps.length }) }}
      </button>
      <button type="button" class="key" :disabled="taps.length === 0" @click="taps = []">
        {{ tell('lampTap.clear') }}
      </button>
    </div>
  </section>
</template>

<style scoped lang="scss">
.pads {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
  gap: 6px;
}
.pad {
  min-height: 110px;
  border: 2px solid var(--line);
  background: var(--paper-2);
  color: var(--ink);
  display: grid;
  place-items: center;
  align-content: center;
  gap: 0.5rem;
  font-weight: 700;
  font-size: 1.125rem;
  touch-action: none;
  user-select: none;
}
.pad.lit {
  background: var(--ink);
  color: var(--paper);
}
.pad kbd {
  background: none;
  border: 1px solid currentColor;
  color: inherit;
}
.tape {
  width: 100%;
  height: 46px;
  margin-top: 6px;
}
</style>
