<script setup lang="ts">
import { computed, ref } from 'vue'
import { useMenu } from './useDetails'
import { tell } from '../words/words'

/** The screens of the board's menu, walked as on its keys: each press leads where it leads there. Nothing is set by it. */
const { data: screens } = useMenu()
const walked = ref<string[]>([])
const at = computed(() => screens.value?.find((s) => s.id === walked.value.at(-1)) ?? screens.value?.[0])
</script>

<template>
  <details v-if="screens?.length && at" class="menu" data-test="menu">
    <summary class="key quiet">{{ tell('menuWalk.seeTheMenu') }}</summary>
    <p class="shows" aria-live="polite" data-test="menu-shows">{{ at.shows }}</p>
    <p v-if="at.sets" class="soft">
      {{ tell('menuWalk.changesTheValue', { label: at.sets, keys: at.keys.join(' / ') }) }}
    </p>
    <div class="keys">
      <button
        v-for="w in at.ways"
        :key="w.press"
        type="button"
        class="key"
        :data-test="`press-${w.to}`"
        @click="walked = [...walked, w.to]"
      >
        {{ w.press }}<template v-if="w.saves">{{ tell('menuWalk.keepsIt') }}</template>
      </button>
      <button
        v-if="walked.length"
        type="button"
        class="key quiet"
        data-test="menu-back"
        @click="walked = walked.slice(0, -1)"
      >
        {{ tell('menuWalk.oneBack') }}
      </button>
    </div>
    <ul class="tree">
      <li v-for="s in screens" :key="s.id" :aria-current="s === at ? 'true' : undefined">
        <button type="button" @click="walked = [...walked, s.id]">{{ s.shows }}</button>
        <span class="soft">{{ s.ways.map((w) => w.press).join(' · ') }}</span>
      </li>
    </ul>
  </details>
</template>

<style scoped lang="scss">
.menu {
  max-width: 44rem;
  margin-top: 1.25rem;
}
.shows {
  margin: 0.5rem 0;
  padding: 0.75rem 1rem;
  border: 3px solid var(--line);
  font-size: 1.75rem;
  font-weight: 700;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.tree {
  list-style: none;
  margin: 1rem 0 0;
  padding: 0;
  border-top: 2px solid var(--line);
}
.tree li {
  display: grid;
  grid-template-columns: 12rem minmax(0, 1fr);
  gap: 0 0.75rem;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
.tree button {
  min-height: 48px;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
}
[aria-current] button {
  font-weight: 700;
}
@media (max-width: 600px) {
  .tree li {
    grid-template-columns: 1fr;
  }
}
</style>
