<script setup lang="ts">
import type { ConnectionPlace } from '../api/client'
import { conductorColour } from './conductor'
import { useConnections } from './useDetails'
import { tell } from '../words/words'

/** Each board as it sits: terminals at its left edge, plugs at its right, and where each conductor goes. */
const emit = defineEmits<{ pick: [net: string] }>()
const { data: boards, isPending } = useConnections()
const goes = (p: ConnectionPlace) =>
  p.leads.map((l) => [l.by, l.to].filter(Boolean).join(` ${tell('common.to2')} `)).join('; ')
</script>

<template>
  <div class="boards" data-test="connections">
    <p v-if="isPending" class="soft">{{ tell('common.drawing') }}</p>
    <p v-else-if="!boards?.length" class="soft">{{ tell('connectionView.noBoardWiringToShow') }}</p>
    <section v-for="b in boards" :key="b.board" class="one" :aria-label="b.board">
      <ul class="edge">
        <li v-for="t in b.terminals" :key="t.net">
          <button type="button" :data-test="`terminal-${t.net}`" @click="emit('pick', t.net)">
            <span class="goes">{{ goes(t) }}</span>
            <span class="wire" :style="{ background: conductorColour(t.colour) }" :title="t.colour"></span>
            <strong>{{ t.label }}</strong>
          </button>
        </li>
      </ul>
      <h2 class="h5">{{ b.board }}</h2>
      <div class="plugs">
        <section v-for="p in b.plugs" :key="p.id" :aria-label="p.label">
          <h3 class="eyebrow">{{ p.label.startsWith(p.id) ? p.label : `${p.id} · ${p.label}` }}</h3>
          <ul class="edge right">
            <li v-for="t in p.pins" :key="t.net">
              <button type="button" @click="emit('pick', t.net)">
                <strong>{{ t.label }}</strong>
                <span class="wire" :style="{ background: conductorColour(t.colour) }" :title="t.colour"></span>
                <span class="goes">{{ goes(t) }}</span>
              </button>
            </li>
          </ul>
        </section>
      </div>
    </section>
  </div>
</template>

<style scoped lang="scss">
.boards {
  flex: 1 1 0;
  overflow-y: auto;
  padding: 1rem;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 4fr) minmax(8rem, 1fr) minmax(0, 5fr);
  max-width: 90rem;
  margin-bottom: 2rem;
}
.one > h2 {
  grid-row: 1;
  grid-column: 2;
  margin: 0;
  padding: 1rem 0.5rem;
  text-align: center;
  border: 3px solid var(--line);
  background: var(--paper-2);
}
.one > .edge {
  grid-row: 1;
  grid-column: 1;
}
.plugs {
  grid-row: 1;
  grid-column: 3;
}
.plugs h3 {
  margin: 0.6rem 0 0 0.75rem;
}
.edge {
  list-style: none;
  margin: 0;
  padding: 0;
}
.edge button {
  width: 100%;
  min-height: 44px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 3rem minmax(0, 1fr);
  align-items: center;
  gap: 0.5rem;
  padding: 0.15rem 0.5rem;
  border: 0;
  border-bottom: 1px solid var(--line-soft);
  background: none;
  color: inherit;
  text-align: right;
}
.edge.right button {
  text-align: left;
}
.edge:not(.right) .goes,
.edge.right .goes {
  color: var(--ink-soft);
}
.wire {
  height: 6px;
  border: 1px solid var(--line);
}
@media (max-width: 900px) {
  .one {
    grid-template-columns: minmax(0, 1fr);
  }
  .one > h2,
  .one > .edge,
  .plugs {
    grid-row: auto;
    grid-column: 1;
  }
  .one > h2 {
    order: -1;
    padding: 0.5rem;
  }
  .edge:not(.right) button {
    direction: rtl;
    text-align: left;
  }
  .edge:not(.right) button > * {
    direction: ltr;
  }
}
</style>
