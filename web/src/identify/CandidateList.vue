<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Identified } from '../api/client'
import { percent } from '../visit/format'
import { tell } from '../words/words'

/** What the unit can still be: by family while there are many ways, each way where there are few or a family is opened. */
const props = defineProps<{ families: Identified['families']; kinds: Identified['kinds'] }>()
const emit = defineEmits<{ take: [name: string] }>()
const FEW = 12
const open = ref('')
const grouped = computed(() => props.families.length > FEW && props.kinds.length > 1)
const ways = (families: Identified['families'], inside: boolean) =>
  families.map((f) => ({
    ...f,
    key: f.name,
    test: `family-${f.id}`,
    more: '',
    inside,
    press: () => emit('take', f.name),
  }))
const rows = computed(() =>
  grouped.value
    ? props.kinds.flatMap((kind) => {
        const of = props.families.filter((f) => f.id === kind.id)
        const press = () =>
          kind.ways === 1 ? emit('take', of[0]!.name) : (open.value = open.value === kind.id ? '' : kind.id)
        const more = kind.ways > 1 ? tell('candidateList.ways', { ways: kind.ways }) : ''
        const row = {
          ...kind,
          key: tell('candidateList.kind', { id: kind.id }),
          test: `kind-${kind.id}`,
          more,
          inside: false,
          press,
        }
        return [row, ...(open.value === kind.id ? ways(of, true) : [])]
      })
    : ways(props.families, false),
)
</script>

<template>
  <ul class="candidates">
    <li v-for="row in rows" :key="row.key" :class="{ inside: row.inside }">
      <button
        type="button"
        :aria-expanded="row.more ? open === row.id : undefined"
        :data-test="row.test"
        @click="row.press()"
      >
        <span class="level" :style="{ width: `${100 * row.probability}%` }" aria-hidden="true"></span>
        <span
          >{{ row.title }}<span class="soft">{{ row.more }}</span></span
        >
        <span class="num">{{ percent(row.probability) }}</span>
      </button>
    </li>
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
