<script setup lang="ts">
import type { ChangeOut } from '../api/client'
import { useHandle } from '../visit/handle'
import { tell } from '../words/words'

/** What is otherwise on the new board; each wants a yes of its own. */
defineProps<{ differences: ChangeOut['differences']; closed: boolean }>()
const { add } = useHandle()
</script>

<template>
  <p v-if="differences.length === 0" class="soft mt-2">{{ tell('differenceList.itIsTheSameAs') }}</p>
  <ul v-else class="differences" data-test="differences">
    <li v-for="d in differences" :key="d.what" :class="{ agreed: d.agreed }">
      <span>
        {{ d.says
        }}<template v-if="d.position"
          >. <strong>{{ tell('differenceList.setItTo', { position: d.position }) }}</strong></template
        >
      </span>
      <span v-if="d.agreed" class="yes">{{ tell('differenceList.known') }}</span>
      <button v-else-if="!closed" type="button" class="key" @click="add({ kind: 'AGREED', what: d.what })">
        {{ tell('differenceList.yesISawIt') }}
      </button>
    </li>
  </ul>
</template>

<style scoped lang="scss">
.differences {
  list-style: none;
  padding: 0;
  margin: 0.75rem 0 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 1rem;
  min-height: 52px;
  padding: 0.25rem 0 0.25rem 0.75rem;
  border-left: 6px dashed var(--ink);
  border-bottom: 1px solid var(--line-soft);
}
.agreed {
  border-left: 6px double var(--next);
}
.yes {
  font-weight: 700;
}
</style>
