<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Identified } from '../api/client'
import { percent } from '../visit/format'

/** What the unit can still be: by family while there are many ways, each way where there are few or a family is opened. */
const props = defineProps<{ families: Identified['families']; kinds: Identified['kinds'] }>()
const emit = defineEmits<{ take: [name: string] }>()
const FEW = 12
const open = ref('')
const grouped = computed(() => props.families.length > FEW && props.kinds.length > 1)
const rows = computed(() =>
  grouped.value
    ? props.kinds.map((kind) => ({ ...kind, inside: props.families.filter((f) => f.id === kind.id) }))
    : [{ id: '', title: '', probability: 1, ways: props.families.length, inside: props.families }],
)
</script>

<template>
  <ul class="candidates">
    <template v-for="row in rows" :key="row.id">
      <li v-if="grouped">
        <button
          type="button"
          :aria-expanded="open === row.id"
          :data-test="`kind-${row.id}`"
          @click="row.ways === 1 ? emit('take', row.inside[0]!.name) : (open = open === row.id ? '' : row.id)"
        >
          <span class="level" :style="{ width: `${100 * row.probability}%` }" aria-hidden="true"></span>
          <span
            >{{ row.title }}<span v-if="row.ways > 1" class="soft">, {{ row.ways }} ways</span></span
          >
          <span class="num">{{ percent(row.probability) }}</span>
        </button>
      </li>
      <template v-if="!grouped || open === row.id">
        <li v-for="f in row.inside" :key="f.name" :class="{ inside: grouped }">
          <button type="button" :data-test="`family-${f.id}`" @click="emit('take', f.name)">
            <span class="level" :style="{ width: `${100 * f.probability}%` }" aria-hidden="true"></span>
            <span>{{ f.title }}</span> <span class="num">{{ percent(f.probability) }}</span>
          </button>
        </li>
      </template>
    </template>
  </ul>
</template>

<style scoped lang="scss">
.candidates {
  list-style: none;
  padding: 0;
}
.inside {
  padding-left: 1.5rem;
}
button {
  position: relative;
  width: 100%;
  min-height: 52px;
  padding-block: 6px 10px;
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  align-items: center;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--line-soft);
  background: none;
  color: inherit;
  padding-inline: 0.5rem;
}
.num {
  white-space: nowrap;
}
.level {
  position: absolute;
  inset: auto auto 0 0;
  height: 6px;
  background: var(--ink);
  transition: width 0.18s;
}
</style>
